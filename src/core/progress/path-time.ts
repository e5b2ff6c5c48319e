import { daysBetween, type Day } from '../day'
import type { Turning } from '../readiness/replay'
import { rungsFor } from '../readiness/layoff'

/** A stretch of time on one step. */
export type Stretch = {
  readonly stageId: string | null
  readonly from: Day
  /** The day on which another began; null where it is so still. */
  readonly to: Day | null
  /** How it began: up, down, or the first that is known. */
  readonly began: 'first' | 'up' | 'down'
}

/** Weeks away that moved the standing. */
export type Away = { readonly from: Day; readonly to: Day; readonly days: number }

/**
 * The steps somebody stood on, oldest first, from the turning points of their decisions.
 * @param turnings newest first, as `turningPoints` gives them
 * @param order a step's place on its ladder, −1 where it is not on it
 */
export function stretchesOf(turnings: readonly Turning[], order: (stageId: string) => number): Stretch[] {
  const stretches: { stageId: string | null; from: Day; to: Day | null; began: Stretch['began'] }[] = []
  for (const { day, standingId } of turnings.toReversed()) {
    const last = stretches.at(-1)
    if (last && last.stageId === standingId) continue
    if (last) last.to = day
    const at = (id: string | null): number => (id === null ? -1 : order(id))
    const began = !last ? 'first' : at(standingId) >= at(last.stageId) ? 'up' : 'down'
    stretches.push({ stageId: standingId, from: day, to: null, began })
  }
  return stretches
}

/** Gaps between days of practice that were long enough to move a standing, and the one that runs now. */
export function awaysOf(days: readonly Day[], asOf: Day): Away[] {
  const sorted = [...new Set(days)].filter((d) => d <= asOf).sort()
  return sorted.flatMap((from, i) => {
    const to = sorted[i + 1] ?? asOf
    const gap = daysBetween(from, to)
    return rungsFor(gap) > 0 ? [{ from, to, days: gap }] : []
  })
}
