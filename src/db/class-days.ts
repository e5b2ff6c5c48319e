import { and, eq, gte, lte } from 'drizzle-orm'
import type { Day } from '@/core/day'
import { classRoster, classSession } from './schema'
import { mine, type Scope } from './scope'

/** Days of a stretch on which somebody is on the list of a class. */
export function classDaysOf(scope: Scope, studentId: string, from: Day, to: Day): Day[] {
  const rows = scope.db
    .selectDistinct({ day: classSession.day })
    .from(classRoster)
    .innerJoin(classSession, eq(classRoster.classId, classSession.id))
    .where(
      and(
        eq(classRoster.studentId, studentId),
        mine(scope, classSession, and(gte(classSession.day, from), lte(classSession.day, to))),
      ),
    )
    .all()
  return rows.map((r) => r.day).sort()
}
