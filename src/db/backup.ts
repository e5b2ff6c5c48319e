import Database from 'better-sqlite3'
import {
  appendFileSync,
  chmodSync,
  closeSync,
  copyFileSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs'
import path from 'node:path'
import { ok, refused, type Result } from '@/core/result'
import { eraseStudent } from './erase'
import { healthKeyFile, readHealthKey } from './health-codec'
import { databaseFile, openDb } from './open'
import { HOME } from './scope'
import { findStudent } from './students'

/** Kept: so many hours, days and months back, the newest of each. */
const KEPT = [
  { of: 13, most: 24 },
  { of: 10, most: 14 },
  { of: 7, most: 12 },
] as const
const NAME = /^levitar-(\d{4}-\d\d-\d\dT\d\d-\d\d-\d\d)Z\.sqlite$/
const PART = '.part'
/** Pages copied at a time: between two turns whatever waits is served. */
const PAGES_A_TURN = 250

/** A backup as it lies there. */
export type Backup = { readonly file: string; readonly atMs: number; readonly bytes: number }

export type RestoreRefusal = { readonly code: 'not-empty' | 'no-backup' | 'broken' }

function folderOf(data: string): string {
  return path.join(/* turbopackIgnore: true */ data, 'backups')
}

/** Backups of a data folder, newest first. */
export function backupsOf(data: string): Backup[] {
  const folder = folderOf(data)
  if (!existsSync(folder)) return []
  return readdirSync(folder)
    .flatMap((name): Backup[] => {
      const at = NAME.exec(name)?.[1]
      if (at === undefined) return []
      const file = path.join(folder, name)
      return [{ file, atMs: Date.parse(isoOf(at)), bytes: statSync(file).size }]
    })
    .sort((a, b) => b.atMs - a.atMs)
}

/** `2026-03-10T18-30-00` as a moment. */
function isoOf(at: string): string {
  const [day = '', time = ''] = at.split('T')
  return `${day}T${time.replaceAll('-', ':')}Z`
}

/**
 * Copies the database while it is in use, by SQLite's own backup, so that the copy is of one moment. It is written under
 * another name, synced and renamed; older ones make way by hour, day and month. The key of the health notes stays out.
 */
export async function backUp(data: string, nowMs: number): Promise<string> {
  const folder = folderOf(data)
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  for (const name of readdirSync(folder).filter((n) => n.endsWith(PART))) rmSync(path.join(folder, name))
  const stamp = new Date(nowMs).toISOString().slice(0, 19).replaceAll(':', '-')
  const file = path.join(folder, `levitar-${stamp}Z.sqlite`)
  const from = new Database(databaseFile(data), { readonly: true })
  try {
    // The moment is held for the whole copy: without it every write of somebody else would begin the copy anew.
    from.exec('BEGIN')
    from.prepare('select count(*) from sqlite_schema').get()
    await from.backup(file + PART, { progress: () => PAGES_A_TURN })
  } finally {
    from.close()
  }
  chmodSync(file + PART, 0o600)
  sync(file + PART)
  renameSync(file + PART, file)
  for (const old of superseded(backupsOf(data))) rmSync(old.file)
  return file
}

/** Backups that no hour, day or month keeps. */
export function superseded(backups: readonly Backup[]): Backup[] {
  const keep = new Set<Backup>()
  for (const { of, most } of KEPT) {
    const seen = new Set<string>()
    for (const backup of backups) {
      const slot = new Date(backup.atMs).toISOString().slice(0, of)
      if (seen.size >= most || seen.has(slot)) continue
      seen.add(slot)
      keep.add(backup)
    }
  }
  return backups.filter((b) => !keep.has(b))
}

/** Removes every backup: they hold whoever was erased since. Returns how many went. */
export function forgetBackups(data: string): number {
  const backups = backupsOf(data)
  for (const { file } of backups) rmSync(file)
  return backups.length
}

function erasedFile(data: string): string {
  return path.join(/* turbopackIgnore: true */ data, 'erased-ids.txt')
}

/** Remembers that somebody was erased, by an id that leads to nobody: a backup that left this folder may hold them. */
export function rememberErased(data: string, id: string): void {
  appendFileSync(erasedFile(data), `${id}\n`, { mode: 0o600 })
}

/** Ids of whoever was erased here. */
export function erasedIds(data: string): string[] {
  return existsSync(erasedFile(data))
    ? readFileSync(erasedFile(data), 'utf8')
        .split('\n')
        .filter((id) => id !== '')
    : []
}

/**
 * Puts a backup into a folder that has no database, brings it up to date, and erases again whoever was erased since.
 * @param erased ids besides those remembered in the folder itself
 * @returns how many were erased again
 */
export function restore(
  backup: string,
  data: string,
  nobody: () => string,
  erased: readonly string[] = [],
): Result<number, RestoreRefusal> {
  const target = databaseFile(data)
  if (existsSync(target)) return refused({ code: 'not-empty' })
  if (!existsSync(backup)) return refused({ code: 'no-backup' })
  if (!isWhole(backup)) return refused({ code: 'broken' })
  mkdirSync(data, { recursive: true, mode: 0o700 })
  // A log of what lay here before must never be read into what is put in its place.
  for (const ending of ['-wal', '-shm']) rmSync(target + ending, { force: true })
  copyFileSync(backup, target + PART)
  chmodSync(target + PART, 0o600)
  sync(target + PART)
  renameSync(target + PART, target)
  const db = openDb(target)
  const scope = { db, studioId: HOME }
  const key = readHealthKey(healthKeyFile(data))
  const again = [...new Set([...erasedIds(data), ...erased])].filter((id) => findStudent(scope, id) !== null)
  db.transaction((tx) => {
    for (const id of again) eraseStudent({ ...scope, db: tx }, key, id, nobody())
  })
  db.$client.exec('VACUUM')
  db.$client.close()
  return ok(again.length)
}

function isWhole(file: string): boolean {
  try {
    const raw = new Database(file, { readonly: true })
    try {
      // A file of no bytes is whole to SQLite, and no studio.
      const ours = raw.prepare("select 1 from sqlite_schema where name = 'student'").get()
      return ours !== undefined && raw.pragma('integrity_check', { simple: true }) === 'ok'
    } finally {
      raw.close()
    }
  } catch {
    return false
  }
}

function sync(file: string): void {
  const handle = openSync(file, 'r+')
  fsyncSync(handle)
  closeSync(handle)
}
