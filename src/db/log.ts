import { and, desc, eq, gte, like, lte, notInArray, sql } from 'drizzle-orm'
import type { Day } from '@/core/day'
import { attempt } from './schema'
import { mine, type Scope } from './scope'

/** What to look for in the log; whatever is left out counts as any. */
export type LogAsked = {
  readonly studentId?: string | undefined
  readonly stageId?: string | undefined
  readonly fault?: string | undefined
  readonly setupId?: string | undefined
  readonly from?: Day | undefined
  readonly to?: Day | undefined
}

/** A try as it was recorded. */
export type LogLine = Pick<
  typeof attempt.$inferSelect,
  | 'id'
  | 'day'
  | 'studentId'
  | 'stageId'
  | 'classId'
  | 'setupId'
  | 'outcome'
  | 'exitControlled'
  | 'endedBy'
  | 'faults'
  | 'help'
  | 'lead'
  | 'seconds'
>

/** A page of tries, newest first, without what was corrected or taken back; and whether there are more. */
export function logPage(
  scope: Scope,
  asked: LogAsked,
  page: number,
  size: number,
): { lines: LogLine[]; more: boolean } {
  const { studentId, stageId, fault, setupId, from, to } = asked
  const corrected = scope.db
    .select({ id: sql<string>`${attempt.replaces}` })
    .from(attempt)
    .where(sql`${attempt.replaces} is not null`)
  const rows = scope.db
    .select()
    .from(attempt)
    .where(
      mine(
        scope,
        attempt,
        and(
          eq(attempt.withdrawn, false),
          notInArray(attempt.id, corrected),
          studentId === undefined ? undefined : eq(attempt.studentId, studentId),
          stageId === undefined ? undefined : eq(attempt.stageId, stageId),
          setupId === undefined ? undefined : eq(attempt.setupId, setupId),
          fault === undefined ? undefined : like(sql`${attempt.faults}`, `%"${fault}"%`),
          from === undefined ? undefined : gte(attempt.day, from),
          to === undefined ? undefined : lte(attempt.day, to),
        ),
      ),
    )
    .orderBy(desc(attempt.day), desc(attempt.hlc))
    .limit(size + 1)
    .offset((page - 1) * size)
    .all()
  return { lines: rows.slice(0, size), more: rows.length > size }
}
