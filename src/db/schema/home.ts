import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { TICKS, type HomeSheet } from '@/core/home/home'
import { owned } from './columns'
import { student } from './people'

/** A week's sheet for somebody at home. A new week is a new row; none is changed. */
export const homePlan = sqliteTable(
  'home_plan',
  {
    ...owned,
    id: text('id').primaryKey(),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
    day: text('day').notNull(),
    /** When it was made, ms: the newest of a day counts. */
    madeMs: integer('made_ms').notNull(),
    sheet: text('sheet', { mode: 'json' }).$type<HomeSheet>().notNull(),
  },
  (t) => [index('home_plan_student').on(t.studentId, t.day)],
)

/** What somebody says of one thing on one day; the newest word for both counts. */
export const homeTick = sqliteTable(
  'home_tick',
  {
    ...owned,
    id: text('id').primaryKey(),
    planId: text('plan_id')
      .notNull()
      .references(() => homePlan.id, { onDelete: 'cascade' }),
    drillId: text('drill_id').notNull(),
    day: text('day').notNull(),
    /** Null takes an earlier word away. */
    tick: text('tick', { enum: TICKS }),
    /** Typed from paper by the teacher, or tapped by whoever has the link. */
    via: text('via', { enum: ['paper', 'link'] }).notNull(),
    atMs: integer('at_ms').notNull(),
  },
  (t) => [index('home_tick_plan').on(t.planId)],
)

/** A way to one sheet without an account. Only the token's hash is kept: who reads the file cannot use it. */
export const homeLink = sqliteTable(
  'home_link',
  {
    ...owned,
    tokenHash: text('token_hash').primaryKey(),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
    made: text('made').notNull(),
    expires: text('expires').notNull(),
    revoked: integer('revoked', { mode: 'boolean' }).notNull().default(false),
  },
  (t) => [index('home_link_student').on(t.studentId)],
)
