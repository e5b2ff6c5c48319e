import { and, asc, desc, eq, gte, inArray, lt, lte, sql, type SQL } from 'drizzle-orm'
import { aimSchema, USUAL_AIM, type Aim } from '@/core/classes/aim'
import { fixedSchema, NOTHING_FIXED, type Fixed } from '@/core/classes/fixed'
import type { Lock, Part } from '@/core/classes/lock'
import type { OverrideReason } from '@/core/classes/override'
import { foldRun, type ClassEvent, type Run } from '@/core/classes/run'
import type { Day } from '@/core/day'
import { latestBy } from '@/core/facts/order'
import type { Origin } from './evidence'
import { classEvent, classPlan, classRoster, classSession, planLock } from './schema'
import { addOnce, addRow, changeRows, rowOf, rowsOf } from './rows'
import { mine, type Scope } from './scope'

export type ClassRecord = {
  readonly id: string
  readonly title: string
  readonly day: Day
  readonly startTime: string
  readonly minutes: number
  readonly bays: number
  readonly groupId: string | null
  readonly aim: Aim
  readonly fixed: Fixed
  readonly roster: readonly string[]
}

/** A class as lists show it. */
export type ClassLine = Omit<ClassRecord, 'roster'> & {
  readonly people: number
  readonly planned: boolean
  readonly state: Run['state']
}

/** Classes on a page of a list. */
const CLASSES_A_PAGE = 40

/**
 * A page of classes, newest first, in three questions however many there are.
 * @param before only classes before this day; everything still to come is on the first page
 * @returns the day before which the next page goes on with them; null where this one was the last
 */
export function classLines(
  scope: Scope,
  before: Day | null = null,
  limit = CLASSES_A_PAGE,
): { lines: ClassLine[]; earlier: Day | null } {
  const found = scope.db
    .select()
    .from(classSession)
    .where(mine(scope, classSession, before === null ? undefined : lt(classSession.day, before)))
    .orderBy(desc(classSession.day), desc(classSession.startTime))
    .limit(limit)
    .all()
  // A page ends with a whole day, so that the next one can go on before it.
  const lastDay = found.length < limit ? null : (found.at(-1)?.day ?? null)
  const whole = found.filter((row) => row.day !== lastDay)
  const rows = whole.length > 0 ? whole : found
  const ids = rows.map((row) => row.id)
  const counted = (table: typeof classRoster | typeof classPlan): Map<string, number> =>
    new Map(
      scope.db
        .select({ id: table.classId, n: sql<number>`count(*)` })
        .from(table)
        .where(inArray(table.classId, ids))
        .groupBy(table.classId)
        .all()
        .map((r) => [r.id, r.n]),
    )
  const people = counted(classRoster)
  const plans = counted(classPlan)
  const events = eventsWhere(scope, inArray(classEvent.classId, ids))
  const lines = rows.map((row) => ({
    ...recordOf(row),
    people: people.get(row.id) ?? 0,
    planned: plans.has(row.id),
    state: foldRun(events.filter((e) => e.classId === row.id)).state,
  }))
  return { lines, earlier: lastDay === null ? null : (rows.at(-1)?.day ?? null) }
}

/** One class with its roster. */
export function findClass(scope: Scope, id: string): ClassRecord | null {
  return oneClass(scope, eq(classSession.id, id))
}

/** Everybody on the list of a class in a stretch of days, each once. */
export function comingSince(scope: Scope, from: Day, to: Day): Set<string> {
  const rows = scope.db
    .selectDistinct({ id: classRoster.studentId })
    .from(classSession)
    .innerJoin(classRoster, eq(classRoster.classId, classSession.id))
    .where(mine(scope, classSession, and(gte(classSession.day, from), lte(classSession.day, to))))
    .all()
  return new Set(rows.map((r) => r.id))
}

/** The class of today, or the next one. */
export function nextClass(scope: Scope, today: Day): ClassRecord | null {
  return oneClass(scope, gte(classSession.day, today))
}

function oneClass(scope: Scope, where: SQL): ClassRecord | null {
  const row = rowOf(scope, classSession, where, asc(classSession.day), asc(classSession.startTime))
  if (!row) return null
  const roster = scope.db.select().from(classRoster).where(eq(classRoster.classId, row.id)).all()
  return { ...recordOf(row), roster: roster.map((r) => r.studentId) }
}

/** A row as it is used: what cannot be read of its aim or of what was fixed counts as the usual. */
function recordOf({
  studioId: _o,
  aim,
  fixed,
  ...row
}: typeof classSession.$inferSelect): Omit<ClassRecord, 'roster'> {
  return {
    ...row,
    aim: aimSchema.safeParse(aim).data ?? USUAL_AIM,
    fixed: fixedSchema.safeParse(fixed).data ?? NOTHING_FIXED,
  }
}

/** Keeps what the teacher fixed about a class as a whole. */
export function saveFixed(scope: Scope, id: string, fixed: Fixed): void {
  changeRows(scope, classSession, eq(classSession.id, id), { fixed })
}

/** Puts more people on a class's list; whoever is on it stays there once. */
export function addToRoster(scope: Scope, classId: string, studentIds: readonly string[]): void {
  for (const studentId of studentIds)
    scope.db
      .insert(classRoster)
      .values({ studioId: scope.studioId, classId, studentId })
      .onConflictDoNothing()
      .run()
}

/** Stores a new class with its roster; the same id a second time changes nothing. */
export function addClass(
  scope: Scope,
  {
    roster,
    ...row
  }: Omit<ClassRecord, 'groupId' | 'aim' | 'fixed'> & {
    groupId?: string | null
    aim?: Aim
    fixed?: Fixed
  },
): boolean {
  const isNew = addOnce(scope, classSession, row)
  if (isNew) for (const studentId of roster) addRow(scope, classRoster, { classId: row.id, studentId })
  return isNew
}

export type LockFact = {
  readonly id: string
  readonly day: Day
  readonly hlc: string
  readonly classId: string
  readonly studentId: string
  readonly part: Part
  /** Null gives the choice back to the planner. */
  readonly stageId: string | null
  readonly reason: OverrideReason | null
}

/** Appends a choice of the teacher's; the newest for somebody and part counts. Returns false when it was there already. */
export function appendLock(scope: Scope, fact: LockFact, origin: Origin): boolean {
  return addOnce(scope, planLock, { ...fact, ...origin })
}

/** Versions fixed by hand that stand now. */
export function locksOf(scope: Scope, classId: string): Lock[] {
  const rows = rowsOf(scope, planLock, eq(planLock.classId, classId))
  return [...latestBy(rows, (r) => `${r.studentId} ${r.part}`).values()].flatMap(
    ({ studentId, part, stageId, reason }) =>
      stageId === null || reason === null ? [] : [{ studentId, part, stageId, reason }],
  )
}

/** What happened in a class, in clock order. */
export function eventsOf(scope: Scope, classId: string): ClassEvent[] {
  return eventsWhere(scope, eq(classEvent.classId, classId))
}

function eventsWhere(scope: Scope, where: SQL): (ClassEvent & { classId: string })[] {
  return rowsOf(scope, classEvent, where, asc(classEvent.hlc)).map(
    ({ id, day, hlc, kind, atMs, blockIndex, classId }) => ({
      ...{ id, day, hlc, atMs, blockIndex, classId },
      event: kind,
    }),
  )
}

/** Appends to what happened. Returns false when it was there already. */
export function appendClassEvent(
  scope: Scope,
  { event, ...fact }: ClassEvent & { classId: string },
  origin: Origin,
): boolean {
  return addOnce(scope, classEvent, { ...fact, ...origin, kind: event })
}
