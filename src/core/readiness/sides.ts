import { isSpan } from '../body/spans'
import { daysBetween, type Day } from '../day'
import type { Library } from '../practice/library'
import type { ReadinessCheck } from '../practice/schema'
import { EVIDENCE_WINDOW_DAYS, resultsOf, type Observation } from './evidence'

/** One side that is behind the other on a check. */
export type SideGap = {
  readonly checkId: string
  readonly weaker: 'left' | 'right'
  /** Of the better side, on the newest day. */
  readonly share: number
  /** Days on which it was wide; from three on the teacher is told. */
  readonly wideDays: readonly Day[]
  readonly told: boolean
}

/** A gap over this adds work on the weaker side; over the second, on so many days, it is shown (ruling 15). */
const ADDS_WORK_OVER = 0.15
const WIDE_OVER = 0.3
const TOLD_DAYS = 3
/** Counted in fists, hands or levels a gap of more than one adds work (drills-and-checks.md CK-backs-reach). */
const SPANS_OVER = 1

/**
 * Sides that differ, from watched, valid results of the last six weeks, widest first.
 * @param observations already folded, in clock order
 */
export function sideGaps(practice: Library, observations: readonly Observation[], asOf: Day): SideGap[] {
  return practice.checks
    .filter((check) => check.side === 'each' && check.kind !== 'yes-no')
    .flatMap((check) => {
      const days = gapsByDay(check, observations, asOf)
      const newest = days.at(-1)
      if (!newest || !newest.matters) return []
      const wideDays = days.filter((d) => d.share > WIDE_OVER && d.weaker === newest.weaker).map((d) => d.day)
      const told = !isSpan(check.unit) && check.kind !== 'level' && wideDays.length >= TOLD_DAYS
      return [{ checkId: check.id, weaker: newest.weaker, share: newest.share, wideDays, told }]
    })
    .sort((a, b) => b.share - a.share || (a.checkId < b.checkId ? -1 : 1))
}

type DayGap = { day: Day; weaker: 'left' | 'right'; share: number; matters: boolean }

/** The last result of each day. */
function gapsByDay(check: ReadinessCheck, observations: readonly Observation[], asOf: Day): DayGap[] {
  const byDay = new Map<Day, DayGap>()
  for (const o of resultsOf(observations, check.id)) {
    const { left, right } = o.values
    if (left === undefined || right === undefined || !o.valid || !o.watched) continue
    if (daysBetween(o.day, asOf) > EVIDENCE_WINDOW_DAYS) continue
    const best = Math.max(left, right)
    const share = best === 0 ? 0 : Math.abs(left - right) / best
    const counted = isSpan(check.unit) || check.kind === 'level'
    const matters = counted ? Math.abs(left - right) > SPANS_OVER : share > ADDS_WORK_OVER
    const weaker = left < right === (check.betterIs !== 'less') ? 'left' : 'right'
    byDay.set(o.day, { day: o.day, weaker, share, matters })
  }
  return [...byDay.values()]
}
