import { and, asc, eq, gte, inArray, lt } from 'drizzle-orm'
import type { Attended } from '@/core/attendance/odds'
import { addDays, type Day } from '@/core/day'
import { latestBy } from '@/core/facts/order'
import type { Origin } from './evidence'
import { attendance, classRoster, classSession } from './schema'
import { addOnce, rowsOf } from './rows'
import { mine, type Scope } from './scope'

export type RosterLine = {
  readonly studentId: string
  readonly dropIn: boolean
  /** Null until somebody marks it. */
  readonly attended: Attended | null
  /** Its stamp, which tells what came before it; empty where nobody marked it. */
  readonly markedHlc: string
}

/** Who is on a class's list, and who came. */
export function rosterOf(scope: Scope, classId: string): RosterLine[] {
  const marks = latestBy(rowsOf(scope, attendance, eq(attendance.classId, classId)), (m) => m.studentId)
  return scope.db
    .select({ studentId: classRoster.studentId, dropIn: classRoster.dropIn })
    .from(classRoster)
    .where(mine(scope, classRoster, eq(classRoster.classId, classId)))
    .all()
    .map((line) => {
      const mark = marks.get(line.studentId)
      return { ...line, attended: mark?.mark ?? null, markedHlc: mark?.hlc ?? '' }
    })
}

export type AttendanceMark = {
  readonly id: string
  readonly day: Day
  readonly hlc: string
  readonly classId: string
  readonly studentId: string
  /** Null takes the mark away. */
  readonly mark: Attended | null
}

/** Appends a mark; the newest counts. Returns false when it was there already. */
export function appendAttendance(scope: Scope, mark: AttendanceMark, origin: Origin): boolean {
  return addOnce(scope, attendance, { ...mark, ...origin })
}

/** Adds somebody who came without being booked. */
export function addDropIn(scope: Scope, classId: string, studentId: string): void {
  scope.db
    .insert(classRoster)
    .values({ studioId: scope.studioId, classId, studentId, dropIn: true })
    .onConflictDoNothing()
    .run()
}

/** Marks further back than this weigh nothing any more: each class counts for less than the one after it. */
const LOOKS_BACK_DAYS = 365

/** Marks of some people in classes of the year before a day, oldest first. */
export function attendanceBefore(
  scope: Scope,
  studentIds: readonly string[],
  day: Day,
): ReadonlyMap<string, readonly Attended[]> {
  const rows = scope.db
    .select({ mark: attendance, classDay: classSession.day, startTime: classSession.startTime })
    .from(attendance)
    .innerJoin(classSession, eq(attendance.classId, classSession.id))
    .where(
      and(
        mine(scope, attendance, inArray(attendance.studentId, [...studentIds])),
        gte(attendance.day, addDays(day, -LOOKS_BACK_DAYS)),
        lt(classSession.day, day),
      ),
    )
    .orderBy(asc(classSession.day), asc(classSession.startTime))
    .all()
    .map(({ mark, classDay, startTime }) => ({ ...mark, classDay, startTime }))
  const history = new Map<string, Attended[]>()
  for (const { studentId, mark } of latestBy(rows, (r) => `${r.studentId} ${r.classId}`).values())
    if (mark) history.set(studentId, [...(history.get(studentId) ?? []), mark])
  return history
}

/** Who on the list is marked as not there. */
export function absentFrom(scope: Scope, classId: string): Set<string> {
  return new Set(rosterOf(scope, classId).flatMap((l) => (l.attended === 'absent' ? [l.studentId] : [])))
}

/** Who joins a class under way: marked as late, or somebody not booked who came after it began. */
export function joinedLate(scope: Scope, classId: string, startedHlc: string): Set<string> {
  return new Set(
    rosterOf(scope, classId).flatMap(({ studentId, attended, dropIn, markedHlc }) =>
      attended === 'late' || (attended === 'here' && dropIn && markedHlc > startedHlc) ? [studentId] : [],
    ),
  )
}

/** Every mark that stands, oldest class first, with its class's name. */
export function attendanceMarks(
  scope: Scope,
): { day: Day; title: string; studentId: string; mark: Attended }[] {
  const rows = scope.db
    .select({ mark: attendance, day: classSession.day, title: classSession.title })
    .from(attendance)
    .innerJoin(classSession, eq(attendance.classId, classSession.id))
    .where(mine(scope, attendance))
    .orderBy(asc(classSession.day), asc(classSession.startTime))
    .all()
    .map(({ mark, day, title }) => ({ ...mark, day, title }))
  return [...latestBy(rows, (r) => `${r.studentId} ${r.classId}`).values()].flatMap(
    ({ day, title, studentId, mark }) => (mark ? [{ day, title, studentId, mark }] : []),
  )
}
