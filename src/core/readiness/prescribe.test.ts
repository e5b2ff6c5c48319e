import fc from 'fast-check'
import { did, evidence, TODAY } from '@/testing/evidence'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import { capsFrom, NO_LIMITS } from '../screening/caps'
import type { GateResult } from './gate'
import { covers, needName, prescribe } from './prescribe'
import { jointsLoaded } from './recent-load'

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
  it('covers what is missing with few drills, inside the minutes, at two thirds of the dose for 30 of 45', () => {
    const drills = prescribe(
      practice,
      { missing: missing('CK-dolphin-hold', 'CK-head-clear') },
      {
        minutes: 12,
        caps: NO_LIMITS,
      },
    )
    expect(drills).toHaveLength(1)
    expect(drills[0]?.covers).toEqual(['CK-dolphin-hold', 'CK-head-clear'])
    expect(drills[0]?.doseShare).toBeCloseTo(2 / 3, 9)
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
            { minutes, caps, props: new Set(['strap']) },
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
          caps: NO_LIMITS,
          recent: new Set(recent),
        },
      )[0]?.drillId
    const first = ask([])
    expect(ask([first ?? ''])).not.toBe(first)
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
          const given = { minutes: 20, caps: NO_LIMITS, loaded: new Set(joints) }
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
    const all = prescribe(practice, { missing: [], faults }, { minutes: 200, caps: NO_LIMITS }).map(
      (d) => d.drillId,
    )
    for (const d of practice.drills)
      for (const before of d.after)
        if (all.includes(d.id) && all.includes(before))
          expect([d.id, all.indexOf(before) < all.indexOf(d.id)]).toEqual([d.id, true])
  })
})
