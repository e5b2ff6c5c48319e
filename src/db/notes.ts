import { and, eq, inArray, max } from 'drizzle-orm'
import { note } from './schema'
import { rowsOf } from './rows'
import { mine, type Scope } from './scope'

/** A few words about somebody, as they were kept. */
export type NoteLine = {
  readonly id: string
  readonly studentId: string
  readonly text: string
}

/** Words kept of one class, oldest first. */
export function notesOfClass(scope: Scope, classId: string): NoteLine[] {
  return lines(rowsOf(scope, note, eq(note.classId, classId), note.hlc))
}

/** The newest words about each of some people; whoever has none is missing. */
export function lastNotes(scope: Scope, studentIds: readonly string[]): Map<string, NoteLine> {
  const newest = scope.db
    .select({ hlc: max(note.hlc) })
    .from(note)
    .where(mine(scope, note, inArray(note.studentId, [...studentIds])))
    .groupBy(note.studentId)
  const rows = rowsOf(scope, note, and(inArray(note.studentId, [...studentIds]), inArray(note.hlc, newest)))
  return new Map(lines(rows).map((line) => [line.studentId, line]))
}

function lines(rows: readonly (typeof note.$inferSelect)[]): NoteLine[] {
  return rows.flatMap(({ id, studentId, text }) => (studentId === null ? [] : [{ id, studentId, text }]))
}
