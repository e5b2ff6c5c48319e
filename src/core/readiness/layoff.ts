import { daysBetween, type Day } from '../day'
import type { Evidence } from './evidence'
import { isCleanWork, passes } from './favourable'
import type { Ladder } from './ladder'

/** Ruling 4: over 21 days away is one rung, over 60 two and fresh checks. */
const LAYOFF_ONE_DAYS = 21
const LAYOFF_TWO_DAYS = 60

/**
 * Days on which somebody showed something of a family: clean work, a check that passes one of its gates, a placement by
 * eye. A poor result is no sign of practice here, so that it can never end a layoff and open a stage.
 * @param evidence already folded
 */
export function activeDays(ladder: Ladder, evidence: Evidence): Day[] {
  const { stages, order } = ladder
  const days = new Set<Day>()
  for (const a of evidence.attempts) if (order(a.stageId) >= 0 && isCleanWork(a)) days.add(a.day)
  for (const p of evidence.placements) if (p.stageId !== null && order(p.stageId) >= 0) days.add(p.day)
  const gates = stages.flatMap((s) => s.gates.filter((g) => g.life === 'standing' && !g.rule))
  for (const day of passes(gates, evidence.observations)) days.add(day)
  return [...days].sort()
}

/** Rungs that a gap of so many days takes. */
export function rungsFor(gapDays: number): 0 | 1 | 2 {
  return gapDays > LAYOFF_TWO_DAYS ? 2 : gapDays > LAYOFF_ONE_DAYS ? 1 : 0
}

/** The longest gap between days from one day on, up to another, days. */
export function longestGap(days: readonly Day[], from: Day, to: Day): number {
  let longest = 0
  let last = from
  for (const day of days) {
    if (day <= from || day > to) continue
    longest = Math.max(longest, daysBetween(last, day))
    last = day
  }
  return longest
}
