import fc from 'fast-check'
import { did, evidence, saw, TODAY } from '@/testing/evidence'
import { addDays } from '../day'
import { findById, library } from '../practice/library'
import { capsFrom, NO_LIMITS } from '../screening/caps'
import { tonightsCaps, type CheckIn } from '../screening/tonight'
import { checkNext, roundMinutes, suggestedRound } from './check-next'
import { decide } from './decide'
import { proposeFade, proposeFades, sideBySide, trialsOf } from './fade'
import { helpWith } from './fault-help'
import type { Attempt, Evidence, Observation } from './evidence'
import { forecastGate, theilSen } from './forecast'
import type { GateResult } from './gate'
import { ladderOf } from './ladder'
import { likelyFaults } from './likely-faults'
import { kickOutlook, kicksAt } from './kicks'
import { covers, needName, prescribe } from './prescribe'
import { jointsLoaded } from './recent-load'
import { sideGaps } from './sides'
import { turningPoints } from './replay'
import { tonightsCeiling } from './tonight'

const practice = library()
const gate = {
  check: 'CK-dolphin-hold',
  op: '>=',
  value: 45,
  side: 'single',
  aidedOk: false,
  life: 'standing',
} as const
const check = findById(practice.checks, 'CK-dolphin-hold')
const limitsOf = (condition: string) =>
  capsFrom(practice, { set: new Set([condition]), unknown: [] }, [], TODAY)

describe('forecast', () => {
  const holds = (...values: number[]) =>
    values.map((v, i) => saw('CK-dolphin-hold', v, 7 * (values.length - 1 - i)))
  const of = (...values: number[]) => forecastGate(gate, check, holds(...values), TODAY)
  it('wants four days, knows when it is there, and says flat where nothing moves', () => {
    expect(of(20, 22, 24)).toMatchObject({ code: 'not-enough', days: 3 })
    expect(of(40, 44, 46, 50)).toMatchObject({ code: 'there' })
    expect(of(30, 30, 30, 30)).toMatchObject({ code: 'flat', weeks: 3 })
    expect(of(34, 32, 31, 28).code).toBe('flat')
  })
  it('by hand: 5 s a week from 30 reach 45 in 3 weeks', () => {
    expect(of(15, 20, 25, 30)).toMatchObject({ code: 'weeks', from: 3, to: 3, perWeek: 5 })
  })
  it('is always a range in order, and one wild day hardly moves it', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 5, max: 60 }), { minLength: 4, maxLength: 12 }), (values) => {
        const f = of(...values)
        if (f.code === 'weeks') expect(f.from).toBeLessThanOrEqual(f.to)
      }),
    )
    const points = (wild: number) =>
      [20, 22, wild, 26, 28, 30, 32].map((value, i) => ({ day: addDays(TODAY, 7 * (i - 6)), value }))
    expect(Math.abs(theilSen(points(90), TODAY).slope - theilSen(points(24), TODAY).slope)).toBeLessThan(0.6)
  })
  it('ignores what did not count and what is still to come', () => {
    const facts = [
      ...holds(15, 20, 25, 30),
      saw('CK-dolphin-hold', 90, 0, { valid: false }),
      saw('CK-dolphin-hold', 90, -7),
    ]
    expect(forecastGate(gate, check, facts, TODAY)).toMatchObject({ code: 'weeks', from: 3 })
  })
})

