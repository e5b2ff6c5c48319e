import { addDays, type Day } from '../day'
import type { LoadTag } from '../practice/schema'

/** A clinician's yes, for the tags and levels it names and no others (ruling 2). */
export type Clearance = {
  readonly tags: readonly { readonly tag: LoadTag; readonly upTo: number }[]
  readonly clinician: string
  readonly basis: 'letter-seen' | 'student-reports'
  readonly day: Day
  readonly expires: Day
}

export type ClearanceRefusal =
  | { code: 'clearance-without-clinician' }
  | { code: 'clearance-without-tags' }
  | { code: 'clearance-in-the-future'; day: Day }
  | { code: 'clearance-expires-before-it-starts'; expires: Day }
  | { code: 'clearance-too-long'; most: Day }

/** Longest a clearance runs unless a nearer day is given, days (cautions.md 2.1: 12 months). */
const MOST_DAYS = 365

/** Conditions for which the student's own word is not enough (cautions.md 2.1 and ruling 2). */
const LETTER_ONLY: ReadonlySet<string> = new Set([
  'BPH-open',
  'EYE-P',
  'EYE-R',
  'HEART',
  'FAINT-open',
  'VASC',
  'NECK-struct',
  'NECK-nerve',
  'BONE-1',
  'CONC',
  'SEIZ',
  'PREG',
  'SURG-recent',
  'BACK-alarm',
])

/** Whether a clearance lifts a Stop on a tag and level for any of the conditions behind it. */
export function lifts(
  clearance: Clearance,
  tag: LoadTag,
  level: number,
  conditions: readonly string[],
  asOf: Day,
): boolean {
  if (clearance.day > asOf || clearance.expires < asOf) return false
  if (clearance.basis !== 'letter-seen' && conditions.some((c) => LETTER_ONLY.has(c))) return false
  return clearance.tags.some((t) => t.tag === tag && t.upTo >= level)
}

/** What is wrong with a clearance as entered, or null. */
export function clearanceProblem(clearance: Clearance, today: Day): ClearanceRefusal | null {
  if (clearance.clinician.trim() === '') return { code: 'clearance-without-clinician' }
  if (clearance.tags.length === 0) return { code: 'clearance-without-tags' }
  if (clearance.day > today) return { code: 'clearance-in-the-future', day: clearance.day }
  if (clearance.expires <= clearance.day)
    return { code: 'clearance-expires-before-it-starts', expires: clearance.expires }
  const most = usualExpiry(clearance.day)
  if (clearance.expires > most) return { code: 'clearance-too-long', most }
  return null
}

/** The last day of a clearance given on a day, where nothing nearer is said. */
export function usualExpiry(day: Day): Day {
  return addDays(day, MOST_DAYS)
}
