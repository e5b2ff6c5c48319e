import fc from 'fast-check'
import { did, evidence, placed, saw, TODAY } from '@/testing/evidence'
import { addDays } from '../day'
import { findById } from '../practice/find'
import { shippedPractice } from '../practice/library'
import type { ReadinessCheck } from '../practice/schema'
import { capsFrom, NO_LIMITS, type Caps } from '../screening/caps'
import { judgeLoad } from '../screening/caps'
import { decide, openStages } from './decide'
import type { Attempt, Observation, Placement } from './evidence'

const practice = shippedPractice()
const FAMILY = 'FS'
const stages = practice.stages.filter((s) => s.family === FAMILY)
/** Checks that a forearm gate asks for, apart from those that only want to be known. */
const asked = [
  ...new Set(
    stages.flatMap((s) =>
      s.gates.filter((g) => g.life === 'standing' && g.op !== 'recorded').map((g) => g.check),
    ),
  ),
].map((id) => findById(practice.checks, id))

type Facts = readonly (Observation | Attempt | Placement)[]
const open = (facts: Facts, limits: Caps = NO_LIMITS): ReadonlySet<string> =>
  openStages(practice, FAMILY, evidence(...facts), limits, TODAY)
const decided = (facts: Facts, asOf = TODAY) =>
  decide(practice, FAMILY, 's', evidence(...facts), NO_LIMITS, asOf)

const daysAgo = fc.integer({ min: 0, max: 75 })
const often = (p: number) => fc.nat(99).map((n) => n < p)
/** Good enough for most gates three times in four, so that histories get somewhere. */
const worth = (check: ReadinessCheck): fc.Arbitrary<number> => {
  const gates = stages.flatMap((s) => s.gates.filter((g) => g.check === check.id && g.value !== undefined))
  const values = gates.map((g) => g.value ?? 0)
  if (check.kind === 'yes-no') return often(75).map(Number)
  const [least, most] = [Math.min(...values), Math.max(...values)]
  const span = Math.max(2, most - least)
  return fc.integer({ min: Math.max(check.min, least - span), max: most + span })
}
const observation = fc.constantFrom(...asked).chain((check) =>
  fc
    .record({
      left: worth(check),
      right: worth(check),
      ago: daysAgo,
      valid: often(90),
      watched: often(92),
      aided: often(8),
      spent: often(8),
      voided: often(6),
    })
    .map(({ left, right, ago, spent, voided, ...part }) =>
      saw(check.id, check.side === 'each' ? { left, right } : left, ago, {
        ...part,
        arms: spent ? 'spent' : null,
        faults: voided ? check.voids.slice(0, 1) : [],
      }),
    ),
)
const attempt = fc
  .record({
    stage: fc.constantFrom(...stages.slice(0, 22)),
    ago: daysAgo,
    clean: often(80),
    exit: often(93),
    alone: often(90),
    fault: fc.nat(9),
    spent: often(8),
  })
  .map(({ stage, ago, clean, exit, alone, fault, spent }) =>
    did(stage.id, ago, {
      outcome: clean ? 'clean' : 'not-yet',
      exitControlled: exit,
      help: alone ? 'alone' : 'touched',
      faults: clean || fault > 4 ? [] : stage.faults.slice(fault % 3, (fault % 3) + 1),
      endedBy: spent ? 'spent-arms' : null,
    }),
  )
const placement = fc
  .record({ stage: fc.constantFrom(...stages.slice(0, 12)), ago: fc.integer({ min: 0, max: 30 }) })
  .map(({ stage, ago }) => placed(stage.id, ago))
const history: fc.Arbitrary<Facts> = fc
  .record({
    observations: fc.array(observation, { maxLength: 24 }),
    attempts: fc.array(attempt, { maxLength: 14 }),
    placements: fc.array(placement, { maxLength: 1 }),
  })
  .map(({ observations, attempts, placements }) => [...observations, ...attempts, ...placements])

const RUNS = { numRuns: Math.max(400, fc.readConfigureGlobal().numRuns ?? 0) }
const opensNothing = (worse: ReadonlySet<string>, better: ReadonlySet<string>): void =>
  expect([...worse].filter((id) => !better.has(id))).toEqual([])