describe('chance of a kick', () => {
  it('by hand: nobody yet is one in two, and any number of the next five is as likely as another', () => {
    expect(kickOutlook([])).toEqual({ tries: 0, chance: 0.5, from: 0, to: 5 })
    // Beta(2, 1): P(k of 5) = (k + 1) / 21, so 0.1 is passed at one and 0.9 at five.
    expect(kickOutlook([true])).toMatchObject({ from: 1, to: 5 })
    expect(kickOutlook([true]).chance).toBeCloseTo(2 / 3, 12)
    // Beta(1, 2) is its mirror.
    expect(kickOutlook([false])).toMatchObject({ from: 0, to: 4 })
  })
  it('newer tries count for more, and never to certainty', () => {
    expect(kickOutlook([false, false, true, true]).chance).toBeGreaterThan(
      kickOutlook([true, true, false, false]).chance,
    )
    fc.assert(
      fc.property(fc.array(fc.boolean(), { maxLength: 40 }), (tries) => {
        const { chance, from, to } = kickOutlook(tries)
        expect(chance > 0 && chance < 1 && from >= 0 && from <= to && to <= 5).toBe(true)
        expect(kickOutlook([...tries, true]).chance).toBeGreaterThan(kickOutlook([...tries, false]).chance)
      }),
    )
  })
  it('reads tries that left the floor, by the leg that led, and not those that a stop ended', () => {
    const kick = (level: Attempt['level'], part: Partial<Attempt> = {}) => did('FS-09', 1, { level, ...part })
    const facts = evidence(
      kick('touched', { lead: 'left' }),
      kick('hop', { lead: 'right' }),
      kick('practised'),
      kick('hop', { outcome: 'stopped' }),
      did('FS-09', 50, { level: 'held' }),
    )
    const at = new Set(['FS-09'])
    expect(kicksAt(at, facts, TODAY)).toEqual([true, false])
    expect([kicksAt(at, facts, TODAY, 'left'), kicksAt(at, facts, TODAY, 'right')]).toEqual([[true], [false]])
  })
})

describe('help with a fault', () => {
  const help = (e: Evidence, checkIn: CheckIn | null = null) =>
    helpWith(practice, 'FT-elbow-splay', {
      evidence: e,
      caps: NO_LIMITS,
      checkIn,
      asked: ladderOf(practice, 'FS').gatesBeneath('FS-06'),
      asOf: TODAY,
    })
  const nobody = { evidence: evidence(), caps: NO_LIMITS, checkIn: null, asked: [], asOf: TODAY }
  it('two people with one fault and different evidence get different first causes, with the evidence', () => {
    const stiff = help(
      evidence(saw('CK-dolphin-hold', 60), saw('CK-forearm-overhead', { left: 4, right: 3 })),
    )
    const weak = help(evidence(saw('CK-dolphin-hold', 12), saw('CK-forearm-overhead', { left: 1, right: 0 })))
    expect([stiff.causes[0]?.cause, weak.causes[0]?.cause]).toEqual(['mobility', 'strength'])
    expect(stiff.causes[0]?.because[0]).toMatchObject({ checkId: 'CK-forearm-overhead', value: 4 })
  })
  it('a check speaks only when it is short of what the next step asks, and the furthest comes first', () => {
    // FS-06 and what lies beneath it ask for a dolphin hold of 30 s.
    expect(help(evidence(saw('CK-dolphin-hold', 30))).causes[0]?.because).toEqual([])
    expect(help(evidence(saw('CK-dolphin-hold', 15))).causes[0]).toMatchObject({
      cause: 'strength',
      because: [{ checkId: 'CK-dolphin-hold', value: 15, short: 0.5 }],
    })
    // Where the next step asks nothing of a check, the least that any stage asks: 20 s.
    const least = helpWith(practice, 'FT-elbow-splay', {
      ...nobody,
      evidence: evidence(saw('CK-dolphin-hold', 25)),
    })
    expect(least.causes[0]?.because).toEqual([])
    const both = help(evidence(saw('CK-dolphin-hold', 24), saw('CK-dolphin-rock', 1)))
    expect(both.causes[0]?.because.map((b) => b.code === 'check' && b.checkId)).toEqual([
      'CK-dolphin-rock',
      'CK-dolphin-hold',
    ])
    // What the fault's own drills do not train says nothing of it.
    expect(help(evidence(saw('CK-forward-fold', 8))).causes.every((c) => c.because.length === 0)).toBe(true)
    expect(help(evidence(saw('CK-dolphin-hold', 5, 50))).causes[0]?.because).toEqual([])
  })
  it('spent arms tonight come before what the practice names first', () => {
    const said: CheckIn = {
      day: TODAY,
      pain: 0,
      regions: [],
      energy: 5,
      arms: 7,
      look: 'whole',
      ticked: [],
      touch: 'ask',
    }
    expect(help(evidence(), said).causes[0]?.cause).toBe('fatigue')
  })
  it('without evidence keeps the practice’s own order, and never gives a drill that limits close', () => {
    const fault = findById(practice.faults, 'FT-elbow-splay')
    expect(help(evidence()).causes.map((c) => c.cause)).toEqual(fault.causes)
    // Fear is never put first, nor read from tonight's private words (ruling 10).
    for (const f of practice.faults.filter((x) => x.causes.some((c) => c !== 'fear')))
      expect(helpWith(practice, f.id, nobody).causes[0]?.cause).not.toBe('fear')
    fc.assert(
      fc.property(
        fc.constantFrom(...practice.faults),
        fc.constantFrom(...practice.cautions.flatMap((c) => c.conditions)),
        (f, condition) => {
          const caps = limitsOf(condition)
          const { drillId } = helpWith(practice, f.id, { ...nobody, caps })
          if (drillId === null) return
          const { load } = findById(practice.drills, drillId)
          for (const c of caps.caps.filter((x) => x.action === 'stop' || x.action === 'avoid'))
            expect((load[c.tag] ?? 0) < c.level).toBe(true)
        },
      ),
    )
  })
})

