import { sql } from 'drizzle-orm'
import {
  check,
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
  uniqueIndex,
  type AnySQLiteColumn,
} from 'drizzle-orm/sqlite-core'

/** The one studio of this installation. */
export const studio = sqliteTable(
  'studio',
  {
    id: integer('id').primaryKey(),
    name: text('name').notNull(),
    teacher: text('teacher').notNull(),
    assistant: text('assistant').notNull(),
    wallCm: real('wall_cm'),
    bays: integer('bays').notNull(),
    straps: integer('straps').notNull(),
    blocks: integer('blocks').notNull(),
    timeZone: text('time_zone').notNull(),
    units: text('units', { enum: ['cm', 'in'] }).notNull(),
    /** Set when the data is the demo world: the day it was made for. */
    demoAsOf: text('demo_as_of'),
  },
  (t) => [
    check('studio_single', sql`${t.id} = 1`),
    check(
      'studio_counts',
      sql`${t.bays} between 0 and 12 and ${t.straps} between 0 and 200 and ${t.blocks} between 0 and 400`,
    ),
    check('studio_wall', sql`${t.wallCm} is null or ${t.wallCm} between 60 and 10000`),
  ],
)

export const student = sqliteTable(
  'student',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    statureCm: real('stature_cm'),
    breathS: real('breath_s').notNull(),
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
    id: text('id').primaryKey(),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
    kind: text('kind', { enum: ['screening', 'clearance'] }).notNull(),
    day: text('day').notNull(),
    sealed: text('sealed').notNull(),
  },
  (t) => [index('health_by_student').on(t.studentId)],
)

/** Columns of every append-only fact; rows are inserted and never updated. */
function factColumns(self: () => AnySQLiteColumn) {
  return {
    id: text('id').primaryKey(),
    deviceId: text('device_id').notNull(),
    deviceSeq: integer('device_seq').notNull(),
    hlc: text('hlc').notNull(),
    day: text('day').notNull(),
    replaces: text('replaces').references(self),
    withdrawn: integer('withdrawn', { mode: 'boolean' }).notNull().default(false),
  }
}

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
    valid: integer('valid', { mode: 'boolean' }).notNull(),
    watched: integer('watched', { mode: 'boolean' }).notNull(),
    faults: text('faults', { mode: 'json' }).$type<string[]>().notNull(),
    note: text('note').notNull(),
  },
  (t) => [
    uniqueIndex('observation_device').on(t.deviceId, t.deviceSeq),
    index('observation_student').on(t.studentId, t.day),
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
    level: text('level', { enum: ['took-off', 'hop', 'touched', 'held', 'practised'] }).notNull(),
    outcome: text('outcome', { enum: ['clean', 'not-yet', 'stopped'] }).notNull(),
    exitControlled: integer('exit_controlled', { mode: 'boolean' }).notNull(),
    help: text('help', { enum: ['alone', 'touched', 'carried'] }).notNull(),
    faults: text('faults', { mode: 'json' }).$type<string[]>().notNull(),
    endedBy: text('ended_by', { enum: ['self', 'spent-arms', 'helper', 'setup'] }),
    classId: text('class_id').references(() => classSession.id),
  },
  (t) => [
    uniqueIndex('attempt_device').on(t.deviceId, t.deviceSeq),
    index('attempt_student').on(t.studentId, t.day),
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
  (t) => [
    uniqueIndex('placement_device').on(t.deviceId, t.deviceSeq),
    index('placement_student').on(t.studentId),
  ],
)

export const classSession = sqliteTable(
  'class_session',
  {
    id: text('id').primaryKey(),
    title: text('title').notNull(),
    day: text('day').notNull(),
    startTime: text('start_time').notNull(),
    minutes: integer('minutes').notNull(),
    bays: integer('bays').notNull(),
    /** The plan as made or edited; null until planned. */
    plan: text('plan', { mode: 'json' }),
    locks: text('locks', { mode: 'json' }).notNull(),
  },
  (t) => [
    check('class_minutes', sql`${t.minutes} between 20 and 120`),
    check('class_bays', sql`${t.bays} between 1 and 12`),
  ],
)

export const classRoster = sqliteTable(
  'class_roster',
  {
    classId: text('class_id')
      .notNull()
      .references(() => classSession.id, { onDelete: 'cascade' }),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
  },
  (t) => [primaryKey({ columns: [t.classId, t.studentId] })],
)

export const classEvent = sqliteTable(
  'class_event',
  {
    ...factColumns((): AnySQLiteColumn => classEvent.id),
    classId: text('class_id')
      .notNull()
      .references(() => classSession.id),
    kind: text('kind', { enum: ['started', 'block', 'ended'] }).notNull(),
    atMs: integer('at_ms').notNull(),
    blockIndex: integer('block_index').notNull(),
  },
  (t) => [
    uniqueIndex('class_event_device').on(t.deviceId, t.deviceSeq),
    index('class_event_class').on(t.classId),
  ],
)

/** Decisions as they stood when a class ended, before and after it. */
export const classDecision = sqliteTable(
  'class_decision',
  {
    classId: text('class_id')
      .notNull()
      .references(() => classSession.id, { onDelete: 'cascade' }),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
    before: text('before', { mode: 'json' }).notNull(),
    after: text('after', { mode: 'json' }).notNull(),
  },
  (t) => [primaryKey({ columns: [t.classId, t.studentId] })],
)
