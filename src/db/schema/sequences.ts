import { sql } from 'drizzle-orm'
import { check, index, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { Sequence } from '@/core/sequence/sequence'
import { owned } from './columns'
import { student } from './people'

/** A strength sequence that is kept: composed once, then the teacher's. */
export const sequence = sqliteTable(
  'sequence',
  {
    ...owned,
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    madeDay: text('made_day').notNull(),
    doc: text('doc', { mode: 'json' }).$type<Sequence>().notNull(),
  },
  (t) => [check('sequence_name', sql`length(${t.name}) between 1 and 80`)],
)

/** Whom it is for. */
export const sequencePerson = sqliteTable(
  'sequence_person',
  {
    ...owned,
    sequenceId: text('sequence_id')
      .notNull()
      .references(() => sequence.id, { onDelete: 'cascade' }),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
  },
  (t) => [
    primaryKey({ columns: [t.sequenceId, t.studentId] }),
    index('sequence_person_student').on(t.studentId),
  ],
)
