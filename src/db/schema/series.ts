import { sql } from 'drizzle-orm'
import { check, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { FAMILIES } from '@/core/practice/schema'
import { owned } from './columns'
import { group } from './people'

/** Weeks of one group towards one family: what each is about. What moved is read from what was recorded. */
export const series = sqliteTable(
  'series',
  {
    ...owned,
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    groupId: text('group_id')
      .notNull()
      .references(() => group.id, { onDelete: 'cascade' }),
    family: text('family', { enum: FAMILIES }).notNull(),
    firstDay: text('first_day').notNull(),
    /** A check a week; null is a week for the step itself. */
    focus: text('focus', { mode: 'json' }).$type<(string | null)[]>().notNull(),
  },
  (t) => [check('series_name', sql`length(${t.name}) between 1 and 80`)],
)
