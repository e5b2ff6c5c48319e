import fc from 'fast-check'
import type { Brief, BriefPerson } from '@/core/classes/brief'
import type { Lock } from '@/core/classes/lock'
import type { Plan, PlanBlock } from '@/core/classes/plan'
import { briefPerson } from '@/core/classes/reach'
import { greedyPlan } from '@/core/planning/greedy'
import { shippedPractice } from '@/core/practice/library'
import { FAMILIES } from '@/core/practice/schema'
import type { Decision, Outcome } from '@/core/readiness/decide'
import { capsFrom, NOT_ASKED, type Caps } from '@/core/screening/caps'
import { must } from './bodies'

const practice = shippedPractice()
const DAY = '2026-03-10'

export type Someone = {
  standingId?: string | null
  targetId?: string | null
  outcome?: Outcome
  looked?: { answer: 'accept' | 'hold-back' | 'override'; reason: 'seen-it' | null } | null
  limits?: Caps
  mostAttempts?: number
}

/** Somebody for a brief, who stands as told in the forearm family and nowhere else. */
export function person(i: number, part: Someone = {}): BriefPerson {
  const { standingId = 'FS-04', targetId = 'FS-05', outcome = 'near', looked = null } = part
  const studentId = `p${i}`
  const none = { reasons: [], missing: [], wouldChange: null, branches: [] }
  const decisions = FAMILIES.map((family): Decision => {
    const base = { studentId, family, asOf: DAY, ...none }
    if (family !== 'FS') return { ...base, outcome: 'build', standing: null, targetId: null }
    const standing =
      standingId === null ? null : ({ stageId: standingId, by: 'placement' } as Decision['standing'])
    return { ...base, outcome, standing, targetId }
  })
  return briefPerson(practice, {
    studentId,
    breathS: 5,
    mostAttempts: part.mostAttempts ?? 12,
    touch: 'ask',
    limits: part.limits ?? NOT_ASKED,
    decisions,
    looked: () => looked,
  })
}

/** Limits that some conditions set, with every question answered. */
export function limited(...conditions: string[]): Caps {
  return capsFrom(practice, { set: new Set(conditions), unknown: [] }, [], DAY)
}

/** A brief for half an hour, two bays and four people, or another. */
export function brief(part: Partial<Omit<Brief, 'room'>> & { bays?: number } = {}): Brief {
  const { bays = 2, ...rest } = part
  return {
    ...{ version: 1, day: DAY, minutes: 30, room: { bays }, cupboard: { straps: 12, blocks: 12 } },
    ...{ helpers: [], locks: [], people: [1, 2, 3, 4].map((i) => person(i)) },
    ...rest,
  }
}

/** The greedy plan of a brief. */
export function planOf(b: Brief): Plan {
  return must(greedyPlan(practice, b, 'FS'))
}

/** The block of a kind. */
export function blockOf<K extends PlanBlock['kind']>(plan: Plan, kind: K): Extract<PlanBlock, { kind: K }> {
  const found = plan.blocks.find((b): b is Extract<PlanBlock, { kind: K }> => b.kind === kind)
  if (!found) throw new Error(`no ${kind} in the plan`)
  return found
}

const STAGES = practice.stages.filter((s) => s.family === 'FS').map((s) => s.id)
const CONDITIONS = [...new Set(practice.cautions.flatMap((c) => c.conditions))]

/** Anybody: any standing, any limits, asked or not, looked at or not. */
const anyone = fc.record({
  standingId: fc.option(fc.constantFrom(...STAGES)),
  targetId: fc.option(fc.constantFrom(...STAGES)),
  outcome: fc.constantFrom<Outcome>('not-now', 'offer', 'once-more', 'near', 'build', 'held', 'step-back'),
  looked: fc.constantFrom<(Someone['looked'] & object) | null>(
    null,
    { answer: 'accept', reason: null },
    { answer: 'hold-back', reason: null },
    { answer: 'override', reason: 'seen-it' },
  ),
  mostAttempts: fc.integer({ min: 1, max: 12 }),
  limits: fc.oneof(
    fc.constant(NOT_ASKED),
    fc.subarray(CONDITIONS, { maxLength: 4 }).map((conditions) => limited(...conditions)),
  ),
})

const anyLock = fc.record({
  who: fc.nat(15),
  part: fc.constantFrom<Lock['part']>('skill', 'waves'),
  stageId: fc.constantFrom(...STAGES),
})

/** Any class: people with limits, answers and locks of the teacher's, any room and cupboard. */
export const anyBrief: fc.Arbitrary<Brief> = fc
  .record({
    people: fc.array(anyone, { minLength: 3, maxLength: 14 }),
    locks: fc.array(anyLock, { maxLength: 4 }),
    minutes: fc.integer({ min: 20, max: 90 }),
    bays: fc.integer({ min: 1, max: 5 }),
    straps: fc.nat(8),
    blocks: fc.nat(12),
  })
  .map(({ people, locks, minutes, bays, straps, blocks }) =>
    brief({
      minutes,
      bays,
      cupboard: { straps, blocks },
      people: people.map((p, i) => person(i, p)),
      locks: locks
        .filter(({ who }) => who < people.length)
        .map(({ who, part, stageId }) => ({ studentId: `p${who}`, part, stageId, reason: 'seen-it' })),
    }),
  )
