import { sql, type SQL } from 'drizzle-orm'
import { z } from 'zod'
import { withoutLimits } from '@/core/readiness/kept'
import { ok, refused, type Result } from '@/core/result'
import type { BundleRefusal } from '@/core/words/bundle'
import type { Scope } from '../scope'
import type { ReadBundle } from './read'
import { BUNDLE_TABLES, type BundleTable, type Row } from './tables'

/** Whoever is here already: a bundle is taken into an empty studio only. */
const PEOPLED: readonly string[] = ['student', 'class_session', 'health_record']

/**
 * Stores everything of a bundle, within the transaction of whoever asks: all of it, or nothing.
 * @returns how many rows were stored; a refusal asks the caller to take the transaction back
 */
export function takeIn(scope: Scope, { tables }: ReadBundle): Result<number, BundleRefusal> {
  const { db } = scope
  for (const name of PEOPLED)
    if (db.get<{ n: number }>(sql`select count(*) n from ${sql.identifier(name)}`).n > 0)
      return refused({ code: 'not-empty' })
  // Rows point at one another in both directions of time: they are held to it once all of them are there.
  db.run(sql`PRAGMA defer_foreign_keys = ON`)
  let stored = 0
  for (const table of BUNDLE_TABLES) {
    // What a fresh installation has of its own makes way.
    db.run(sql`delete from ${sql.identifier(table.name)}`)
    const rows = (tables.get(table.name) ?? []).map(CLEANED[table.name] ?? ((row: Row) => row))
    const wrong = insertAll(scope, table, rows)
    if (wrong !== null) return refused({ code: 'row', table: table.name, line: wrong + 1, column: '' })
    stored += rows.length
  }
  const [loose] = db.all<{ table: string }>(sql`PRAGMA foreign_key_check`)
  return loose ? refused({ code: 'dangling', table: loose.table }) : ok(stored)
}

/** What earlier releases kept of limits in the clear does not come in again. */
const CLEANED: Readonly<Record<string, (row: Row) => Row>> = {
  class_decision: ({ before, after, ...row }) => ({ ...row, before: cleaned(before), after: cleaned(after) }),
}

function cleaned(decision: Row[string] | undefined): string {
  const read = z
    .looseObject({ reasons: z.array(z.looseObject({ code: z.string() })) })
    .safeParse(asJson(decision))
  return read.success ? JSON.stringify(withoutLimits(read.data)) : String(decision)
}

function asJson(text: Row[string] | undefined): unknown {
  try {
    return JSON.parse(String(text))
  } catch {
    return null
  }
}

/** Rows in one statement: ten years are brought in within seconds. */
const AT_ONCE = 200

/** Stores rows in their order. Returns which one the database refused first; null where none. */
function insertAll(scope: Scope, table: BundleTable, rows: readonly Row[]): number | null {
  let at = 0
  while (at < rows.length) {
    const some = alike(table, rows, at)
    try {
      insert(scope, table, some)
    } catch {
      // The whole is taken back by whoever asked; which row it was is found by storing each alone.
      const wrong = some.findIndex((row) => !tries(() => insert(scope, table, [row])))
      return at + Math.max(0, wrong)
    }
    at += some.length
  }
  return null
}

/** The next rows that have the same columns. */
function alike({ columns }: BundleTable, rows: readonly Row[], at: number): readonly Row[] {
  const has = (row: Row | undefined): string => columns.filter((c) => row?.[c] !== undefined).join()
  const first = has(rows[at])
  const some = rows.slice(at, at + AT_ONCE)
  const other = some.findIndex((row) => has(row) !== first)
  return other < 0 ? some : some.slice(0, other)
}

function tries(run: () => void): boolean {
  try {
    run()
    return true
  } catch {
    return false
  }
}

function insert(scope: Scope, table: BundleTable, rows: readonly Row[]): void {
  const owned = rows.map((row): Row => ({ ...row, studio_id: scope.studioId }))
  const columns = table.columns.filter((c) => owned[0]?.[c] !== undefined)
  const list = (parts: readonly SQL[]): SQL => sql.join([...parts], sql`, `)
  const values = owned.map((row) => sql`(${list(columns.map((c) => sql`${row[c]}`))})`)
  scope.db.run(
    sql`insert into ${sql.identifier(table.name)} (${list(columns.map((c) => sql`${sql.identifier(c)}`))}) values ${list(values)}`,
  )
}
