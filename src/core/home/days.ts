import { addDays, daysBetween, type Day } from '../day'

/** Hard days for the arms stand two days apart: 48 hours (class-craft.md 12, 17). */
const APART = 2
const WEEK = 7

/**
 * Days of the coming week for practice at home: two days apart from one another and from every class.
 * @param from the day it is made; sessions begin the day after
 * @returns as many as fit, at most `times`
 */
export function sessionDays(from: Day, times: number, classDays: readonly Day[]): Day[] {
  const free = Array.from({ length: WEEK }, (_, i) => addDays(from, i + 1)).filter((day) =>
    classDays.every((c) => gap(c, day) >= APART),
  )
  // The largest set of free days that keeps its distance: taking the earliest each time is the largest there is.
  const days: Day[] = []
  for (const day of free) {
    const last = days.at(-1)
    if (days.length < times && (last === undefined || gap(last, day) >= APART)) days.push(day)
  }
  return days
}

function gap(a: Day, b: Day): number {
  return Math.abs(daysBetween(a, b))
}
