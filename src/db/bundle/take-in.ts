import { sql } from 'drizzle-orm'
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
    for (const row of tables.get(table.name) ?? []) {
      try {
        insert(scope, table, row)
      } catch {
        return refused({ code: 'row', table: table.name, line: stored + 1, column: '' })
      }
      stored += 1
    }
  }
  const [loose] = db.all<{ table: string }>(sql`PRAGMA foreign_key_check`)
  return loose ? refused({ code: 'dangling', table: loose.table }) : ok(stored)
}

function insert(scope: Scope, table: BundleTable, row: Row): void {
  const owned: Row = { ...row, studio_id: scope.studioId }
  const columns = table.columns.filter((c) => owned[c] !== undefined)
  const names = sql.join(
    columns.map((c) => sql.identifier(c)),
    sql`, `,
  )
  const values = sql.join(
    columns.map((c) => sql`${owned[c]}`),
    sql`, `,
  )
  scope.db.run(sql`insert into ${sql.identifier(table.name)} (${names}) values (${values})`)
}