describe('chips for a person', () => {
  it('come by the days on which a fault was seen in six weeks, else as the practice orders them', () => {
    const faults = ['FT-a', 'FT-b', 'FT-c']
    const seen = (fault: string, daysAgo: number) => did('FS-05', daysAgo, { faults: [fault] })
    const order = (...facts: Attempt[]) => likelyFaults(faults, evidence(...facts), TODAY)
    expect(order()).toEqual(faults)
    expect(order(seen('FT-c', 1), seen('FT-c', 2), seen('FT-b', 1), seen('FT-b', 1))).toEqual([
      'FT-c',
      'FT-b',
      'FT-a',
    ])
    expect(order(seen('FT-c', 50))).toEqual(faults)
    expect(order(seen('FT-elsewhere', 1))).toEqual(faults)
  })
})

describe('prescription', () => {
  const missing = (...checks: string[]): GateResult[] =>
    checks.map((c) => ({
      gate: { ...gate, check: c },
      state: 'near',
      value: 30,
      valueDay: TODAY,
      cleanDays: 0,
      neededDays: 1,
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

describe('sides that differ', () => {
  const legs = (left: number, right: number, daysAgo: number) =>
    saw('CK-leg-lift-forearm', { left, right }, daysAgo)
  const gaps = (...seen: Observation[]) => sideGaps(practice, evidence(...seen).observations, TODAY)
  it('over 15 % of the better side adds work on the weaker; over 30 % on three days is told', () => {
    expect(gaps(legs(20, 17, 1))).toEqual([])
    expect(gaps(legs(20, 16.9, 1))).toMatchObject([{ weaker: 'right', told: false }])
    expect(gaps(legs(6, 10, 5), legs(6, 10, 3))).toMatchObject([{ weaker: 'left', told: false }])
    expect(gaps(legs(6, 10, 5), legs(6, 10, 3), legs(6, 10, 1))).toMatchObject([
      { weaker: 'left', share: 0.4, told: true },
    ])
    expect(gaps(legs(6, 10, 50), legs(6, 10, 3), legs(6, 10, 1))[0]?.told).toBe(false)
    expect(gaps(legs(10, 6, 5), legs(6, 10, 3), legs(6, 10, 1))[0]?.told).toBe(false)
  })
  it('in fists a gap of more than one, and the larger is the weaker', () => {
    const fists = (left: number, right: number) => saw('CK-backs-reach', { left, right }, 1)
    expect(gaps(fists(1, 2))).toEqual([])
    expect(gaps(fists(1, 3))).toMatchObject([{ weaker: 'right', told: false }])
    expect(gaps({ ...fists(1, 3), watched: false })).toEqual([])
  })
  it('adds a drill for the weaker side, which is to begin and to have one set more', () => {
    const [drill] = prescribe(
      practice,
      { missing: [], sides: [{ checkId: 'CK-leg-lift-forearm', weaker: 'left' }] },
      { minutes: 12, caps: NO_LIMITS },
    )
    expect(drill).toMatchObject({ weaker: 'left', doseShare: 1, covers: ['CK-leg-lift-forearm'] })
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

describe('what to check next', () => {
  const decisions = [evidence(did('FS-05')), evidence(did('FS-05')), evidence(did('FS-09'))].map((e, i) =>
    decide(practice, 'FS', `s${i}`, e, NO_LIMITS, TODAY),
  )
  it('ranks by decisions per minute and names who to look at first', () => {
    const worth = checkNext(practice, decisions)
    expect(worth.map((w) => w.perMinute).toSorted((a, b) => b - a)).toEqual(worth.map((w) => w.perMinute))
    for (const w of worth) expect(w.first.length).toBeGreaterThan(0)
  })
  it('suggests two or three that fit the minutes, in two half-rounds', () => {
    const worth = checkNext(practice, decisions)
    const round = suggestedRound(worth, practice, 8)
    expect(round.length).toBeGreaterThan(0)
    expect(round.length).toBeLessThanOrEqual(3)
    const minutes = round.reduce((sum, id) => sum + roundMinutes(findById(practice.checks, id).seconds), 0)
    expect(minutes).toBeLessThanOrEqual(8)
    expect(roundMinutes(60)).toBe(3)
    expect(checkNext(practice, [])).toEqual([])
  })
})

describe('props fade', () => {
  // A strap keeps elbows from splaying; a block is the next smaller aid.
  const [STRAP, BLOCK] = ['SETUP-dolphin-strap', 'SETUP-dolphin-block']
  const tried = (setupId: string, daysAgo: number, part: Partial<Attempt> = {}) =>
    did('FS-05', daysAgo, { setupId, ...part })
  const ask = (...tries: Attempt[]) => proposeFade(practice, findById(practice.stages, 'FS-05'), STRAP, tries)
  it('one step after two clean days, not after one, and not where a try of the day failed', () => {
    expect(ask(tried(STRAP, 9))).toBeNull()
    expect(ask(tried(STRAP, 9), tried(STRAP, 2))).toMatchObject({ code: 'fade', to: BLOCK })
    expect(ask(tried(STRAP, 9), tried(STRAP, 2), tried(STRAP, 2, { outcome: 'not-yet' }))).toBeNull()
    expect(ask(tried(STRAP, 9), tried(STRAP, 2, { help: 'touched' }))).toBeNull()
    expect(ask(tried(STRAP, 9), tried(STRAP, 5), tried(STRAP, 2, { outcome: 'not-yet' }))).toBeNull()
    expect(ask()).toBeNull()
  })
  it('at the target dose or above: 3 s of 6 is no reason to take a prop away', () => {
    const held = (seconds: number) => [9, 2].map((d) => did('FS-03c', d, { setupId: STRAP, seconds }))
    const at = (seconds: number) =>
      proposeFade(practice, findById(practice.stages, 'FS-03c'), STRAP, held(seconds))
    expect([at(59), at(60)?.code]).toEqual([null, 'fade'])
  })
  it('is silent once somebody works with less already', () => {
    expect(ask(tried(STRAP, 9), tried(STRAP, 5), tried(BLOCK, 2))).toBeNull()
  })
  it('back when the fault it guards against comes twice in one class without it', () => {
    const seen = { outcome: 'not-yet' as const, faults: ['FT-elbow-splay'] }
    expect(ask(tried(BLOCK, 2, seen))).toBeNull()
    expect(ask(tried(BLOCK, 2, seen), tried(BLOCK, 2, seen))).toMatchObject({
      code: 'restore',
      faultId: 'FT-elbow-splay',
    })
    expect(ask(tried(BLOCK, 9, seen), tried(BLOCK, 2, seen))).toBeNull()
  })
  it('over a history: one proposal a stage, and what should come back before what may go', () => {
    const clean = [tried(STRAP, 12), tried(STRAP, 9)]
    expect(proposeFades(practice, evidence(...clean), TODAY)).toMatchObject([
      { code: 'fade', setupId: STRAP },
    ])
    const failed = [1, 1].map((d) => tried(BLOCK, d, { outcome: 'not-yet', faults: ['FT-elbow-splay'] }))
    expect(proposeFades(practice, evidence(...clean, ...failed), TODAY)).toMatchObject([{ code: 'restore' }])
    expect(proposeFades(practice, evidence(tried(STRAP, 60), tried(STRAP, 50)), TODAY)).toEqual([])
  })
  it('side by side: by hand three pairs of +4, +5, +6 are sure in six of eight flips', () => {
    const pairs = [4, 5, 6].map((d) => ({ with: 20, without: 20 + d }))
    expect(sideBySide(pairs)).toEqual({ difference: 5, sure: 6 / 8, pairs: 3 })
    expect(sideBySide([])).toMatchObject({ sure: 0, pairs: 0 })
  })
  it('finds a trial in timed tries taken in turns on one day, from three pairs on', () => {
    const turn = (setupId: string, seconds: number) => tried(setupId, 1, { seconds })
    const six = [
      turn(STRAP, 20),
      turn(BLOCK, 16),
      turn(STRAP, 22),
      turn(BLOCK, 17),
      turn(STRAP, 21),
      turn(BLOCK, 15),
    ]
    expect(trialsOf(practice, evidence(...six))).toMatchObject([
      { with: STRAP, without: BLOCK, pairs: 3, difference: -5, day: addDays(TODAY, -1) },
    ])
    expect(trialsOf(practice, evidence(...six.slice(0, 5)))).toEqual([])
  })
})

describe('tonight', () => {
  const reach = { standingId: 'FS-09', targetId: 'FS-10a', outcome: 'near' as const }
  const said = (part: Partial<CheckIn>): CheckIn => ({
    day: TODAY,
    pain: 0,
    regions: [],
    energy: 8,
    arms: 0,
    look: 'whole',
    ticked: [],
    touch: 'ask',
    ...part,
  })
  const ceiling = (part: Partial<CheckIn>) =>
    tonightsCeiling(practice, reach, NO_LIMITS, tonightsCaps(practice, said(part), TODAY))
  it('lowers what is offered now and leaves the standing', () => {
    expect(ceiling({})).toEqual({ stageId: 'FS-09', usualId: 'FS-09', lowered: false })
    expect(ceiling({ arms: 6 })).toEqual({ stageId: 'FS-06', usualId: 'FS-09', lowered: true })
    expect(ceiling({ pain: 5, regions: ['shoulder'] })).toMatchObject({ lowered: true, usualId: 'FS-09' })
    expect(ceiling({ pain: 8 })).toMatchObject({ stageId: null, lowered: true })
  })
  it('never raises it, whatever was ticked', () => {
    fc.assert(
      fc.property(
        fc.nat(10),
        fc.nat(10),
        fc.nat(10),
        fc.constantFrom<CheckIn['look']>('watch', 'half', 'whole'),
        (pain, energy, arms, look) => {
          const { stageId } = ceiling({ pain, energy, arms, look, regions: ['neck', 'wrist'] })
          const order = practice.stages.map((s) => s.id)
          expect(order.indexOf(stageId ?? '')).toBeLessThanOrEqual(order.indexOf('FS-09'))
        },
      ),
    )
  })
})

describe('history of decisions', () => {
  const facts = evidence(
    did('FS-05', 20),
    saw('CK-leg-lift-forearm', { left: 4, right: 4 }, 15),
    saw('CK-leg-lift-forearm', { left: 4, right: 4 }, 12),
    saw('CK-leg-lift-forearm', { left: 6, right: 6 }, 8),
  )
  const replayed = (asOf = TODAY) =>
    turningPoints(facts, asOf, (day) => decide(practice, 'FS', 's', facts, NO_LIMITS, day))
  it('keeps the turning points, newest first, each as it stood that day', () => {
    expect(replayed().map((t) => [t.day, t.outcome])).toEqual([
      [addDays(TODAY, -8), 'offer'],
      [addDays(TODAY, -15), 'near'],
      [addDays(TODAY, -20), 'build'],
    ])
  })
  it('the past stays as it was: a history told earlier is the tail of the one told today', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 25 }), (ago) => {
        const then = replayed(addDays(TODAY, -ago)).filter((t) => t.day < addDays(TODAY, -ago))
        const now = replayed().filter((t) => t.day < addDays(TODAY, -ago))
        expect(now).toEqual(then)
      }),
    )
  })
})
