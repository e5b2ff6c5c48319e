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
import type { StudioFloor } from '@/core/approaches/floor'
import { SCOPES } from '@/core/approaches/resolve'
import { OVERRIDE_REASONS } from '@/core/readiness/override'
import { CONDITIONS } from '@/core/props/inventory'
import type { EmergencyCard } from '@/core/room/emergency'
import type { Room } from '@/core/room/room'

/** The one studio of this installation. */
export const studio = sqliteTable(
  'studio',
  {
    id: integer('id').primaryKey(),
    name: text('name').notNull(),
    teacher: text('teacher').notNull(),
    /** The room from above, a `Room`; null until it is drawn. */
    room: text('room', { mode: 'json' }).$type<Room>(),
    /** What the studio holds for everybody, a `StudioFloor`. */
    floor: text('floor', { mode: 'json' }).$type<StudioFloor>(),
    emergency: text('emergency', { mode: 'json' }).$type<EmergencyCard>(),
    /** Salted hash of the word that opens the health layer; null where one tap does. */
    passHash: text('pass_hash'),
    timeZone: text('time_zone').notNull(),
    units: text('units', { enum: ['cm', 'in'] }).notNull(),
    /** Set when the data is the demo world: the day it was made for. */
    demoAsOf: text('demo_as_of'),
  },
  (t) => [check('studio_single', sql`${t.id} = 1`)],
)

/** Things in the cupboard, by shape. */
export const propItem = sqliteTable(
  'prop_item',
  {
    id: text('id').primaryKey(),
    shape: text('shape').notNull(),
    localName: text('local_name').notNull(),
    sizeCm: text('size_cm', { mode: 'json' }).$type<number[]>(),
    count: integer('count').notNull(),
    condition: text('condition', { enum: CONDITIONS }).notNull(),
    checkedDay: text('checked_day'),
  },
  (t) => [
    check('prop_count', sql`${t.count} between 0 and 400`),
    check('prop_name', sql`length(${t.localName}) <= 40`),
  ],
)

/** People who can help with hands, and with what. */
export const assistant = sqliteTable('assistant', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  trained: text('trained', { mode: 'json' }).$type<string[]>().notNull(),
  /** The last day on which they would rather not. */
  restsUntil: text('rests_until'),
})

/** An option chosen for a question on which teachers differ. */
export const approachChoice = sqliteTable(
  'approach_choice',
  {
    scope: text('scope', { enum: SCOPES }).notNull(),
    /** Class or student id; empty for the teacher. */
    scopeId: text('scope_id').notNull(),
    approach: text('approach').notNull(),
    option: text('option').notNull(),
    day: text('day').notNull(),
  },
  (t) => [primaryKey({ columns: [t.scope, t.scopeId, t.approach] })],
)

/** People who come together, with their usual hour. */
export const group = sqliteTable(
  'class_group',
  {
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
    groupId: text('group_id')
      .notNull()
      .references(() => group.id, { onDelete: 'cascade' }),
    studentId: text('student_id')
      .notNull()
      .references(() => student.id, { onDelete: 'cascade' }),
  },
  (t) => [primaryKey({ columns: [t.groupId, t.studentId] })],
)

/** Something that went wrong; the words are sealed with the health key. */
export const incident = sqliteTable('incident', {
  id: text('id').primaryKey(),
  day: text('day').notNull(),
  time: text('time').notNull(),
  classId: text('class_id').references(() => classSession.id, { onDelete: 'set null' }),
  studentId: text('student_id').references(() => student.id, { onDelete: 'cascade' }),
  sealed: text('sealed').notNull(),
  writtenDay: text('written_day').notNull(),
})

export const student = sqliteTable(
  'student',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    statureCm: real('stature_cm'),
    breathS: real('breath_s').notNull(),
    /** Whom to ring; empty where nobody was named. */
    contact: text('contact').notNull().default(''),
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
    kind: text('kind', { enum: ['screening', 'clearance', 'check-in'] }).notNull(),
    day: text('day').notNull(),
    sealed: text('sealed').notNull(),
  },
  (t) => [index('health_by_student').on(t.studentId)],
)

/** A teacher's look at an offer: added, never changed; the newest counts. */
export const offerTap = sqliteTable(
  'offer_tap',
  {
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
    aid: text('aid').notNull().default(''),
    help: text('help', { enum: ['alone', 'touched', 'carried'] })
      .notNull()
      .default('alone'),
    arms: text('arms', { enum: ['fresh', 'spent'] }),
    valid: integer('valid', { mode: 'boolean' }).notNull(),
    watched: integer('watched', { mode: 'boolean' }).notNull(),
    observer: text('observer').notNull().default(''),
    classId: text('class_id').references((): AnySQLiteColumn => classSession.id, { onDelete: 'set null' }),
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
    setupId: text('setup_id'),
    lead: text('lead', { enum: ['left', 'right'] }),
    seconds: real('seconds'),
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
    groupId: text('group_id').references(() => group.id, { onDelete: 'set null' }),
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
    dropIn: integer('drop_in', { mode: 'boolean' }).notNull().default(false),
    /** Null until somebody marks it. */
    attended: text('attended', { enum: ['here', 'late', 'absent'] }),
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
    /** No reference: once somebody is erased their decision stays under an id that nobody has. */
    studentId: text('student_id').notNull(),
    before: text('before', { mode: 'json' }).notNull(),
    after: text('after', { mode: 'json' }).notNull(),
    /** What they were made from was taken away: they can be shown, not made again. */
    inputsErased: integer('inputs_erased', { mode: 'boolean' }).notNull().default(false),
  },
  (t) => [primaryKey({ columns: [t.classId, t.studentId] })],
)
