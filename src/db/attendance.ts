import { and, asc, eq, inArray, isNotNull, lt } from 'drizzle-orm'
import type { Attended } from '@/core/attendance/odds'
import type { Day } from '@/core/day'
import type { Db } from './open'
import { classRoster, classSession } from './schema'

export type RosterLine = {
  readonly studentId: string
  readonly dropIn: boolean
  readonly attended: Attended | null
}

/** Who is on a class's list, and who came. */
export function rosterOf(db: Db, classId: string): RosterLine[] {
  return db
    .select({
      studentId: classRoster.studentId,
      dropIn: classRoster.dropIn,
      attended: classRoster.attended,
    })
    .from(classRoster)
    .where(eq(classRoster.classId, classId))
    .all()
}

/** Marks somebody here, late or absent; null takes the mark away. */
export function markAttended(db: Db, classId: string, studentId: string, attended: Attended | null): boolean {
  const here = and(eq(classRoster.classId, classId), eq(classRoster.studentId, studentId))
  return db.update(classRoster).set({ attended }).where(here).run().changes > 0
}

/** Adds somebody who came without being booked; they are here. */
export function addDropIn(db: Db, classId: string, studentId: string): void {
  db.insert(classRoster)
    .values({ classId, studentId, dropIn: true, attended: 'here' })
    .onConflictDoNothing()
    .run()
}

/** Marks of everybody in classes before a day, oldest first. */
export function attendanceBefore(
  db: Db,
  studentIds: readonly string[],
  day: Day,
): ReadonlyMap<string, readonly Attended[]> {
  const rows = db
    .select({ studentId: classRoster.studentId, attended: classRoster.attended })
    .from(classRoster)
    .innerJoin(classSession, eq(classRoster.classId, classSession.id))
    .where(
      and(
        lt(classSession.day, day),
        isNotNull(classRoster.attended),
        inArray(classRoster.studentId, [...studentIds]),
      ),
    )
    .orderBy(asc(classSession.day), asc(classSession.startTime))
    .all()
  const history = new Map<string, Attended[]>()
  for (const { studentId, attended } of rows)
    if (attended) history.set(studentId, [...(history.get(studentId) ?? []), attended])
  return history
}
