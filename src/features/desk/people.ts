import 'server-only'
import { studentsByIds, type StudentRecord } from '@/db/students'
import type { Context } from '../context'

/** Some people by id, put-away ones too: past plans keep their names. */
export type People = {
  readonly students: ReadonlyMap<string, StudentRecord>
  readonly nameOf: (studentId: string) => string
}

/** The people named, and nobody else. */
export function peopleOf({ scope }: Context, ids: readonly string[]): People {
  const students = new Map(studentsByIds(scope, ids).map((s) => [s.id, s]))
  return { students, nameOf: (id) => students.get(id)?.name ?? 'Somebody erased' }
}
