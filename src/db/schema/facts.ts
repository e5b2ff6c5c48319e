import { sql } from 'drizzle-orm'
import { check, index, integer, real, sqliteTable, text, type AnySQLiteColumn } from 'drizzle-orm/sqlite-core'
import { REGIONS } from '@/core/screening/regions'
import { factColumns } from './columns'
import { student } from './people'
import { classSession } from './classes'

export const observation = sqliteTable(
  'observation',
  {
    ...factColumns((): AnySQLiteColumn => observation.id),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
    checkId: text('check_id').notNull(),
    single: real('single'),
    left: real('left'),
    right: real('right'),
    aided: integer('aided', { mode: 'boolean' }).notNull(),
    aid: text('aid').notNull().default(''),
    help: text('help', { enum: ['alone', 'touched', 'carried', 'not-said'] })
      .notNull()
      .default('alone'),
    arms: text('arms', { enum: ['fresh', 'spent'] }),
    valid: integer('valid', { mode: 'boolean' }).notNull(),
    watched: integer('watched', { mode: 'boolean' }).notNull(),
    observer: text('observer').notNull().default(''),
    classId: text('class_id').references((): AnySQLiteColumn => classSession.id),
    faults: text('faults', { mode: 'json' }).$type<string[]>().notNull(),
    note: text('note').notNull(),
    /** Where a report of pain speaks of. */
    region: text('region', { enum: REGIONS }),
    /** Which way out was rehearsed. */
    exitId: text('exit_id'),
  },
  (t) => [
    index('observation_student').on(t.studentId, t.day),
    index('observation_replaces').on(t.replaces),
    index('observation_class').on(t.classId),
    check(
      'observation_has_value',
      sql`${t.withdrawn} or ${t.single} is not null or (${t.left} is not null and ${t.right} is not null)`,
    ),
  ],
)

export const attempt = sqliteTable(
  'attempt',
  {
    ...factColumns((): AnySQLiteColumn => attempt.id),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
    stageId: text('stage_id').notNull(),
    level: text('level', {
      enum: ['took-off', 'hop', 'touched', 'held', 'practised', 'not-said'],
    }).notNull(),
    outcome: text('outcome', { enum: ['clean', 'not-yet', 'stopped'] }).notNull(),
    exitControlled: integer('exit_controlled', { mode: 'boolean' }).notNull(),
    help: text('help', { enum: ['alone', 'touched', 'carried', 'not-said'] }).notNull(),
    setupId: text('setup_id'),
    lead: text('lead', { enum: ['left', 'right'] }),
    seconds: real('seconds'),
    faults: text('faults', { mode: 'json' }).$type<string[]>().notNull(),
    endedBy: text('ended_by', { enum: ['self', 'spent-arms', 'helper', 'setup'] }),
    classId: text('class_id').references(() => classSession.id),
  },
  (t) => [
    index('attempt_student').on(t.studentId, t.day),
    index('attempt_replaces').on(t.replaces),
    index('attempt_class').on(t.classId),
    // The logbook reads from the newest on.
    index('attempt_newest').on(t.studioId, t.day, t.hlc),
  ],
)

export const placement = sqliteTable(
  'placement',
  {
    ...factColumns((): AnySQLiteColumn => placement.id),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
    stageId: text('stage_id'),
  },
  (t) => [index('placement_student').on(t.studentId), index('placement_replaces').on(t.replaces)],
)

/** A drill that was done. */
export const drillDone = sqliteTable(
  'drill_done',
  {
    ...factColumns((): AnySQLiteColumn => drillDone.id),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
    drillId: text('drill_id').notNull(),
    classId: text('class_id').references(() => classSession.id, { onDelete: 'set null' }),
    amount: real('amount'),
  },
  (t) => [
    index('drill_student').on(t.studentId, t.day),
    index('drill_replaces').on(t.replaces),
    index('drill_class').on(t.classId),
  ],
)
