import { sql } from 'drizzle-orm'
import { check, index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { OVERRIDABLE, type Override } from '@/core/practice/override'
import type { StudioFloor } from '@/core/approaches/floor'
import { SCOPES } from '@/core/approaches/resolve'
import { CONDITIONS } from '@/core/props/inventory'
import type { EmergencyCard } from '@/core/room/emergency'
import type { Room } from '@/core/room/room'
import { owned } from './columns'

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

/** What a studio says or asks in its own way, over the practice that ships. The newest of an entry counts. */
export const practiceOverride = sqliteTable(
  'practice_override',
  {
    ...owned,
    id: text('id').primaryKey(),
    kind: text('kind', { enum: OVERRIDABLE }).notNull(),
    target: text('target').notNull(),
    /** Null gives the practice back its own. */
    fields: text('fields', { mode: 'json' }).$type<Override['fields']>(),
    by: text('by').notNull(),
    atMs: integer('at_ms').notNull(),
  },
  (t) => [index('practice_override_target').on(t.target)],
)
