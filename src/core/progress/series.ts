import { addDays, type Day } from '../day'
import type { ReadinessCheck } from '../practice/schema'
import { weakerValue, type Observation } from '../readiness/evidence'

/** Weeks that a series may have: shorter is a class, longer is a year. */
export const SERIES_WEEKS = { min: 2, max: 16 } as const

/** Days of one week of a series, from its first day on. */
export function weekOf(firstDay: Day, week: number): { readonly from: Day; readonly to: Day } {
  return { from: addDays(firstDay, 7 * week), to: addDays(firstDay, 7 * week + 6) }
}

/** Which week a day lies in; −1 before the first, `weeks` after the last. */
export function weekAt(firstDay: Day, weeks: number, day: Day): number {
  for (let week = 0; week < weeks; week += 1) {
    const { from, to } = weekOf(firstDay, week)
    if (day < from) return week - 1
    if (day <= to) return week
  }
  return weeks
}

/**
 * What each week is about: the checks that hold back most people, most first, each as many weeks as its share, and one at
 * least while there are weeks; the last week is for the step itself (null).
 * @param missing of each person the checks that stand between them and their next step
 */
export function proposeFocus(missing: readonly (readonly string[])[], weeks: number): (string | null)[] {
  const held = new Map<string, number>()
  for (const own of missing) for (const check of new Set(own)) held.set(check, (held.get(check) ?? 0) + 1)
  const order = [...held].toSorted(([a, n], [b, m]) => m - n || (a < b ? -1 : 1)).slice(0, weeks - 1)
  const all = order.reduce((sum, [, n]) => sum + n, 0)
  const free = weeks - 1
  const focus = order.flatMap(([check, n]) =>
    Array.from({ length: Math.max(1, Math.floor((free * n) / Math.max(1, all))) }, () => check),
  )
  // What rounding left goes to what holds back most.
  while (order[0] && focus.length < free) focus.unshift(order[0][0])
  return [
    ...focus.slice(0, free),
    ...Array.from({ length: weeks - Math.min(focus.length, free) }, () => null),
  ]
}

/** The best of a check before a week and in it, where the week's is better; null where nothing got better. */
export function betterIn(
  check: ReadinessCheck,
  observations: readonly Observation[],
  { from, to }: { readonly from: Day; readonly to: Day },
): { readonly before: number; readonly now: number } | null {
  const isLess = check.betterIs === 'less'
  const values = (counts: (day: Day) => boolean): number[] =>
    observations.flatMap((o) => {
      return o.checkId === check.id && o.valid && !o.withdrawn && counts(o.day)
        ? [weakerValue(o.values, isLess)]
        : []
    })
  const best = (all: number[]): number | null =>
    all.length === 0 ? null : isLess ? Math.min(...all) : Math.max(...all)
  const before = best(values((day) => day < from))
  const now = best(values((day) => day >= from && day <= to))
  if (before === null || now === null) return null
  return (isLess ? now < before : now > before) ? { before, now } : null
}
