import { createHash } from 'node:crypto'
import { sql } from 'drizzle-orm'
import { gzipSync, strToU8, zipSync } from 'fflate'
import type { HealthKey } from '../health-codec'
import type { Scope } from '../scope'
import { sealWith } from './seal'
import { WITHOUT_HEALTH } from './strip'
import { BUNDLE_TABLES, type BundleTable, type Row } from './tables'

export const BUNDLE_FORMAT = 'levitar-studio'
/** Grows when what is written can no longer be read by the rules of before (docs/formats.md). */
export const BUNDLE_VERSION = 2
/** Zip keeps a time for each file; the same studio is the same bytes. */
const NO_TIME = new Date('1980-01-01T00:00:00')

export type WithHealth = { readonly passphrase: string; readonly key: HealthKey }

/**
 * A whole studio as one file: a zip of JSON tables with a manifest of their digests. The same rows are the same bytes.
 * @param health takes the health notes along, sealed; without it nothing of anybody's health is in the file
 */
export function writeBundle(scope: Scope, health: WithHealth | null): Uint8Array {
  const files: Record<string, Uint8Array> = {}
  const sealed: Record<string, readonly Row[]> = {}
  const counts: Record<string, number> = {}
  for (const table of BUNDLE_TABLES) {
    const rows = rowsOf(scope, table)
    const strip = WITHOUT_HEALTH[table.name]
    const plain = strip ? rows.map(strip).filter((row) => row !== null) : rows
    if (strip && health) sealed[table.name] = rows
    counts[table.name] = plain.length
    files[`tables/${table.name}.json`] = linesOf(plain)
  }
  if (health)
    files['health.sealed'] = sealWith(
      health.passphrase,
      // Packed first: what is sealed does not pack any more, and ten years of it would be too large to bring in.
      gzipSync(strToU8(JSON.stringify({ key: health.key.toString('base64'), tables: sealed })), { mtime: 0 }),
    )
  files['manifest.json'] = strToU8(JSON.stringify(manifestOf(files, counts), null, 2))
  return zipSync(files, { mtime: NO_TIME, level: 6 })
}

function manifestOf(files: Readonly<Record<string, Uint8Array>>, counts: Readonly<Record<string, number>>) {
  const body = {
    format: BUNDLE_FORMAT,
    version: BUNDLE_VERSION,
    rows: counts,
    files: Object.fromEntries(Object.entries(files).map(([name, bytes]) => [name, digestOf(bytes)])),
  }
  return { ...body, digest: digestOf(strToU8(JSON.stringify(body))) }
}

/** SHA-256, as a manifest holds it. */
export function digestOf(bytes: Uint8Array): string {
  return createHash('sha256').update(bytes).digest('hex')
}

/** One row a line: it can be read, compared and mended with any editor. */
function linesOf(rows: readonly Row[]): Uint8Array {
  return strToU8(rows.length === 0 ? '[]\n' : `[\n${rows.map((row) => JSON.stringify(row)).join(',\n')}\n]\n`)
}

/** A table's rows of one studio as SQLite holds them, in the order of their keys, without whose they are. */
function rowsOf(scope: Scope, { name, columns, keys }: BundleTable): Row[] {
  const taken = columns.filter((c) => c !== 'studio_id')
  const list = (names: readonly string[]) =>
    sql.join(
      names.map((n) => sql.identifier(n)),
      sql`, `,
    )
  return scope.db.all<Row>(
    sql`select ${list(taken)} from ${sql.identifier(name)} where studio_id = ${scope.studioId} order by ${list(keys)}`,
  )
}
