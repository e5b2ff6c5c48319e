import type { Decision } from '../readiness/decide'

/** One person's answer before and after a setting. */
export type Shift = {
  readonly studentId: string
  readonly family: string
  readonly from: Pick<Decision, 'outcome' | 'targetId'>
  readonly to: Pick<Decision, 'outcome' | 'targetId'>
}

/** For whom a setting would change what comes next; the same people in the same order on both sides. */
export function shiftsBetween(before: readonly Decision[], after: readonly Decision[]): Shift[] {
  return before.flatMap((from, i): Shift[] => {
    const to = after[i]
    if (!to || to.studentId !== from.studentId || to.family !== from.family)
      throw new Error('decisions to compare must be of the same people and families')
    if (from.outcome === to.outcome && from.targetId === to.targetId) return []
    return [{ studentId: from.studentId, family: from.family, from, to }]
  })
}
