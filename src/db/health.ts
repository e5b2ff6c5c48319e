import { and, asc, eq, inArray, lt } from 'drizzle-orm'
import type { Day } from '@/core/day'
import { lastAsked, NO_SCREENING, type Screening } from '@/core/screening/answers'
import type { Clearance } from '@/core/screening/clearance'
import type { CheckIn } from '@/core/screening/tonight'
import { seal, unseal, type HealthKey } from './health-codec'
import { healthRecord } from './schema'
import { addOnce, dropRows, rowsOf } from './rows'
import type { Scope } from './scope'

export type HealthFile = {
  readonly screening: Screening
  readonly clearances: readonly Clearance[]
  /** Tonight's words, oldest first. */
  readonly checkIns: readonly CheckIn[]
  /** Something is stored that this key does not open: it counts as not answered. */
  readonly shut: boolean
}

/** Nothing said yet. */
export const EMPTY_HEALTH: HealthFile = { screening: NO_SCREENING, clearances: [], checkIns: [], shut: false }

type Row = typeof healthRecord.$inferSelect

/** What one person has said, and what a clinician has cleared. */
export function readHealth(scope: Scope, key: HealthKey | null, studentId: string): HealthFile {
  return readHealthOf(scope, key, [studentId]).get(studentId) ?? EMPTY_HEALTH
}

/** The same for some people, and for nobody else: whoever has said nothing is missing. */
export function readHealthOf(
  scope: Scope,
  key: HealthKey | null,
  studentIds: readonly string[],
): Map<string, HealthFile> {
  const rows = rowsOf(
    scope,
    healthRecord,
    inArray(healthRecord.studentId, [...studentIds]),
    asc(healthRecord.day),
    asc(healthRecord.hlc),
    asc(healthRecord.id),
  )
  const people = new Map<string, Row[]>()
  for (const row of rows) people.set(row.studentId, [...(people.get(row.studentId) ?? []), row])
  return new Map([...people].map(([id, own]) => [id, foldRows(key, own)]))
}

function foldRows(key: HealthKey | null, rows: readonly Row[]): HealthFile {
  let file = EMPTY_HEALTH
  for (const row of rows) {
    const value = key ? unseal(key, row.studentId, row.sealed) : null
    if (value === null) file = { ...file, shut: true }
    else if (row.kind === 'clearance')
      file = { ...file, clearances: [...file.clearances, value as Clearance] }
    else if (row.kind === 'check-in') file = { ...file, checkIns: [...file.checkIns, value as CheckIn] }
    else file = { ...file, screening: merged(file.screening, value as Said) }
  }
  return file
}

/** One thing that was said; `gentle` is null where it was not spoken of. */
export type Said = Omit<Screening, 'gentle'> & { readonly gentle: boolean | null }

/** Later answers come after earlier ones; what was not spoken of stays as it was. */
function merged(before: Screening, after: Said): Screening {
  const waits = [
    ...(before.waits ?? []).filter((w) => !after.answers.some((a) => a.question === w.question)),
    ...(after.waits ?? []),
  ]
  return {
    answers: [...before.answers, ...after.answers],
    nothingApplies: after.nothingApplies ?? before.nothingApplies,
    gentle: after.gentle ?? before.gentle,
    asked: lastAsked(before.asked ?? null, after),
    ...(waits.length > 0 ? { waits } : {}),
  }
}

type Entry = {
  readonly id: string
  readonly studentId: string
  readonly day: Day
  /** Clock of the device, where one was at hand. */
  readonly hlc?: string
}

/** Adds what somebody said. Ids come from the form, so a second press stores nothing twice. */
export function addScreening(scope: Scope, key: HealthKey, entry: Entry, said: Said): void {
  add(scope, key, entry, 'screening', said)
}

/** Adds a clinician's clearance. */
export function addClearance(scope: Scope, key: HealthKey, entry: Entry, clearance: Clearance): void {
  add(scope, key, entry, 'clearance', clearance)
}

/** How long the words of a check-in are kept, days (cautions.md 6). */
export const CHECK_IN_DAYS = 30

/** Adds what somebody said at the door, and lets go of what is older than it need be kept. */
export function addCheckIn(
  scope: Scope,
  key: HealthKey,
  entry: Entry,
  checkIn: CheckIn,
  keepFrom: Day,
): boolean {
  const isNew = add(scope, key, entry, 'check-in', checkIn)
  dropRows(scope, healthRecord, and(eq(healthRecord.kind, 'check-in'), lt(healthRecord.day, keepFrom)))
  return isNew
}

function add(scope: Scope, key: HealthKey, entry: Entry, kind: Row['kind'], value: unknown): boolean {
  return addOnce(scope, healthRecord, { ...entry, kind, sealed: seal(key, entry.studentId, value) })
}

/** Takes everything that one person said of their health away; answers are unknown after it. */
export function eraseHealth(scope: Scope, studentId: string): number {
  return dropRows(scope, healthRecord, eq(healthRecord.studentId, studentId))
}
