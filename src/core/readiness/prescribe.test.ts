import fc from 'fast-check'
import { did, evidence, TODAY, within } from '@/testing/evidence'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { capsFrom, NO_LIMITS } from '../screening/caps'
import type { GateResult } from './gate'
import { covers, needName, prescribe } from './prescribe'
import { fitDose } from '../practice/dose'
import { jointsLoaded } from './recent-load'
import { withinOf } from './within'

const practice = shippedPractice()
const gate = {
  check: 'CK-dolphin-hold',
  op: '>=',
  value: 45,
  side: 'single',
  aidedOk: false,
  life: 'standing',
} as const
const limitsOf = (condition: string) =>
  capsFrom(practice, { set: new Set([condition]), unknown: [] }, [], TODAY)

const free = { within: within(NO_LIMITS), breathS: 5, tired: false }

describe('prescription', () => {
  const missing = (...checks: string[]): GateResult[] =>
    checks.map((c) => ({
      gate: { ...gate, check: c },
      state: 'near',
      value: 30,
      valueDay: TODAY,
      cleanDays: 0,
      neededDays: 1,
      points: null,
      ofDays: 1,
      renewedDay: null,
      staleDays: null,
      notCounted: null,
      evidenceIds: [],
    }))
  it('gives of a drill only what limits leave, and says how it is done then', () => {
    const changing = practice.cautions.filter((c) => (c.change?.share ?? 1) < 1)
    expect(changing.length).toBeGreaterThan(0)
    let lessened = 0
    for (const condition of new Set(changing.flatMap((c) => c.conditions))) {
      const given = { ...free, minutes: 40, within: within(limitsOf(condition)) }
      for (const check of practice.checks)
        for (const { drillId, dose, change } of prescribe(practice, { missing: missing(check.id) }, given)) {
          if (!change || change.share === 1) continue
          lessened += 1
          const whole = prescribe(practice, { missing: missing(check.id) }, { ...free, minutes: 40 }).find(
            (d) => d.drillId === drillId,
          )?.dose
          expect(change.words.length).toBeGreaterThan(0)
          if (!whole) continue
          const [part, all] = [dose.reps ?? dose.sets, whole.reps ?? whole.sets]
          expect([drillId, part <= Math.max(1, Math.floor(all * change.share))]).toEqual([drillId, true])
        }
    }
    expect(lessened).toBeGreaterThan(0)
  })
  it('covers what is missing with few drills, inside the minutes, at two thirds of the dose for 30 of 45', () => {
    const drills = prescribe(
      practice,
      { missing: missing('CK-dolphin-hold', 'CK-head-clear') },
      {
        minutes: 12,
        ...free,
      },
    )
    expect(drills).toHaveLength(1)
    expect(drills[0]?.covers).toEqual(['CK-dolphin-hold', 'CK-head-clear'])
    expect(drills[0]?.dose).toMatchObject({ sets: 2, reps: 3 })
    expect(needName(practice, 'CK-dolphin-hold')).toBe('dolphin hold')
  })
  it('keeps to minutes, props and limits whatever is missing', () => {
    fc.assert(
      fc.property(
        fc.subarray(practice.checks.map((c) => c.id)),
        fc.integer({ min: 0, max: 20 }),
        fc.constantFrom(...practice.cautions.flatMap((c) => c.conditions)),
        (checks, minutes, condition) => {
          const caps = limitsOf(condition)
          const drills = prescribe(
            practice,
            { missing: missing(...checks) },
            { ...free, within: within(caps), minutes, props: new Set(['strap']) },
          )
          expect(drills.reduce((sum, d) => sum + d.minutes, 0)).toBeLessThanOrEqual(minutes)
          for (const d of drills) {
            const drill = findById(practice.drills, d.drillId)
            expect(drill.props.every((p) => p === 'strap')).toBe(true)
            // Told another way than by the engine: no stop and no leaving out at or beneath the drill's load.
            for (const { action, tag, level } of caps.caps)
              if (action === 'stop' || action === 'avoid') expect(drill.load[tag] ?? 0).toBeLessThan(level)
            expect(d.covers.every((c) => covers(practice, drill, c))).toBe(true)
          }
        },
      ),
      { numRuns: 60 },
    )
  })
  it('has a drill for every standing check that tells on a capability, and names no check the practice has not', () => {
    const told = practice.checks.filter((c) => practice.drills.some((d) => covers(practice, d, c.id)))
    expect(told.length).toBeGreaterThan(40)
    for (const id of ['CK-dolphin-hold', 'CK-squat', 'CK-heel-lift', 'CK-neck-range', 'CK-kick-height'])
      expect([id, told.some((c) => c.id === id)]).toEqual([id, true])
  })
  it('takes another drill than last time where another covers', () => {
    const ask = (recent: string[]) =>
      prescribe(
        practice,
        { missing: missing('CK-dolphin-hold') },
        {
          minutes: 12,
          ...free,
          recent: new Set(recent),
        },
      )[0]?.drillId
    const first = ask([])
    expect(ask([first ?? ''])).not.toBe(first)
  })
})

