import Database from 'better-sqlite3'
import { sql } from 'drizzle-orm'
import { drizzle } from 'drizzle-orm/better-sqlite3'
import type { BaseSQLiteDatabase } from 'drizzle-orm/sqlite-core'
import { chmodSync, existsSync, mkdirSync, renameSync, rmSync, statSync } from 'node:fs'
import path from 'node:path'
import { healthKeyFile } from './health-codec'
import { copyAside, forgetCopiesOf } from './copies'
import { Ledger } from './ledger'
import { bringUpToDate, migrationsDue, StoreRefusal } from './migrate'
import { ofProcess } from './process'
import * as schema from './schema'

/** A database connection, or a transaction on it: repositories take either. */
export type Db = BaseSQLiteDatabase<'sync', Database.RunResult, typeof schema>

const FILE = 'levitar.sqlite'

/** Folder of the data: the only place this process writes to. */
export function dataFolder(): string {
  return path.resolve(/* turbopackIgnore: true */ process.env.LEVITAR_DATA ?? 'data')
}

/** The database file in a data folder. */
export function databaseFile(folder: string): string {
  return path.join(folder, FILE)
}

type Opened = ReturnType<typeof openDb>
/** What this process has open, by data folder, or why it could not be: the next page neither tries nor copies again. */
type Shared = { readonly db: Opened } | { readonly refusal: StoreRefusal }
const shared = ofProcess('connections', () => new Map<string, Shared>())

/**
 * The process's one connection, migrated on first use.
 * @throws StoreRefusal where the file cannot be used; the same one until the process is started anew
 */
export function sharedDb(): Db {
  const folder = dataFolder()
  const known = shared.get(folder)
  if (known && 'refusal' in known) throw known.refusal
  if (known) return known.db
  try {
    const db = openDb(databaseFile(folder))
    shared.set(folder, { db })
    return db
  } catch (error) {
    // A ground that may carry again is tried again; an update that failed is not.
    if (error instanceof StoreRefusal && !['full', 'not-writable'].includes(error.code))
      shared.set(folder, { refusal: error })
    throw error
  }
}

/** Puts another whole database in the place of this process's, which nobody has to need any more. */
export function replaceShared(file: string): void {
  const folder = dataFolder()
  const known = shared.get(folder)
  if (known && 'db' in known) known.db.$client.close()
  shared.delete(folder)
  // Its log must never be read into what takes its place.
  for (const ending of ['-wal', '-shm']) rmSync(databaseFile(folder) + ending, { force: true })
  renameSync(file, databaseFile(folder))
}

/**
 * Opens a database and brings it up to date. An existing file is copied aside first when migrations are due.
 * @param file a path, or `:memory:` for tests
 * @throws StoreRefusal where an update fails, would lose rows, or the file was written by a newer release
 */
export function openDb(
  file: string,
  migrationsFolder = path.resolve(/* turbopackIgnore: true */ 'drizzle'),
): Db & { readonly $client: Database.Database } {
  if (file !== ':memory:') mkdirSync(path.dirname(file), { recursive: true, mode: 0o700 })
  const isNew = file === ':memory:' || !existsSync(file)
  // A file of no bytes beside a key was a studio once: it is not begun anew in silence.
  if (!isNew && statSync(file).size === 0 && existsSync(healthKeyFile(path.dirname(file))))
    throw new StoreRefusal('emptied', 'the file has no bytes, and a key of health notes lies beside it')
  const raw = opened(file)
  // Names and numbers of everybody: nobody else on this machine reads them. Its log takes the same rights.
  if (isNew && file !== ':memory:') chmodSync(file, 0o600)
  try {
    raw.pragma('journal_mode = WAL')
    // A confirmed tap is on the disk: a power cut takes nothing that was called stored.
    raw.pragma('synchronous = FULL')
    // What is deleted is overwritten: erasing somebody leaves no bytes of them behind.
    raw.pragma('secure_delete = ON')
    if (migrationsDue(raw, migrationsFolder)) {
      if (!isNew) copyAside(raw, file)
      bringUpToDate(raw, migrationsFolder)
    }
    raw.pragma('foreign_keys = ON')
    const ledger = new Ledger(raw)
    const db = drizzle(raw, { schema })
    ledgers.set(db, ledger)
    return db
  } catch (error) {
    raw.close()
    throw groundRefusal(error)
  }
}

