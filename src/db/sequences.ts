import { desc, eq } from 'drizzle-orm'
import type { Sequence } from '@/core/sequence/sequence'
import { sequence, sequencePerson } from './schema'
import { addRow, dropRows, putRow, rowOf, rowsOf } from './rows'
import { mine, type Scope } from './scope'

/** A strength sequence as it is kept, and whom it is for. */
export type KeptSequence = {
  readonly id: string
  readonly name: string
  readonly madeDay: string
  readonly doc: Sequence
  readonly people: readonly string[]
}

/** Every sequence, the newest first. */
export function listSequences(scope: Scope): KeptSequence[] {
  const people = rowsOf(scope, sequencePerson)
  return rowsOf(scope, sequence, undefined, desc(sequence.madeDay), desc(sequence.id)).map(
    ({ id, name, madeDay, doc }) => ({
      ...{ id, name, madeDay, doc },
      people: people.filter((p) => p.sequenceId === id).map((p) => p.studentId),
    }),
  )
}

/** One sequence; null where it is not there. */
export function findSequence(scope: Scope, id: string): KeptSequence | null {
  const row = rowOf(scope, sequence, eq(sequence.id, id))
  if (!row) return null
  const people = scope.db
    .select({ studentId: sequencePerson.studentId })
    .from(sequencePerson)
    .where(mine(scope, sequencePerson, eq(sequencePerson.sequenceId, id)))
    .all()
  const { name, madeDay, doc } = row
  return { id, name, madeDay, doc, people: people.map((p) => p.studentId) }
}

/** Adds a sequence, or changes its name, what is in it and whom it is for. */
export function saveSequence(scope: Scope, { people, ...kept }: KeptSequence): void {
  putRow(scope, sequence, kept)
  dropRows(scope, sequencePerson, eq(sequencePerson.sequenceId, kept.id))
  for (const studentId of people) addRow(scope, sequencePerson, { sequenceId: kept.id, studentId })
}

/** Takes a sequence away. */
export function removeSequence(scope: Scope, id: string): void {
  dropRows(scope, sequence, eq(sequence.id, id))
}
