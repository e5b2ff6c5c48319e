import { and, asc, eq, getTableColumns, sql, type Column, type SQL } from 'drizzle-orm'
import type { Day } from '@/core/day'
import type { Attempt, DrillDone, Evidence, Observation, Placement } from '@/core/readiness/evidence'
import { NO_EVIDENCE } from '@/core/readiness/evidence'
import { keptEvidence } from './kept-evidence'
import { readAgain } from './ledger'
import { attempt, drillDone, note, observation, placement } from './schema'
import { addOnce, rowsOf } from './rows'
import type { Scope } from './scope'

/** Where a fact was tapped. */
export type Origin = { readonly deviceId: string; readonly deviceSeq: number }

/** Everything seen of one person, uncorrected: core folds it. */
export function evidenceOf(scope: Scope, studentId: string): Evidence {
  return evidenceOfMany(scope, [studentId]).get(studentId) ?? NO_EVIDENCE
}

/** Everything seen of some people, and of nobody else. */
export function evidenceOfMany(scope: Scope, studentIds: readonly string[]): Map<string, Evidence> {
  const kept = (id: string): Evidence => keptEvidence(scope, id, () => readEvidence(scope, id))
  return new Map(studentIds.map((id) => [id, readAgain(() => kept(id), Object.is)]))
}

function readEvidence(scope: Scope, id: string): Evidence {
  const of = <T extends FactTable>(table: T) => factRows(scope, table, id)
  return {
    observations: of(observation).map(toObservation),
    attempts: of(attempt).map(toAttempt),
    placements: of(placement).map(toPlacement),
  }
}

type FactTable = typeof observation | typeof attempt | typeof placement

/**
 * One person's rows of a table in clock order. Read as bare values and put together by hand: of somebody who has come for
 * years there are thousands, and the driver's own mapping of each takes longer than everything that follows.
 */
function factRows<T extends FactTable>(
  scope: Scope,
  table: T,
  studentId: string,
  since: Day = '',
): T['$inferSelect'][] {
  const columns: [string, Column][] = Object.entries(getTableColumns(table as typeof placement))
  const names = sql.join(
    columns.map(([, column]) => sql.identifier(column.name)),
    sql`, `,
  )
  const rows = scope.db.values(
    sql`select ${names} from ${table} where studio_id = ${scope.studioId} and student_id = ${studentId} and day >= ${since} order by hlc`,
  )
  const read = columns.map(([key, column]) => [key, readerOf(column)] as const)
  return rows.map((row) => {
    const fact: Record<string, unknown> = {}
    read.forEach(([key, as], i) => (fact[key] = as(row[i])))
    return fact as T['$inferSelect']
  })
}

const NO_FAULTS: readonly string[] = []

function readerOf({ dataType }: Column): (value: unknown) => unknown {
  if (dataType === 'boolean') return (value) => value === 1
  if (dataType === 'json')
    return (value) => (value === '[]' ? NO_FAULTS : (JSON.parse(String(value)) as unknown))
  return (value) => value
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
  return addOnce(scope, observation, row)
}

/** Appends an attempt. Returns false when it was there already. */
export function appendAttempt(scope: Scope, fact: Attempt, origin: Origin): boolean {
  const { kind: _kind, ...rest } = fact
  return addOnce(scope, attempt, { ...rest, ...origin, faults: [...fact.faults] })
}

/** Appends a placement by eye. Returns false when it was there already. */
export function appendPlacement(scope: Scope, fact: Placement, origin: Origin): boolean {
  const { kind: _kind, ...rest } = fact
  return addOnce(scope, placement, { ...rest, ...origin })
}

/** Appends a drill that was done. Returns false when it was there already. */
export function appendDrill(scope: Scope, fact: DrillDone, origin: Origin): boolean {
  return addOnce(scope, drillDone, { ...fact, ...origin })
}

/** Drills that somebody did, uncorrected, oldest first. */
export function drillsOf(scope: Scope, studentId: string): DrillDone[] {
  return drillRows(scope, eq(drillDone.studentId, studentId))
}

