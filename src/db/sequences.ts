import { desc, eq } from 'drizzle-orm'
import type { Sequence } from '@/core/sequence/sequence'
import { sequence, sequencePerson } from './schema'
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
  const people = scope.db.select().from(sequencePerson).where(mine(scope, sequencePerson)).all()
  return scope.db
    .select()
    .from(sequence)
    .where(mine(scope, sequence))
    .orderBy(desc(sequence.madeDay), desc(sequence.id))
    .all()
    .map(({ id, name, madeDay, doc }) => ({
      ...{ id, name, madeDay, doc },
      people: people.filter((p) => p.sequenceId === id).map((p) => p.studentId),
    }))
}

/** One sequence; null where it is not there. */
export function findSequence(scope: Scope, id: string): KeptSequence | null {
  const row = scope.db
    .select()
    .from(sequence)
    .where(mine(scope, sequence, eq(sequence.id, id)))
    .get()
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
  const row = { ...kept, studioId: scope.studioId }
  scope.db.insert(sequence).values(row).onConflictDoUpdate({ target: sequence.id, set: row }).run()
  scope.db
    .delete(sequencePerson)
    .where(mine(scope, sequencePerson, eq(sequencePerson.sequenceId, kept.id)))
    .run()
  for (const studentId of people)
    scope.db.insert(sequencePerson).values({ sequenceId: kept.id, studentId, studioId: scope.studioId }).run()
}

/** Takes a sequence away. */
export function removeSequence(scope: Scope, id: string): void {
  scope.db
    .delete(sequence)
    .where(mine(scope, sequence, eq(sequence.id, id)))
    .run()
}
