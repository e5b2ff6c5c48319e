import { sql } from 'drizzle-orm'
import { check, index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { OVERRIDE_REASONS } from '@/core/classes/override'
import { AGE_BANDS } from '@/core/screening/minor'
import { owned } from './columns'

/** People who come together, with their usual hour. */
export const group = sqliteTable(
  'class_group',
  {
    ...owned,
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    /** 1 Monday to 7 Sunday. */
    weekday: integer('weekday').notNull(),
    startTime: text('start_time').notNull(),
    minutes: integer('minutes').notNull(),
  },
  (t) => [check('group_weekday', sql`${t.weekday} between 1 and 7`)],
)

export const groupMember = sqliteTable(
  'group_member',
  {
    ...owned,
    groupId: text('group_id')
      .notNull()
      .references(() => group.id, { onDelete: 'cascade' }),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
  },
  (t) => [primaryKey({ columns: [t.groupId, t.studentId] })],
)

export const student = sqliteTable(
  'student',
  {
    ...owned,
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    statureCm: real('stature_cm'),
    breathS: real('breath_s').notNull(),
    /** Whom to ring; empty where nobody was named. */
    contact: text('contact').notNull().default(''),
    ageBand: text('age_band', { enum: AGE_BANDS }),
    /** Who agrees for somebody under 18, and when they did; empty where nobody is named. */
    guardian: text('guardian').notNull().default(''),
    guardianDay: text('guardian_day'),
    createdDay: text('created_day').notNull(),
    archivedDay: text('archived_day'),
  },
  (t) => [
    check('student_name', sql`length(${t.name}) between 1 and 80`),
    check('student_stature', sql`${t.statureCm} is null or ${t.statureCm} between 120 and 220`),
    check('student_breath', sql`${t.breathS} between 2 and 12`),
  ],
)

export const studentMeasure = sqliteTable(
  'student_measure',
  {
    ...owned,
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
    segment: text('segment').notNull(),
    valueCm: real('value_cm').notNull(),
    day: text('day').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.studentId, t.segment] }),
    check('measure_plausible', sql`${t.valueCm} between 1 and 150`),
  ],
)

/**
 * What somebody said of their health, sealed: the text is only readable with a key that lies outside the database.
 * Rows are added, never changed; erasing a person deletes theirs.
 */
export const healthRecord = sqliteTable(
  'health_record',
  {
    ...owned,
    id: text('id').primaryKey(),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
    kind: text('kind', { enum: ['screening', 'clearance', 'check-in'] }).notNull(),
    day: text('day').notNull(),
    /** Clock of the device that it was given on; empty for what came before clocks were kept. */
    hlc: text('hlc').notNull().default(''),
    sealed: text('sealed').notNull(),
  },
  (t) => [index('health_by_student').on(t.studentId)],
)

/** A teacher's look at an offer: added, never changed; the newest counts. */
export const offerTap = sqliteTable(
  'offer_tap',
  {
    ...owned,
    id: text('id').primaryKey(),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
    stageId: text('stage_id').notNull(),
    answer: text('answer', { enum: ['accept', 'hold-back', 'override'] }).notNull(),
    /** Why, where it goes above what is recorded. */
    reason: text('reason', { enum: OVERRIDE_REASONS }),
    by: text('by').notNull(),
    atMs: integer('at_ms').notNull(),
  },
  (t) => [index('offer_by_student').on(t.studentId)],
)

/** A setup as it was left for somebody, to be taken up again. */
export const savedSetup = sqliteTable(
  'saved_setup',
  {
    ...owned,
    id: text('id').primaryKey(),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
    setupId: text('setup_id').notNull(),
    options: text('options', { mode: 'json' }).$type<Record<string, number>>().notNull(),
    day: text('day').notNull(),
  },
  (t) => [index('saved_by_student').on(t.studentId)],
)

/** A share of body weight that was weighed. The two readings behind it are never sent here. */
export const weighing = sqliteTable(
  'weighing',
  {
    ...owned,
    id: text('id').primaryKey(),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
    shapeId: text('shape_id').notNull(),
    share: real('share').notNull(),
    day: text('day').notNull(),
  },
  (t) => [
    index('weighing_by_student').on(t.studentId),
    check('weighing_share', sql`${t.share} between 0 and 1.05`),
  ],
)

/**
 * What stands for somebody today in every family, so that lists need not judge everybody anew. Triggers take a row away
 * when facts, health, ways of working or the studio's rules change; whoever asks next judges again.
 */
export const currentDecision = sqliteTable('current_decision', {
  ...owned,
  studentId: text('student_id')
    .primaryKey()
    .references(() => student.id, { onDelete: 'cascade' }),
  /** The day it was judged for: another day is judged again. */
  day: text('day').notNull(),
  /** Which release of the practice and the engine judged. */
  engine: text('engine').notNull(),
  /** Sealed with the health key: reasons hold limits. */
  sealed: text('sealed').notNull(),
})