describe('what is given to whom', () => {
  const asked = (check: string, value: number | null, state: GateResult['state'] = 'unmet'): GateResult => ({
    ...{ gate: { ...gate, check }, state, value, valueDay: TODAY, cleanDays: 0, neededDays: 1, ofDays: 1 },
    ...{ points: null, renewedDay: null, staleDays: null, notCounted: null, evidenceIds: [] },
  })
  const give = (
    needs: GateResult[],
    part: Partial<Parameters<typeof prescribe>[2]> = {},
    faults: string[] = [],
  ) => prescribe(practice, { missing: needs, faults }, { ...free, minutes: 12, ...part })
  const novice = (limits = NO_LIMITS, missing: GateResult[] = []) =>
    withinOf(practice, new Set(['FS-01', 'FS-02', 'HS-01']), limits, missing)

  it('the first drills that the practice names come first, for every check that tells on a capability', () => {
    for (const { checks, drills } of practice.capabilities)
      for (const check of checks) {
        const own = findById(practice.checks, check).drills
        const named = [
          ...own,
          ...practice.capabilities.filter((c) => c.checks.includes(check)).flatMap((c) => c.drills),
        ]
        const [first] = give([asked(check, null)], { minutes: 60 })
        expect([check, named.includes(first?.drillId ?? ''), drills.length > 0]).toEqual([check, true, true])
      }
  })
  it('a side that is behind gets a drill done side by side for every check that tells sides apart', () => {
    const wanted = new Set(practice.stages.flatMap((s) => s.gates.map((g) => g.check)))
    for (const { id } of practice.checks.filter(
      (c) => c.side === 'each' && c.life === 'standing' && !c.noDrill,
    ))
      if (wanted.has(id)) {
        const everything = withinOf(practice, new Set(practice.stages.map((s) => s.id)), NO_LIMITS, [])
        const given = prescribe(
          practice,
          { missing: [asked(id, null)], sides: [{ checkId: id, weaker: 'left' }] },
          { ...free, within: everything, minutes: 60 },
        )
        expect([id, given.filter((g) => g.covers.includes(id) && g.weaker === 'left').length > 0]).toEqual([
          id,
          true,
        ])
      }
  })
  it('a range that is short is opened by the whole dose, and a hold by what is measured', () => {
    const short = (id: string, value: number, op: '>=' | '<=') =>
      give([{ ...asked(id, value), gate: { ...gate, check: id, op, value: 10 } }], { minutes: 60 })[0]
    const fold = short('CK-forward-fold', 30, '<=')
    const drill = findById(practice.drills, fold?.drillId ?? '')
    expect(fold?.dose).toEqual(fitDose(drill.dose, { breathS: 5, share: 1, mostSeconds: null }))
    const hold = short('CK-hollow', 3, '>=')
    const hollow = findById(practice.drills, hold?.drillId ?? '')
    expect(hold?.dose).not.toEqual(fitDose(hollow.dose, { breathS: 5, share: 1, mostSeconds: null }))
  })
  it('neck turning has its own drill, head lying', () => {
    expect(give([asked('CK-neck-rotation', 4)], { minutes: 60 })[0]?.drillId).toBe('DR-supine-head-turn')
  })
  it('a number that is reached and wants only its days gets no drill', () => {
    expect(give([asked('CK-dolphin-hold', 52, 'confirm')])).toEqual([])
  })
  it('what is missing most comes first', () => {
    const needs = [asked('CK-dolphin-hold', 40), asked('CK-hollow', 3)]
    expect(give(needs, { minutes: 3 })[0]?.covers).toEqual(['CK-hollow'])
  })
  it('nobody is drilled at a load they do not stand on: no hops, head or wall for a beginner', () => {
    for (const check of practice.checks)
      for (const { drillId } of give([asked(check.id, null)], { within: novice(), minutes: 60 })) {
        const { FR = 0, HB = 0, NF = 0, WB = 0 } = findById(practice.drills, drillId).load
        expect([check.id, drillId, FR, HB, NF, WB <= 1]).toEqual([check.id, drillId, 0, 0, 0, true])
      }
    for (const fault of practice.faults)
      for (const { drillId } of give([], { within: novice(), minutes: 60 }, [fault.id]))
        expect(findById(practice.drills, drillId).load.FR ?? 0).toBe(0)
  })
  it('a neck that is not free gets no crown roll, whoever it is', () => {
    const sore = [asked('CK-neck-flexion', 3), asked('CK-neck-isometric', 0)]
    const able = withinOf(practice, new Set(practice.stages.map((s) => s.id)), NO_LIMITS, sore)
    const given = give(sore, { within: able, minutes: 60 })
    expect(given.length).toBeGreaterThan(0)
    for (const { drillId } of given)
      expect([
        drillId,
        findById(practice.drills, drillId).load.HB,
        findById(practice.drills, drillId).load.NF,
      ]).toEqual([drillId, undefined, undefined])
  })
  it('strain follows the seconds, so that a Stop on effort reaches planks and holds', () => {
    const plank = findById(practice.drills, 'DR-clasped-plank')
    expect(plank.load.ST).toBe(2)
    for (const condition of ['VASC', 'EYE-R', 'POST', 'HERN'])
      expect(
        give(
          [],
          { within: within(limitsOf(condition)) },
          practice.faults.filter((f) => f.drills.includes(plank.id)).map((f) => f.id),
        ).map((d) => d.drillId),
      ).not.toContain(plank.id)
  })
  it('fits the dose: own breath, measured level, half when tired, no longer than a limit allows', () => {
    const [hold] = give([], { breathS: 4 }, ['FT-elbow-splay']).filter((d) => d.dose.breaths !== null)
    if (hold) expect(hold.dose.holdS).toBe((hold.dose.breaths ?? 0) * 4)
    const usual = give([asked('CK-hollow', null)], { minutes: 3 })[0]
    const tired = give([asked('CK-hollow', null)], { minutes: 3, tired: true })[0]
    expect(usual?.drillId).toBe('DR-hollow')
    expect([usual?.dose.sets, usual?.dose.holdS, usual?.dose.restS]).toEqual([5, 12, 20])
    expect(tired?.dose.holdS).toBe(12)
    const dose = findById(practice.drills, 'DR-hollow').dose
    expect(fitDose(dose).holdS).toBe(30)
    expect(fitDose(dose, { share: 0.5 }).holdS).toBe(15)
    expect(fitDose(dose, { share: 0.5, mostSeconds: 10 }).holdS).toBe(10)
    expect(fitDose(dose, { share: 3 }).holdS).toBe(30)
    expect(fitDose(findById(practice.stages, 'FS-09').dose, { mostAttempts: 8 }).cap).toBe(8)
  })
})

