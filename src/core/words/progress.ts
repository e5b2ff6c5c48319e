import { formatDay } from '../day'
import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import type { BeforeGains } from '../progress/before-gains'
import type { Away, Stretch } from '../progress/path-time'
import type { Still } from '../progress/still'
import { MOST_GROWTH, type WeekLoad } from '../progress/week-load'
import { count, list, METRIC, percent, type Wording } from './number'
import { shown } from './reason'

/** How long somebody stood on a step: `10 Feb to 3 Mar`, `since 3 Mar`. */
export function describeStretch({ from, to, began }: Stretch): string {
  const when = to === null ? `since ${formatDay(from)}` : `${formatDay(from)} to ${formatDay(to)}`
  return began === 'down' ? `${when}, a step back` : when
}

/** Weeks away that moved the standing. */
export function describeAway({ from, to, days }: Away): string {
  return `Away ${count(Math.round(days / 7), 'week')}, ${formatDay(from)} to ${formatDay(to)}.`
}

/** Minutes of work, as a table holds them. */
export function minutes(seconds: number): string {
  return seconds === 0
    ? '–'
    : seconds < 60
      ? `${Math.round(seconds)} s`
      : `${Math.round(seconds / 6) / 10} min`
}

/** What grew too fast in a week, and what to do; empty where nothing did. */
export function describeGrowth(week: WeekLoad): string {
  if (week.grewTooFast.length === 0) return ''
  const what = list(week.grewTooFast.map((part) => (part === 'hops' ? 'tries' : `work of the ${part}`)))
  return `More than ${percent(MOST_GROWTH)} up on the last week: ${what}. Hold it there next week.`
}

/** A result that stands still, and what to drill in place of what was drilled. */
export function describeStill(practice: Library, still: Still, wording: Wording = METRIC): string {
  const check = findById(practice.checks, still.checkId)
  const name = (id: string): string => findById(practice.drills, id).name
  const at = `${check.name} has stood at about ${shown(check, Math.round(still.value), wording)} for ${count(still.weeks, 'week')}.`
  if (still.drillId === null) return `${at} No drill for it is open to them: look at what closes it.`
  if (still.insteadId === null)
    return `${at} ${name(still.drillId)} is the one drill for it that is open: change its dose or its day.`
  return `${at} In place of ${name(still.drillId).toLowerCase()}: ${name(still.insteadId).toLowerCase()}.`
}

/** What came before somebody's rises, beside the days without one. */
export function describeBefore(practice: Library, found: BeforeGains): string {
  const { checkId, drillId, before, rises, beforeOthers, others } = found
  const check = findById(practice.checks, checkId).name
  const drill = findById(practice.drills, drillId).name
  const beside = others === 0 ? '' : `, and before ${beforeOthers} of ${count(others, 'day')} without a rise`
  return `${check} rose ${count(rises, 'time')}; ${drill} came before ${before} of them${beside}. That it came before does not say that it helped.`
}
