import { addDays, daysBetween, type Day } from '../day'
import { holdSeconds } from '../practice/dose'
import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import type { Load } from '../practice/schema'
import type { Attempt, DrillDone } from '../readiness/evidence'
import { leavesFloor } from '../readiness/gate'
import { jointsOf } from '../readiness/recent-load'

/** What one week asked of somebody. */
export type WeekLoad = {
  /** Its Monday. */
  readonly week: Day
  /** Tries that leave the floor. */
  readonly hops: number
  /** Seconds of hard work by joint. */
  readonly seconds: Readonly<Record<string, number>>
  /** What grew by more than a fifth over the last week with any of it: `hops`, or a joint. */
  readonly grewTooFast: readonly string[]
}

/** Tries and seconds grow by no more than this from week to week (class-craft.md 12, A29). */
export const MOST_GROWTH = 0.2
/** Under so many tries, or seconds, a fifth more is one try more and says nothing. */
const LEAST_TO_COMPARE = { hops: 5, seconds: 60 } as const
/** A week is compared with the last of so many before it that had any. */
const COMPARED_WEEKS = 4
/** Hours between hard days for the arms are 48: the day after is too soon (class-craft.md 12). */
const LEAST_DAYS_BETWEEN = 2

/** The Monday of a day's week. */
export function mondayOf(day: Day): Day {
  const weekday = new Date(`${day}T00:00:00Z`).getUTCDay()
  return addDays(day, -((weekday + 6) % 7))
}

/**
 * What each of the last weeks asked, oldest first, weeks of rest among them.
 * @param attempts and @param drills already folded
 */
export function weekLoads(
  practice: Library,
  attempts: readonly Attempt[],
  drills: readonly DrillDone[],
  asOf: Day,
  weeks = 8,
): WeekLoad[] {
  const first = addDays(mondayOf(asOf), -7 * (weeks - 1 + COMPARED_WEEKS))
  const all: { week: Day; hops: number; seconds: Record<string, number> }[] = []
  for (let week = first; week <= asOf; week = addDays(week, 7)) all.push({ week, hops: 0, seconds: {} })
  const into = (day: Day, load: Load, hops: number, seconds: number): void => {
    const at = all[Math.floor(daysBetween(first, day) / 7)]
    if (!at || day < first || day > asOf) return
    at.hops += hops
    for (const joint of jointsOf(load)) at.seconds[joint] = (at.seconds[joint] ?? 0) + seconds
  }
  for (const a of attempts) {
    const stage = findById(practice.stages, a.stageId)
    // Whoever stopped, or did not arrive, was not up for the whole of the usual time: nothing is made up for them.
    const held = a.seconds ?? (a.outcome === 'clean' ? holdSeconds(stage.dose) : 0)
    into(a.day, stage.load, leavesFloor(stage) ? 1 : 0, held)
  }
  for (const d of drills) {
    const drill = practice.drills.find(({ id }) => id === d.drillId)
    if (drill) into(d.day, drill.load, 0, (d.amount ?? 0) * (isHeld(drill.dose) ? 1 : REPETITION_S))
  }
  return all.map((now, i) => ({ ...now, grewTooFast: grown(now, all.slice(0, i)) })).slice(-weeks)
}

/** A repetition is taken at three seconds. */
const REPETITION_S = 3

function isHeld(dose: Parameters<typeof holdSeconds>[0]): boolean {
  return dose.seconds !== undefined || dose.breaths !== undefined
}

type Week = Pick<WeekLoad, 'hops' | 'seconds'>

function grown(now: Week, before: readonly Week[]): string[] {
  const recent = before.slice(-COMPARED_WEEKS)
  const over = (value: number, last: number | undefined, least: number): boolean =>
    last !== undefined && last >= least && value > last * (1 + MOST_GROWTH)
  const lastHops = recent.findLast((w) => w.hops > 0)?.hops
  return [
    ...(over(now.hops, lastHops, LEAST_TO_COMPARE.hops) ? ['hops'] : []),
    ...Object.entries(now.seconds).flatMap(([joint, seconds]) => {
      const last = recent.findLast((w) => (w.seconds[joint] ?? 0) > 0)?.seconds[joint]
      return over(seconds, last, LEAST_TO_COMPARE.seconds) ? [joint] : []
    }),
  ]
}

/** Hard days for the arms that followed another too soon: the second of each pair, oldest first. */
export function tooSoon(
  practice: Library,
  attempts: readonly Attempt[],
  drills: readonly DrillDone[],
): Day[] {
  const hard = new Set<Day>()
  for (const a of attempts) if (isHard(findById(practice.stages, a.stageId).load)) hard.add(a.day)
  for (const d of drills) {
    const drill = practice.drills.find(({ id }) => id === d.drillId)
    if (drill && isHard(drill.load)) hard.add(d.day)
  }
  const days = [...hard].sort()
  return days.filter((day, i) => i > 0 && daysBetween(days[i - 1] ?? day, day) < LEAST_DAYS_BETWEEN)
}

/** Weight on hands, forearms or shoulders from level 2 on. */
function isHard(load: Load): boolean {
  return jointsOf(load).some((joint) => joint === 'wrist' || joint === 'shoulder')
}
