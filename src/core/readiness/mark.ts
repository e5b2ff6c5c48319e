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

/** Nearest to a next step first. */
const NEAREST: readonly Mark[] = [
  'offer',
  'once-more',
  'near',
  'step-back',
  'not-now',
  'build',
  'held',
  'may-begin',
  'not-seen',
]

/** How near a mark is to a next step: 0 is nearest. */
export function nearness(mark: Mark): number {
  return NEAREST.indexOf(mark)
}

/** The ladder to speak of first: one that is worked on before one nobody has begun, then the nearest. */
export function nearestOf<D extends Pick<Decision, 'outcome' | 'standing' | 'reasons' | 'missing'>>(
  decisions: readonly D[],
): D | undefined {
  const rank = (d: D): number => (d.standing ? 0 : NEAREST.length) + nearness(markOf(d))
  return decisions.toSorted((a, b) => rank(a) - rank(b))[0]
}
