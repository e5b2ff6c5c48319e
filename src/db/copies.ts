import type Database from 'better-sqlite3'
import { closeSync, fsyncSync, openSync, readdirSync, renameSync, rmSync } from 'node:fs'
import path from 'node:path'

/** How the names of copies go on after the database's own. */
const COPY = '.before-'
/** A copy that is still being written. */
const PART = '.part'
/** Copies kept beside the database, the newest. */
const KEPT = 3

/**
 * Copies a database beside itself under a name that says when. It is written under another name, synced and renamed, so
 * that whatever carries the final name is whole.
 */
export function copyAside(raw: Database.Database, file: string): string {
  for (const part of copiesOf(file).filter((name) => name.endsWith(PART))) rmSync(part)
  const copy = `${file}${COPY}migration-${new Date().toISOString().replace(/[:.]/g, '-')}`
  raw.exec(`VACUUM INTO '${(copy + PART).replaceAll("'", "''")}'`)
  const handle = openSync(copy + PART, 'r+')
  fsyncSync(handle)
  closeSync(handle)
  renameSync(copy + PART, copy)
  for (const old of copiesOf(file).slice(0, -KEPT)) rmSync(old)
  return copy
}

/** Removes every copy of a database. Returns how many went. */
export function forgetCopiesOf(file: string): number {
  const copies = copiesOf(file)
  for (const copy of copies) rmSync(copy)
  return copies.length
}

/** Copies of a database, oldest first. */
function copiesOf(file: string): string[] {
  const folder = path.dirname(file)
  return readdirSync(folder)
    .filter((name) => name.startsWith(path.basename(file) + COPY))
    .sort()
    .map((name) => path.join(folder, name))
}
