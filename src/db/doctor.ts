import Database from 'better-sqlite3'
import { existsSync, statfsSync, statSync } from 'node:fs'
import path from 'node:path'
import { backupsOf } from './backup'
import { healthKeyFile, readHealthKey, unseal } from './health-codec'
import { migrationsDue, StoreRefusal } from './migrate'
import { databaseFile } from './open'

/** One thing looked at: how it is, and what to do where it is not well. */
export type Finding = {
  readonly what: string
  readonly well: boolean
  readonly says: string
  readonly todo: string
}

const DAY_MS = 86_400_000
/** Room for the database to be copied three times over is little enough. */
const COPIES = 3
const LEAST_FREE = 200 * 1024 * 1024
const FIRST_YEAR = 2024

/** Looks a data folder over without changing anything. */
export function examine(data: string, nowMs: number, migrations = path.resolve('drizzle')): Finding[] {
  const file = databaseFile(data)
  if (!existsSync(file))
    return [
      finding(
        'database',
        false,
        `there is none in ${path.basename(data)}`,
        'Start the app once, or restore a backup.',
      ),
    ]
  return [...ofFile(file, migrations), ...ofFolder(data, file, nowMs)]
}

function ofFile(file: string, migrations: string): Finding[] {
  try {
    const raw = new Database(file, { readonly: true })
    try {
      const whole = raw.pragma('integrity_check', { simple: true })
      const loose = raw.pragma('foreign_key_check') as { table: string }[]
      return [
        finding(
          'database',
          whole === 'ok',
          whole === 'ok' ? 'whole' : 'damaged',
          'Restore the newest backup.',
        ),
        finding(
          'links',
          loose.length === 0,
          loose.length === 0 ? 'all lead somewhere' : `${loose.length} lead nowhere`,
          'Restore the newest backup.',
        ),
        release(raw, migrations),
        ofKey(raw, file),
      ]
    } finally {
      raw.close()
    }
  } catch {
    return [finding('database', false, 'it does not open', 'Restore the newest backup.')]
  }
}

function release(raw: Database.Database, migrations: string): Finding {
  try {
    const due = migrationsDue(raw, migrations)
    return finding('release', true, due ? 'an update is due; it is made at the next start' : 'up to date', '')
  } catch (error) {
    if (!(error instanceof StoreRefusal)) throw error
    return finding('release', false, 'the file is of a newer release', 'Start the newer release.')
  }
}

function ofKey(raw: Database.Database, file: string): Finding {
  const key = readHealthKey(healthKeyFile(path.dirname(file)))
  const row = raw.prepare('select key_check from studio').get() as { key_check: string | null } | undefined
  const check = row?.key_check ?? null
  const sealed = raw.prepare('select count(*) from health_record').pluck().get() as number
  const todo = 'Put the key back from its printed code: on any student’s Limits page, under the notes.'
  if (key === null) return finding('health key', sealed === 0, sealed === 0 ? 'none yet' : 'missing', todo)
  const fits = check === null || unseal(key, 'key-check', check) !== null
  return finding(
    'health key',
    fits,
    fits ? 'there, and the right one' : 'not the one that sealed the notes',
    todo,
  )
}

function ofFolder(data: string, file: string, nowMs: number): Finding[] {
  const { bavail, bsize } = statfsSync(data)
  const free = bavail * bsize
  const wanted = Math.max(LEAST_FREE, COPIES * statSync(file).size)
  const [newest] = backupsOf(data)
  const age = newest ? Math.floor((nowMs - newest.atMs) / DAY_MS) : null
  const rights = statSync(file).mode & 0o077
  return [
    finding(
      'disk',
      free >= wanted,
      `${Math.round(free / 1024 / 1024)} MB free`,
      'Make room: backups want it.',
    ),
    finding(
      'backup',
      age !== null && age < 2,
      age === null ? 'none' : age === 0 ? 'of today' : `${age} days old`,
      'npm run backup makes one now.',
    ),
    finding(
      'rights',
      rights === 0,
      rights === 0 ? 'only its owner reads it' : 'others on this machine read it',
      `chmod 600 ${path.basename(file)}`,
    ),
    finding(
      'clock',
      new Date(nowMs).getUTCFullYear() >= FIRST_YEAR,
      new Date(nowMs).toISOString().slice(0, 16).replace('T', ' '),
      'Set this machine’s clock: days are told by it.',
    ),
  ]
}

function finding(what: string, well: boolean, says: string, todo: string): Finding {
  return { what, well, says, todo: well ? '' : todo }
}
