import Database from 'better-sqlite3'
import { sql } from 'drizzle-orm'
import { drizzle } from 'drizzle-orm/better-sqlite3'
import { migrate } from 'drizzle-orm/better-sqlite3/migrator'
import type { BaseSQLiteDatabase } from 'drizzle-orm/sqlite-core'
import { existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs'
import path from 'node:path'
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

let shared: Db | undefined

/** The process's one connection, migrated on first use. */
export function sharedDb(): Db {
  shared ??= openDb(databaseFile(dataFolder()))
  return shared
}

/**
 * Opens a database and brings it up to date. An existing file is copied aside first when migrations are due.
 * @param file a path, or `:memory:` for tests
 */
export function openDb(file: string): Db {
  if (file !== ':memory:') mkdirSync(path.dirname(file), { recursive: true })
  const isNew = file === ':memory:' || !existsSync(file)
  const raw = new Database(file)
  raw.pragma('journal_mode = WAL')
  raw.pragma('foreign_keys = ON')
  // What is deleted is overwritten: erasing somebody leaves no bytes of them behind.
  raw.pragma('secure_delete = ON')
  if (!isNew && migrationsDue(raw)) copyAside(raw, file, 'migration')
  const db = drizzle(raw, { schema })
  migrate(db, { migrationsFolder: migrationsFolder() })
  return db
}

/** Writes the log back into the database and empties it, so that nothing deleted lingers there. Outside a transaction. */
export function settle(db: Db = sharedDb()): void {
  db.get(sql`PRAGMA wal_checkpoint(TRUNCATE)`)
}

/** How the names of copies go on after the database's own. */
const COPY = '.before-'

/**
 * Removes the copies that were set aside before updates: they still hold whoever was erased since, and whoever asks to be
 * forgotten weighs more than a way back to last month. Returns how many went.
 */
export function forgetCopies(folder = dataFolder()): number {
  const copies = readdirSync(folder).filter((name) => name.startsWith(FILE + COPY))
  for (const name of copies) rmSync(path.join(folder, name))
  return copies.length
}

/** Copies a database beside itself under a name that says when and why. */
function copyAside(raw: Database.Database, file: string, why: string): string {
  const copy = `${file}${COPY}${why}-${new Date().toISOString().replace(/[:.]/g, '-')}`
  raw.exec(`VACUUM INTO '${copy.replaceAll("'", "''")}'`)
  return copy
}

function migrationsFolder(): string {
  return path.resolve(/* turbopackIgnore: true */ 'drizzle')
}

function migrationsDue(raw: Database.Database): boolean {
  const table = raw.prepare("select 1 from sqlite_master where name = '__drizzle_migrations'").get()
  const applied = table
    ? (raw.prepare('select count(*) as n from __drizzle_migrations').get() as { n: number }).n
    : 0
  return applied < readdirSync(migrationsFolder()).filter((name) => name.endsWith('.sql')).length
}
