import { sql } from 'drizzle-orm'
import {
  check,
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
  type AnySQLiteColumn,
} from 'drizzle-orm/sqlite-core'
import type { StudioFloor } from '@/core/approaches/floor'
import { SCOPES } from '@/core/approaches/resolve'
import { PARTS } from '@/core/classes/lock'
import { OVERRIDE_REASONS } from '@/core/classes/override'
import { CONDITIONS } from '@/core/props/inventory'
import type { EmergencyCard } from '@/core/room/emergency'
import type { Room } from '@/core/room/room'

/** Whose row it is. Repositories set it and ask for it; no row is read without it. */
const owned = { studioId: text('studio_id').notNull() }

/** The one studio of this installation. */
export const studio = sqliteTable(
  'studio',
  {
    id: integer('id').primaryKey(),
    ...owned,
    name: text('name').notNull(),
    teacher: text('teacher').notNull(),
    /** The room from above, a `Room`; null until it is drawn. */
    room: text('room', { mode: 'json' }).$type<Room>(),
    /** What the studio holds for everybody, a `StudioFloor`. */
    floor: text('floor', { mode: 'json' }).$type<StudioFloor>(),
    emergency: text('emergency', { mode: 'json' }).$type<EmergencyCard>(),
    /** Salted hash of the word that opens the health layer; null where one tap does. */
    passHash: text('pass_hash'),
    /** Sealed with the health key: tells a lost key from the right one. */
    keyCheck: text('key_check'),
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
    ...owned,
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
  ...owned,
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
    ...owned,
    scope: text('scope', { enum: SCOPES }).notNull(),
    /** Class or student id; empty for the teacher. */
    scopeId: text('scope_id').notNull(),
    approach: text('approach').notNull(),
    option: text('option').notNull(),
    day: text('day').notNull(),
  },
  (t) => [primaryKey({ columns: [t.studioId, t.scope, t.scopeId, t.approach] })],
)

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

/** Columns of every append-only fact; rows are inserted and never updated. */
function factColumns(self: () => AnySQLiteColumn) {
  return {
    ...owned,
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
    index('attempt_student').on(t.studentId, t.day),
    index('attempt_replaces').on(t.replaces),
    index('attempt_class').on(t.classId),
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
  },
  (t) => [
    index('class_by_day').on(t.studioId, t.day, t.startTime),
    check('class_minutes', sql`${t.minutes} between 20 and 120`),
    check('class_bays', sql`${t.bays} between 1 and 12`),
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
    kind: text('kind', { enum: ['started', 'block', 'ended'] }).notNull(),
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
  (t) => [index('drill_student').on(t.studentId, t.day), index('drill_replaces').on(t.replaces)],
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
