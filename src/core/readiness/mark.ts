import type { Decision, Outcome } from './decide'

/** What stands in a cell: an outcome, or what has none yet. */
export type Mark = Outcome | 'not-seen' | 'may-begin'

/**
 * The mark of a decision. Where nobody has been seen yet an open foot of a ladder is neither offered nor being built:
 * the first rung that asks nothing may begin, any other has not been seen.
 */
export function markOf({
  outcome,
  standing,
  reasons,
  missing,
}: Pick<Decision, 'outcome' | 'standing' | 'reasons' | 'missing'>): Mark {
  if (standing !== null) return outcome
  if (outcome === 'offer' && reasons.some((r) => r.code === 'no-gates')) return 'may-begin'
  return outcome === 'build' && missing.every((g) => g.value === null) ? 'not-seen' : outcome
}
