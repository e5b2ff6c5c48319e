import { daysBetween, type Day } from '../day'
import type { LoadTag } from '../practice/schema'
import type { Cap, Caps } from '../screening/caps'
import type { Forbidden } from './resolve'

/**
 * What the studio holds for everybody in it. Teacher, class and student settings can be stricter, never looser
 * (ruling 14).
 */
export type StudioFloor = {
  /** Options that nobody here may choose. */
  readonly forbidden: Forbidden
  /** Loads that this room does not do, from a level up. */
  readonly closed: readonly { readonly tag: LoadTag; readonly level: 1 | 2 | 3 }[]
  /** Attempts a person and class at most; null for the practice's own cap. */
  readonly mostAttempts: number | null
}

export const NO_FLOOR: StudioFloor = { forbidden: [], closed: [], mostAttempts: null }

/** The practice's own cap on attempts in a class, and in somebody's first month (ruling 15). */
export const ATTEMPT_CAP = { usual: 12, firstMonth: 8, min: 1 } as const
const FIRST_MONTH_DAYS = 30

/**
 * What the first month asks for, or null once it is over. It begins with the first thing on record, or the day somebody
 * was added, whichever is earlier.
 */
export function firstMonthCap(begun: readonly Day[], today: Day): number | null {
  const first = [...begun].sort()[0]
  return isFirstMonth(first, today) ? ATTEMPT_CAP.firstMonth : null
}

/** The studio's closed loads as limits: nobody's clearance lifts them, and no teacher. */
export function floorCaps({ closed }: StudioFloor): Caps {
  return {
    answered: true,
    cleared: [],
    caps: closed.map(({ tag, level }): Cap => ({
      ruleId: 'STUDIO',
      action: 'stop',
      tag,
      level,
      mostSeconds: null,
      change: null,
      instead: 'What this room does instead of it.',
      needsClearance: false,
    })),
  }
}

/** The lower of what each level asks for: a setting below the studio can only lower it. */
export function attemptCap(floor: StudioFloor, ...below: readonly (number | null)[]): number {
  return Math.min(
    ...[floor.mostAttempts, ...below].flatMap((n) => (n === null ? [] : [n])),
    ATTEMPT_CAP.usual,
  )
}

/** Whether somebody is in their first month; whoever has nothing on record begins it. */
export function isFirstMonth(first: Day | undefined, today: Day): boolean {
  return first === undefined || daysBetween(first, today) < FIRST_MONTH_DAYS
}
