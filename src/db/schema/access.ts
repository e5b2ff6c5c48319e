import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import { PEOPLE_ROLES, ROLES } from '@/core/access/roles'
import { TRAIL } from '@/core/access/trail'
import type { ApiScope } from '@/core/formats/api'
import { owned } from './columns'

/** Somebody who may sign in. An account that ended stays, so that the trail has its name. */
export const account = sqliteTable(
  'account',
  {
    ...owned,
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    /** What is typed to sign in, small letters. */
    login: text('login').notNull(),
    role: text('role', { enum: PEOPLE_ROLES }).notNull(),
    passHash: text('pass_hash').notNull(),
    /** The seed of the second factor, base32; null where there is none. */
    totpSeed: text('totp_seed'),
    /** The last step that was taken: a code opens once. */
    totpStep: integer('totp_step'),
    /** Hashes of the codes that stand in for a lost second factor, each good once. */
    recovery: text('recovery', { mode: 'json' }).$type<string[]>(),
    madeMs: integer('made_ms').notNull(),
    ended: integer('ended', { mode: 'boolean' }).notNull().default(false),
  },
  (t) => [uniqueIndex('account_login').on(t.studioId, t.login)],
)

/** A sign-in that is open. Only the token's hash is kept: who reads the file cannot use it. */
export const signIn = sqliteTable('sign_in', {
  ...owned,
  tokenHash: text('token_hash').primaryKey(),
  /** Null for a paired tablet. */
  accountId: text('account_id').references(() => account.id, { onDelete: 'cascade' }),
  /** What it runs on, in a few words. */
  label: text('label').notNull(),
  madeMs: integer('made_ms').notNull(),
  seenMs: integer('seen_ms').notNull(),
  /** Set after quiet minutes: it does the floor's work until the password comes again. */
  locked: integer('locked', { mode: 'boolean' }).notNull().default(false),
})

/** A code that lets one tablet in, or makes one owner. Its hash only; good once, for minutes. */
export const accessCode = sqliteTable('access_code', {
  ...owned,
  codeHash: text('code_hash').primaryKey(),
  role: text('role', { enum: ROLES }).notNull(),
  label: text('label').notNull(),
  expiresMs: integer('expires_ms').notNull(),
})

/** Who did what with what is private. Triggers hold it append-only; erasing somebody takes their id out of it. */
export const trail = sqliteTable(
  'trail',
  {
    ...owned,
    id: text('id').primaryKey(),
    atMs: integer('at_ms').notNull(),
    accountId: text('account_id'),
    /** Whoever did it, as they were called then. */
    name: text('name').notNull(),
    what: text('what', { enum: TRAIL }).notNull(),
    studentId: text('student_id'),
  },
  (t) => [index('trail_at').on(t.studioId, t.atMs), index('trail_student').on(t.studentId)],
)

/** A token with which another program reads; its hash only. One that ended stays, so that the list tells of it. */
export const apiToken = sqliteTable(
  'api_token',
  {
    ...owned,
    id: text('id').primaryKey(),
    tokenHash: text('token_hash').notNull(),
    name: text('name').notNull(),
    scopes: text('scopes', { mode: 'json' }).$type<ApiScope[]>().notNull(),
    madeDay: text('made_day').notNull(),
    /** The last day that it is good; none that never ends is made. */
    lastDay: text('last_day').notNull(),
    usedDay: text('used_day'),
    ended: integer('ended', { mode: 'boolean' }).notNull().default(false),
  },
  (t) => [uniqueIndex('api_token_hash').on(t.tokenHash)],
)