describe('laws over random histories', () => {
  it('the histories reach every outcome, so that the laws say something', () => {
    const seen = new Set<string>()
    fc.assert(
      fc.property(history, (facts) => {
        seen.add(decided(facts).outcome)
      }),
      { numRuns: 1500, seed: 7 },
    )
    for (const outcome of ['offer', 'once-more', 'near', 'build', 'step-back'])
      expect([outcome, seen.has(outcome)]).toEqual([outcome, true])
  })

  it('what is decided to be offered is among what is open', () => {
    fc.assert(
      fc.property(history, (facts) => {
        const { outcome, targetId } = decided(facts)
        if (outcome === 'offer') expect(open(facts).has(targetId ?? '')).toBe(true)
      }),
      RUNS,
    )
  })

  it('the order of arrival changes nothing, and a fact sent twice counts once', () => {
    fc.assert(
      fc.property(
        history.chain((facts) =>
          fc.record({
            facts: fc.constant(facts),
            mixed: fc.shuffledSubarray([...facts, ...facts], {
              minLength: 2 * facts.length,
              maxLength: 2 * facts.length,
            }),
          }),
        ),
        ({ facts, mixed }) => expect(decided(mixed)).toEqual(decided(facts)),
      ),
      RUNS,
    )
  })

  it('taking a fact away that speaks for somebody never opens a stage', () => {
    fc.assert(
      fc.property(history, fc.nat(), (facts, pick) => {
        const favourable = facts.filter((f) => f.kind === 'placement' || speaksFor(f))
        const gone = favourable[pick % Math.max(1, favourable.length)]
        opensNothing(open(facts.filter((f) => f !== gone)), open(facts))
      }),
      RUNS,
    )
  })

  it('making a fact worse never opens a stage', () => {
    fc.assert(
      fc.property(history, fc.nat(), fc.nat(6), (facts, pick, way) => {
        const at = pick % Math.max(1, facts.length)
        opensNothing(open(facts.map((f, i) => (i === at ? worse(f, way) : f))), open(facts))
      }),
      RUNS,
    )
  })

  it('adding a fact that speaks against somebody never opens a stage', () => {
    fc.assert(
      fc.property(history, fc.oneof(observation, attempt), fc.nat(6), (facts, extra, way) => {
        opensNothing(open([...facts, against(extra, way)]), open(facts))
      }),
      RUNS,
    )
  })

  it('adding a caution never opens a stage, and a Stop yields only to a recorded clearance', () => {
    const rules = practice.cautions.filter((c) => c.conditions.length > 0)
    const conditions = rules.flatMap((c) => c.conditions)
    fc.assert(
      fc.property(
        history,
        fc.subarray(conditions, { maxLength: 3 }),
        fc.constantFrom(...conditions),
        (facts, had, added) => {
          const limits = (set: readonly string[]) =>
            capsFrom(practice, { set: new Set(set), unknown: [] }, [], TODAY)
          const now = limits([...had, added])
          const left = open(facts, now)
          opensNothing(left, open(facts, limits(had)))
          for (const id of left) {
            const { verdict } = judgeLoad(findById(practice.stages, id).load, now)
            expect(['barred', 'left-out']).not.toContain(verdict)
          }
        },
      ),
      RUNS,
    )
  })

  it('nobody skips ahead: what is open comes after what is behind somebody', () => {
    fc.assert(
      fc.property(history, (facts) => {
        const { standing, targetId, outcome } = decided(facts)
        if (outcome !== 'offer' || targetId === null) return
        const after = findById(practice.stages, targetId).after
        const behind = open(facts)
        const met = (name: string): boolean =>
          behind.has(name) || [...behind].some((id) => /-\d\d$/.test(name) && id.startsWith(name))
        expect(after.all.every(met) && after.some.every((g) => g.of.filter(met).length >= g.least)).toBe(true)
        if (standing === null) expect(after.all.length + after.some.length).toBe(0)
      }),
      RUNS,
    )
  })

  it('replays: facts of later days do not touch an earlier decision', () => {
    fc.assert(
      fc.property(history, daysAgo, (facts, ago) => {
        const asOf = addDays(TODAY, -ago)
        expect(decided(facts, asOf)).toEqual(
          decided(
            facts.filter((f) => f.day <= asOf),
            asOf,
          ),
        )
      }),
      RUNS,
    )
  })
})

/** Clean work, or a result that counts and passes the easiest gate on its check. */
function speaksFor(fact: Observation | Attempt): boolean {
  if (fact.kind === 'attempt') return fact.outcome === 'clean' && fact.exitControlled && fact.help === 'alone'
  const { voids } = findById(practice.checks, fact.checkId)
  const counts = fact.valid && fact.watched && !fact.aided && !fact.faults.some((f) => voids.includes(f))
  return counts && passesAny(fact)
}

function passesAny(fact: Observation): boolean {
  const { single, left = 0, right = 0 } = fact.values
  return stages.some((s) =>
    s.gates.some((g) => {
      if (g.check !== fact.checkId || g.life !== 'standing') return false
      const value = single ?? (g.op === '<=' ? Math.max(left, right) : Math.min(left, right))
      if (g.op === 'yes') return value === 1
      return g.op === '>=' ? value >= (g.value ?? 0) : value <= (g.value ?? 0)
    }),
  )
}

/** One thing about a fact that is worse than it was. */
function worse(fact: Facts[number], way: number): Facts[number] {
  if (fact.kind === 'placement') return fact
  if (fact.kind === 'attempt')
    return [
      { ...fact, outcome: 'not-yet' as const },
      { ...fact, exitControlled: false },
      { ...fact, help: 'carried' as const },
      { ...fact, outcome: 'not-yet' as const, faults: ['FT-head-drop'], endedBy: 'self' as const },
    ][way % 4]!
  const check = findById(practice.checks, fact.checkId)
  return [
    { ...fact, valid: false },
    { ...fact, watched: false },
    { ...fact, aided: true },
    { ...fact, help: 'touched' as const },
    { ...fact, values: poor(check) },
    { ...fact, faults: check.voids },
  ][way % 6]!
}

/** A fact turned into one that says nothing good. */
function against(fact: Observation | Attempt, way: number): Observation | Attempt {
  if (fact.kind === 'attempt') return worse({ ...fact, outcome: 'not-yet' }, way) as Attempt
  return { ...fact, values: poor(findById(practice.checks, fact.checkId)) }
}

function poor(check: ReadinessCheck): Observation['values'] {
  const value = check.betterIs === 'less' ? check.max : check.min
  return check.side === 'each' ? { left: value, right: value } : { single: value }
}
