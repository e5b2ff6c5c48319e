import { sql } from 'drizzle-orm'
import {
  check,
  index,
  integer,
  primaryKey,
  sqliteTable,
  text,
  type AnySQLiteColumn,
} from 'drizzle-orm/sqlite-core'
import type { Aim } from '@/core/classes/aim'
import type { Fixed } from '@/core/classes/fixed'
import { RUN_EVENTS } from '@/core/classes/run'
import { PARTS } from '@/core/classes/lock'
import { OVERRIDE_REASONS } from '@/core/classes/override'
import { factColumns, owned } from './columns'
import { group, student } from './people'

/** Something that went wrong; the words are sealed with the health key. */
export const incident = sqliteTable('incident', {
  ...owned,
  id: text('id').primaryKey(),
  day: text('day').notNull(),
  time: text('time').notNull(),
  classId: text('class_id').references(() => classSession.id, { onDelete: 'set null' }),
  studentId: text('student_id').references(() => student.id, { onDelete: 'cascade' }),
  sealed: text('sealed').notNull(),
  writtenDay: text('written_day').notNull(),
})

export const classSession = sqliteTable(
  'class_session',
  {
    ...owned,
    id: text('id').primaryKey(),
    title: text('title').notNull(),
    day: text('day').notNull(),
    startTime: text('start_time').notNull(),
    minutes: integer('minutes').notNull(),
    bays: integer('bays').notNull(),
    groupId: text('group_id').references(() => group.id, { onDelete: 'set null' }),
    /** What it is for, and what the teacher fixed about it as a whole; null for the usual. */
    aim: text('aim', { mode: 'json' }).$type<Aim>(),
    fixed: text('fixed', { mode: 'json' }).$type<Fixed>(),
  },
  (t) => [
    index('class_by_day').on(t.studioId, t.day, t.startTime),
    check('class_minutes', sql`${t.minutes} between 20 and 120`),
    check('class_bays', sql`${t.bays} between 0 and 12`),
  ],
)

export const classRoster = sqliteTable(
  'class_roster',
  {
    ...owned,
    classId: text('class_id')
      .notNull()
      .references(() => classSession.id, { onDelete: 'cascade' }),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
    dropIn: integer('drop_in', { mode: 'boolean' }).notNull().default(false),
  },
  (t) => [primaryKey({ columns: [t.classId, t.studentId] }), index('roster_student').on(t.studentId)],
)

export const classEvent = sqliteTable(
  'class_event',
  {
    ...factColumns((): AnySQLiteColumn => classEvent.id),
    classId: text('class_id')
      .notNull()
      .references(() => classSession.id),
    kind: text('kind', { enum: RUN_EVENTS }).notNull(),
    atMs: integer('at_ms').notNull(),
    blockIndex: integer('block_index').notNull(),
  },
  (t) => [index('class_event_class').on(t.classId), index('class_event_replaces').on(t.replaces)],
)

/** A plan as it was made or edited: rows are added, the newest counts. */
export const classPlan = sqliteTable(
  'class_plan',
  {
    ...owned,
    id: text('id').primaryKey(),
    classId: text('class_id')
      .notNull()
      .references(() => classSession.id, { onDelete: 'cascade' }),
    /** Counts up with each plan of a class. */
    version: integer('version').notNull(),
    madeMs: integer('made_ms').notNull(),
    plan: text('plan', { mode: 'json' }).notNull(),
    /** What it was made from, sealed with the health key since it holds limits; null where none was kept. */
    brief: text('brief'),
    /** Taken back; kept until something else is changed, so that it can be put in again. */
    undone: integer('undone', { mode: 'boolean' }).notNull().default(false),
  },
  (t) => [index('plan_of_class').on(t.classId, t.version)],
)

/** A version that the teacher fixed by hand; the newest for somebody and part counts, null gives it back. */
export const planLock = sqliteTable(
  'plan_lock',
  {
    ...factColumns((): AnySQLiteColumn => planLock.id),
    classId: text('class_id')
      .notNull()
      .references(() => classSession.id, { onDelete: 'cascade' }),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
    part: text('part', { enum: PARTS }).notNull(),
    stageId: text('stage_id'),
    reason: text('reason', { enum: OVERRIDE_REASONS }),
  },
  (t) => [index('lock_of_class').on(t.classId), index('lock_student').on(t.studentId)],
)

/** Who came: the newest mark counts, null takes it away. */
export const attendance = sqliteTable(
  'attendance',
  {
    ...factColumns((): AnySQLiteColumn => attendance.id),
    classId: text('class_id')
      .notNull()
      .references(() => classSession.id, { onDelete: 'cascade' }),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
    mark: text('mark', { enum: ['here', 'late', 'absent'] }),
  },
  (t) => [index('attendance_class').on(t.classId), index('attendance_student').on(t.studentId)],
)

/** A few words about a class or somebody in it. */
export const note = sqliteTable(
  'note',
  {
    ...factColumns((): AnySQLiteColumn => note.id),
    studentId: text('student_id').references(() => student.id, { onDelete: 'cascade' }),
    classId: text('class_id').references(() => classSession.id, { onDelete: 'cascade' }),
    text: text('text').notNull(),
  },
  (t) => [index('note_student').on(t.studentId), index('note_class').on(t.classId)],
)

/** Decisions as they stood when a class ended, before and after it: versions are added, the newest counts. */
export const classDecision = sqliteTable(
  'class_decision',
  {
    ...owned,
    classId: text('class_id')
      .notNull()
      .references(() => classSession.id, { onDelete: 'cascade' }),
    /** No reference: once somebody is erased their decision stays under an id that nobody has. */
    studentId: text('student_id').notNull(),
    /** Counts up: something that arrived after the end made it anew. */
    version: integer('version').notNull(),
    before: text('before', { mode: 'json' }).notNull(),
    after: text('after', { mode: 'json' }).notNull(),
    /** What they were made from was taken away: they can be shown, not made again. */
    inputsErased: integer('inputs_erased', { mode: 'boolean' }).notNull().default(false),
  },
  (t) => [
    primaryKey({ columns: [t.classId, t.studentId, t.version] }),
    index('decision_student').on(t.studentId),
  ],
)

/** A way to one class for whoever stands in, on its own day only. Only the token's hash is kept. */
export const classLink = sqliteTable(
  'class_link',
  {
    ...owned,
    tokenHash: text('token_hash').primaryKey(),
    classId: text('class_id')
      .notNull()
      .references(() => classSession.id, { onDelete: 'cascade' }),
    revoked: integer('revoked', { mode: 'boolean' }).notNull().default(false),
  },
  (t) => [index('class_link_class').on(t.classId)],
)
