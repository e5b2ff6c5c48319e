import { addDays } from '@/core/day'
import type { Attempt, Evidence, Observation, Placement, Values } from '@/core/readiness/evidence'
import { shippedPractice } from '@/core/practice/library'
import { LOAD_TAGS, type LoadTag } from '@/core/practice/schema'
import type { Within } from '@/core/readiness/within'
import type { Caps } from '@/core/screening/caps'
import type { CheckIn } from '@/core/screening/tonight'
import { NO_EVIDENCE, PLAIN_RESULT, PLAIN_TRY } from '@/core/readiness/evidence'

export const TODAY = '2026-03-10'

let counter = 0
const fact = (daysAgo: number) => {
  counter += 1
  const id = `f${String(counter).padStart(6, '0')}`
  return { id, studentId: 's', day: addDays(TODAY, -daysAgo), hlc: id, replaces: null }
}

/** A watched, valid result some days ago. */
export function saw(
  checkId: string,
  value: number | Values,
  daysAgo = 1,
  part: Partial<Observation> = {},
): Observation {
  const values = typeof value === 'number' ? { single: value } : value
  return {
    ...fact(daysAgo),
    ...PLAIN_RESULT,
    checkId,
    values,
    ...part,
  }
}

/** A clean try at a stage some days ago. */
export function did(stageId: string, daysAgo = 1, part: Partial<Attempt> = {}): Attempt {
  return {
    ...fact(daysAgo),
    ...PLAIN_TRY,
    stageId,
    ...part,
  }
}

/** Placed by eye some days ago. */
export function placed(stageId: string, daysAgo = 1): Placement {
  return { ...fact(daysAgo), kind: 'placement', stageId }
}

/** Facts sorted into evidence. */
export function evidence(...facts: (Observation | Attempt | Placement)[]): Evidence {
  return facts.reduce<Evidence>(
    (all, f) =>
      f.kind === 'observation'
        ? { ...all, observations: [...all.observations, f] }
        : f.kind === 'attempt'
          ? { ...all, attempts: [...all.attempts, f] }
          : { ...all, placements: [...all.placements, f] },
    NO_EVIDENCE,
  )
}

/** What every load asks for, shown: ranges, head low, ways out, legs even. */
export function ready(daysAgo = 1): Observation[] {
  const both = { left: 1, right: 1 }
  return [
    saw('CK-wrist-extension', { left: 90, right: 90 }, daysAgo),
    saw('CK-neck-range', 1, daysAgo),
    saw('CK-neck-flexion', 0, daysAgo),
    saw('CK-hbh-tolerance', 1, daysAgo),
    ...shippedPractice().exits.map(({ id }) => saw('CK-exit-rehearsed', both, daysAgo, { exitId: id })),
    saw('CK-both-leads', 0, daysAgo),
    saw('CK-lotus-hips', both, daysAgo),
    saw('CK-crown-proportion', { left: 4, right: 4 }, daysAgo),
  ]
}

/** Somebody who may carry anything that these limits leave. */
export function within({ caps, answered }: Pick<Caps, 'caps' | 'answered'>): Within {
  const most = Object.fromEntries(LOAD_TAGS.map((tag) => [tag, 3])) as Record<LoadTag, number>
  return { caps, answered, most }
}

/** A check-in of today that lowers nothing, but for what is said. */
export function saidTonight(part: Partial<CheckIn> = {}): CheckIn {
  return {
    ...{ day: TODAY, pain: 0, regions: [], energy: 8, arms: 0, look: 'whole', ticked: [], touch: 'ask' },
    ...part,
  }
}
