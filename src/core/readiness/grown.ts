import { daysBetween, type Day } from '../day'
import { holdSeconds } from '../practice/dose'
import type { Library } from '../practice/library'
import type { Attempt } from './evidence'

/** A week grows by no more than a fifth, whatever its own rule gives (A38; class-craft.md 12). */
const MOST_GROWTH = 1.2
/** Longer ago than this somebody is a rung back (ruling 4): what was held then is begun again at the usual dose, days. */
const LAYOFF_DAYS = 21

/**
 * How long somebody may hold stages that grow over weeks, s: from the longest clean hold of their own on the last day
 * that they did it, its own seconds a week more where a week has passed, a fifth at most, and never past where it leads.
 * A last day that was not clean all through, on which any fault was seen, or that lies three weeks back, leaves the usual
 * dose: a hold is taken for what it shows, not for what it was called.
 * @returns by stage, only where it is more than the usual dose
 */
export function grownHolds(
  { stages }: Pick<Library, 'stages'>,
  attempts: readonly Attempt[],
  by: { readonly today: Day; readonly breathS: number; readonly firstMonth: boolean },
): Record<string, number> {
  const found: Record<string, number> = {}
  for (const { id, dose } of stages) {
    if (!dose.growth) continue
    const own = attempts.filter((a) => a.stageId === id && !a.withdrawn && a.day < by.today)
    const lastDay = own
      .map((a) => a.day)
      .sort()
      .at(-1)
    if (lastDay === undefined || daysBetween(lastDay, by.today) > LAYOFF_DAYS) continue
    const last = own.filter((a) => a.day === lastDay)
    if (last.some((a) => a.outcome !== 'clean' || !a.exitControlled || a.faults.length > 0)) continue
    const longest = Math.max(0, ...last.map((a) => (a.help === 'alone' ? (a.seconds ?? 0) : 0)))
    const { weeklyS, toS, firstMonthS } = dose.growth
    const grown =
      daysBetween(lastDay, by.today) >= 7 ? Math.min(longest + weeklyS, longest * MOST_GROWTH) : longest
    const most = Math.min(toS, by.firstMonth ? (firstMonthS ?? toS) : toS)
    const holdS = Math.floor(Math.min(grown, most))
    if (holdS > holdSeconds(dose, by.breathS)) found[id] = holdS
  }
  return found
}
