import { asc, eq, inArray, min } from 'drizzle-orm'
import type { Day } from '@/core/day'
import type { SQLiteTableWithColumns } from 'drizzle-orm/sqlite-core'
import type { Attempt, DrillDone, Evidence, Observation, Placement } from '@/core/readiness/evidence'
import { NO_EVIDENCE } from '@/core/readiness/evidence'
import { attempt, drillDone, note, observation, placement } from './schema'
import { mine, type Scope } from './scope'

/** Where a fact was tapped. */
export type Origin = { readonly deviceId: string; readonly deviceSeq: number }

/** Everything seen of one person, uncorrected: core folds it. */
export function evidenceOf(scope: Scope, studentId: string): Evidence {
  return evidenceOfMany(scope, [studentId]).get(studentId) ?? NO_EVIDENCE
}

/** Everything seen of some people, and of nobody else. */
export function evidenceOfMany(scope: Scope, studentIds: readonly string[]): Map<string, Evidence> {
  const found = new Map<string, { [K in keyof Evidence]: Evidence[K][number][] }>(
    studentIds.map((id) => [id, { observations: [], attempts: [], placements: [] }]),
  )
  for (const row of rowsOf(scope, observation, studentIds))
    found.get(row.studentId)?.observations.push(toObservation(row))
  for (const row of rowsOf(scope, attempt, studentIds))
    found.get(row.studentId)?.attempts.push(toAttempt(row))
  for (const row of rowsOf(scope, placement, studentIds))
    found.get(row.studentId)?.placements.push(toPlacement(row))
  return found
}

type FactTable = typeof observation | typeof attempt | typeof placement
/** Ids in one question at most: SQLite takes many, but a plan is made for each. */
const AT_ONCE = 400

function rowsOf<T extends FactTable>(scope: Scope, table: T, ids: readonly string[]): T['$inferSelect'][] {
  const all = table as unknown as SQLiteTableWithColumns<never> & typeof placement
  const rows: unknown[] = []
  for (let i = 0; i < ids.length; i += AT_ONCE)
    rows.push(
      ...scope.db
        .select()
        .from(all)
        .where(mine(scope, all, inArray(all.studentId, ids.slice(i, i + AT_ONCE))))
        .orderBy(asc(all.hlc))
        .all(),
    )
  return rows as T['$inferSelect'][]
}

/** Appends a result. Returns false when it was there already. */
export function appendObservation(scope: Scope, fact: Observation, origin: Origin): boolean {
  const { kind: _kind, values, ...rest } = fact
  const row = {
    ...rest,
    ...origin,
    studioId: scope.studioId,
    single: values.single ?? null,
    left: values.left ?? null,
    right: values.right ?? null,
    faults: [...fact.faults],
  }
  return (
    scope.db.insert(observation).values(row).onConflictDoNothing({ target: observation.id }).run().changes > 0
  )
}

/** Appends an attempt. Returns false when it was there already. */
export function appendAttempt(scope: Scope, fact: Attempt, origin: Origin): boolean {
  const { kind: _kind, ...rest } = fact
  const row = { ...rest, ...origin, studioId: scope.studioId, faults: [...fact.faults] }
  return scope.db.insert(attempt).values(row).onConflictDoNothing({ target: attempt.id }).run().changes > 0
}

/** Appends a placement by eye. Returns false when it was there already. */
export function appendPlacement(scope: Scope, fact: Placement, origin: Origin): boolean {
  const { kind: _kind, ...rest } = fact
  const row = { ...rest, ...origin, studioId: scope.studioId }
  return (
    scope.db.insert(placement).values(row).onConflictDoNothing({ target: placement.id }).run().changes > 0
  )
}

/** Appends a drill that was done. Returns false when it was there already. */
export function appendDrill(scope: Scope, fact: DrillDone, origin: Origin): boolean {
  const row = { ...fact, ...origin, studioId: scope.studioId }
  return (
    scope.db.insert(drillDone).values(row).onConflictDoNothing({ target: drillDone.id }).run().changes > 0
  )
}

/** Drills that somebody did, uncorrected, oldest first. */
export function drillsOf(scope: Scope, studentId: string): DrillDone[] {
  return scope.db
    .select()
    .from(drillDone)
    .where(mine(scope, drillDone, eq(drillDone.studentId, studentId)))
    .orderBy(asc(drillDone.hlc))
    .all()
    .map(({ deviceId: _d, deviceSeq: _s, studioId: _o, ...fact }) => fact)
}

export type Note = Omit<typeof note.$inferInsert, 'studioId' | 'deviceId' | 'deviceSeq'>

/** Appends a few words. Returns false when they were there already. */
export function appendNote(scope: Scope, fact: Note, origin: Origin): boolean {
  const row = { ...fact, ...origin, studioId: scope.studioId }
  return scope.db.insert(note).values(row).onConflictDoNothing({ target: note.id }).run().changes > 0
}

/** The first day on which anything is on record of some people; whoever has nothing is missing. */
export function firstFactDays(scope: Scope, studentIds: readonly string[]): Map<string, Day[]> {
  const found = new Map<string, Day[]>()
  for (const table of [observation, attempt, placement])
    for (const { studentId, first } of scope.db
      .select({ studentId: table.studentId, first: min(table.day) })
      .from(table)
      .where(mine(scope, table, inArray(table.studentId, [...studentIds])))
      .groupBy(table.studentId)
      .all())
      if (first !== null) found.set(studentId, [...(found.get(studentId) ?? []), first])
  return found
}

/** What was recorded in one class, uncorrected. */
export function attemptsOfClass(scope: Scope, classId: string): Attempt[] {
  return scope.db
    .select()
    .from(attempt)
    .where(mine(scope, attempt, eq(attempt.classId, classId)))
    .orderBy(asc(attempt.hlc))
    .all()
    .map(toAttempt)
}

/** Results of somebody on one day, uncorrected. */
export function observationsOn(scope: Scope, studentId: string, day: Day): Observation[] {
  return scope.db
    .select()
    .from(observation)
    .where(mine(scope, observation, eq(observation.studentId, studentId), eq(observation.day, day)))
    .orderBy(asc(observation.hlc))
    .all()
    .map(toObservation)
}

function toObservation(row: typeof observation.$inferSelect): Observation {
  const { single, left, right, deviceId: _d, deviceSeq: _s, studioId: _o, ...rest } = row
  const values = {
    ...(single === null ? {} : { single }),
    ...(left === null ? {} : { left }),
    ...(right === null ? {} : { right }),
  }
  return { ...rest, kind: 'observation', values }
}

function toAttempt({
  deviceId: _d,
  deviceSeq: _s,
  studioId: _o,
  ...rest
}: typeof attempt.$inferSelect): Attempt {
  return { ...rest, kind: 'attempt' }
}

function toPlacement(row: typeof placement.$inferSelect): Placement {
  const { id, studentId, day, hlc, replaces, stageId } = row
  return { id, studentId, day, hlc, replaces, stageId, kind: 'placement' }
}