describe('recent load and the order of drills', () => {
  it('knows which joints worked hard today or yesterday', () => {
    expect([...jointsLoaded(practice, evidence(did('FS-05', 1)), TODAY)]).toEqual(['shoulder'])
    expect(jointsLoaded(practice, evidence(did('FS-05', 2)), TODAY).size).toBe(0)
  })
  it('spares them where another drill covers, and mends faults with the drills that the practice names', () => {
    fc.assert(
      fc.property(
        fc.subarray(
          practice.faults.map((f) => f.id),
          { maxLength: 3 },
        ),
        fc.subarray(['wrist', 'shoulder', 'elbow', 'trunk']),
        (faults, joints) => {
          const given = { minutes: 20, ...free, loaded: new Set(joints) }
          for (const d of prescribe(practice, { missing: [], faults }, given)) {
            const drill = findById(practice.drills, d.drillId)
            const tires = joints.some((j) => (drill.fatigue[j] ?? 0) >= 3)
            const spares = (id: string) =>
              joints.every((j) => (findById(practice.drills, id).fatigue[j] ?? 0) < 3)
            // A tiring one is taken only for what no sparing one of these minutes would mend.
            if (tires)
              for (const f of d.covers)
                expect(
                  findById(practice.faults, f).drills.filter(
                    (id) => spares(id) && findById(practice.drills, id).minutes <= drill.minutes,
                  ),
                ).toEqual([])
            expect(d.covers.every((f) => findById(practice.faults, f).drills.includes(d.drillId))).toBe(true)
          }
        },
      ),
    )
  })
  it('what the practice puts after another drill comes after it', () => {
    const faults = practice.faults.filter((f) => f.drills.length > 0).map((f) => f.id)
    const all = prescribe(practice, { missing: [], faults }, { minutes: 200, ...free }).map((d) => d.drillId)
    for (const d of practice.drills)
      for (const before of d.after)
        if (all.includes(d.id) && all.includes(before))
          expect([d.id, all.indexOf(before) < all.indexOf(d.id)]).toEqual([d.id, true])
  })
})