/** Drills done in a class, uncorrected, oldest first. */
export function drillsOfClass(scope: Scope, classId: string): DrillDone[] {
  return drillRows(scope, eq(drillDone.classId, classId))
}

function drillRows(scope: Scope, which: SQL): DrillDone[] {
  return rowsOf(scope, drillDone, which, asc(drillDone.hlc)).map(
    ({ deviceId: _d, deviceSeq: _s, studioId: _o, ...fact }) => fact,
  )
}

export type Note = Omit<typeof note.$inferInsert, 'studioId' | 'deviceId' | 'deviceSeq'>

/** Appends a few words. Returns false when they were there already. */
export function appendNote(scope: Scope, fact: Note, origin: Origin): boolean {
  return addOnce(scope, note, { ...fact, ...origin })
}

/** The first day on which anything is on record of some people; whoever has nothing is missing. */
export function firstFactDays(scope: Scope, studentIds: readonly string[]): Map<string, Day[]> {
  return readAgain(() => readFirstDays(scope, studentIds), sameRows)
}

function readFirstDays(scope: Scope, studentIds: readonly string[]): Map<string, Day[]> {
  const rows = stepsInto(scope, studentIds, 'min', [observation, attempt, placement])
  return new Map(rows.flatMap(({ id, days }) => (days.length === 0 ? [] : [[id, days]])))
}

/** The first or last day in each of some tables: one step into the index a person and table, where grouping would walk through everything they ever did. */
function stepsInto(
  scope: Scope,
  studentIds: readonly string[],
  end: 'min' | 'max',
  tables: readonly FactTable[],
): { id: string; days: Day[] }[] {
  const step = (table: FactTable) =>
    sql`(select ${sql.raw(end)}(f.day) from ${table} f where f.student_id = p.value and f.studio_id = ${scope.studioId})`
  const rows = scope.db.values<[string, ...(Day | null)[]]>(
    sql`select p.value, ${sql.join(tables.map(step), sql`, `)} from json_each(${JSON.stringify(studentIds)}) p`,
  )
  return rows.map(([id, ...days]) => ({ id, days: days.filter((day) => day !== null) }))
}

/** The last day on which anything is on record of some people; whoever has nothing is missing. */
export function lastFactDays(scope: Scope, studentIds: readonly string[]): Map<string, Day> {
  return readAgain(() => readLastDays(scope, studentIds), sameRows)
}

function sameRows(before: Iterable<unknown>, now: Iterable<unknown>): boolean {
  return JSON.stringify([...before]) === JSON.stringify([...now])
}

function readLastDays(scope: Scope, studentIds: readonly string[]): Map<string, Day> {
  const rows = stepsInto(scope, studentIds, 'max', [observation, attempt])
  return new Map(
    rows.flatMap(({ id, days }): [string, Day][] => {
      const last = days.toSorted().at(-1)
      return last === undefined ? [] : [[id, last]]
    }),
  )
}

/** What was recorded in one class, uncorrected. */
export function attemptsOfClass(scope: Scope, classId: string): Attempt[] {
  return rowsOf(scope, attempt, eq(attempt.classId, classId), asc(attempt.hlc)).map(toAttempt)
}

/** Results of somebody since a day, uncorrected: without everything that was seen before. */
export function resultsSince(scope: Scope, studentId: string, since: Day): Observation[] {
  return readAgain(() => factRows(scope, observation, studentId, since).map(toObservation), sameRows)
}

/** Results of somebody on one day, uncorrected. */
export function observationsOn(scope: Scope, studentId: string, day: Day): Observation[] {
  return readAgain(() => readObservationsOn(scope, studentId, day), sameRows)
}

function readObservationsOn(scope: Scope, studentId: string, day: Day): Observation[] {
  return rowsOf(
    scope,
    observation,
    and(eq(observation.studentId, studentId), eq(observation.day, day)),
    asc(observation.hlc),
  ).map(toObservation)
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
