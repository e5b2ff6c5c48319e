import { addDays, type Day } from '../day'
import type { Region } from '../screening/regions'
import type { CheckIn } from '../screening/tonight'

/** Twice in four weeks is no chance any more (drills-and-checks.md, class-craft.md 19). */
const WEEKS = 4
const TIMES = 2
/** From here something hurts rather than feels worked, 0–10. */
const HURTS_FROM = 3

/** Regions that somebody named as sore on several days of the last four weeks, with those days. */
export function soreAgain(
  checkIns: readonly CheckIn[],
  asOf: Day,
): { readonly region: Region; readonly days: readonly Day[] }[] {
  const from = addDays(asOf, -7 * WEEKS)
  const byRegion = new Map<Region, Set<Day>>()
  for (const { day, pain, regions } of checkIns) {
    if (day < from || day > asOf || pain < HURTS_FROM) continue
    for (const region of regions) byRegion.set(region, (byRegion.get(region) ?? new Set()).add(day))
  }
  return [...byRegion].flatMap(([region, days]) =>
    days.size >= TIMES ? [{ region, days: [...days].sort() }] : [],
  )
}