function opened(file: string): Database.Database {
  try {
    return new Database(file)
  } catch (error) {
    throw groundRefusal(error)
  }
}

/** What SQLite says of a ground that does not carry, by how its code begins. */
const GROUND: readonly (readonly [begins: RegExp, code: StoreRefusal['code']])[] = [
  [/^SQLITE_(NOTADB|CORRUPT)/, 'damaged'],
  [/^SQLITE_(READONLY|CANTOPEN|PERM|AUTH)|^E(ROFS|ACCES|PERM)/, 'not-writable'],
  [/^SQLITE_FULL|^ENOSPC/, 'full'],
]

function groundRefusal(error: unknown): unknown {
  return groundOf(error) ?? error
}

/** What happened to the ground since the process began that does not pass by itself. */
const seen = ofProcess<{ damaged: StoreRefusal | null }>('ground', () => ({ damaged: null }))

/** What a failure says of the ground that the store stands on; null where it says nothing of it. */
export function groundOf(error: unknown): StoreRefusal | null {
  if (error instanceof StoreRefusal) return error
  const code = codeOf(error)
  const found = GROUND.find(([begins]) => begins.test(code))
  const refusal = found ? new StoreRefusal(found[1], code) : null
  if (refusal?.code === 'damaged') seen.damaged = refusal
  return refusal
}

/** A damaged place that any page or tap of this process has met; null where none has. */
export function damageSeen(): StoreRefusal | null {
  return seen.damaged
}

/** What comes and goes with who else is at the file. */
const PASSING = /^SQLITE_(BUSY|LOCKED|IOERR|NOMEM|PROTOCOL|INTERRUPT)|^E[A-Z]+$/

/** Whether a failure is the ground's, lasting or passing: nothing about what was to be written is wrong. */
export function isOfTheGround(error: unknown): boolean {
  return groundOf(error) !== null || PASSING.test(codeOf(error))
}

function codeOf(error: unknown): string {
  return typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : ''
}

/** Writes what is only kept to be quicker: where the ground takes nothing more, the work goes on without it. */
export function writeIfItCan<T>(write: () => T): T | null {
  try {
    return write()
  } catch (error) {
    const code = groundOf(error)?.code
    if (code === 'full' || code === 'not-writable') return null
    throw error
  }
}

/**
 * Writes the log back into the database and empties it, so that nothing deleted lingers there. Outside a transaction.
 * @returns false where another reader held it back: what was deleted is in the file still
 */
export function settle(db: Db = sharedDb()): boolean {
  return db.get<{ busy: number }>(sql`PRAGMA wal_checkpoint(TRUNCATE)`).busy === 0
}

/** How often a log that is held back is tried again, ms. */
const SETTLE_AGAIN_MS = 5000

/** The same, tried again until no reader holds it back. */
export function settleSurely(db: Db = sharedDb()): void {
  if (!settle(db)) setTimeout(() => settleSurely(db), SETTLE_AGAIN_MS).unref()
}

/**
 * Removes the copies that were set aside before updates: they still hold whoever was erased since, and whoever asks to be
 * forgotten weighs more than a way back to last month. Returns how many went.
 */
export function forgetCopies(folder = dataFolder()): number {
  return forgetCopiesOf(databaseFile(folder))
}

/** How many updates of the schema the database has had: read from the file itself, so it tells that it can be read. */
export function schemaVersion(db: Db): number {
  return db.get<{ n: number }>(sql`select count(*) n from __drizzle_migrations`).n
}

const ledgers = ofProcess('ledgers', () => new WeakMap<Db, Ledger>())

/** What a connection has written; null for a transaction, whose reads are its own. */
export function ledgerOf(db: Db): Ledger | null {
  return ledgers.get(db) ?? null
}
