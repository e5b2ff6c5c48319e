import type Database from 'better-sqlite3'
import { readMigrationFiles } from 'drizzle-orm/migrator'

/** Why a database is not used: nothing in it was changed. */
export class StoreRefusal extends Error {
  constructor(
    readonly code:
      | 'update-failed'
      | 'rows-would-go'
      | 'links-would-break'
      | 'newer-release'
      | 'damaged'
      | 'not-writable'
      | 'full'
      | 'emptied',
    /** Table names and numbers only: never what somebody wrote. */
    readonly detail: string,
  ) {
    super(`${code}: ${detail}`)
    this.name = 'StoreRefusal'
  }
}

const APPLIED = '__drizzle_migrations'

/**
 * Whether an update is due.
 * @throws StoreRefusal where the file knows an update that this release does not
 */
export function migrationsDue(raw: Database.Database, folder: string): boolean {
  const known = readMigrationFiles({ migrationsFolder: folder })
  const applied = appliedIn(raw)
  const last = known.at(-1)?.folderMillis ?? 0
  const strange = applied.filter((at) => at > last)
  if (strange.length > 0) throw new StoreRefusal('newer-release', `${strange.length} unknown updates`)
  return known.some((m) => !applied.includes(m.folderMillis))
}

/**
 * Applies what is due, all of it or nothing. Foreign keys are off meanwhile: a table that is made anew is dropped on the
 * way, and with them on, the drop would take along every row that points at it. Afterwards links are checked and rows
 * counted, and a table that lost any stops the update.
 */
export function bringUpToDate(raw: Database.Database, folder: string): void {
  raw.pragma('foreign_keys = OFF')
  const before = rowCounts(raw)
  const apply = raw.transaction(() => {
    raw.exec(
      `CREATE TABLE IF NOT EXISTS ${APPLIED} (id INTEGER PRIMARY KEY, hash text NOT NULL, created_at numeric)`,
    )
    const applied = appliedIn(raw)
    for (const { folderMillis, hash, sql } of readMigrationFiles({ migrationsFolder: folder })) {
      if (applied.includes(folderMillis)) continue
      for (const statement of sql) if (statement.trim() !== '') raw.exec(statement)
      raw.prepare(`INSERT INTO ${APPLIED} (hash, created_at) VALUES (?, ?)`).run(hash, folderMillis)
    }
    const after = rowCounts(raw)
    const fell = [...before].filter(([table, rows]) => (after.get(table) ?? 0) < rows)
    if (fell.length > 0)
      throw new StoreRefusal(
        'rows-would-go',
        fell.map(([t, n]) => `${t} ${n} to ${after.get(t) ?? 0}`).join(', '),
      )
    const broken = raw.pragma('foreign_key_check') as { table: string }[]
    if (broken.length > 0)
      throw new StoreRefusal('links-would-break', [...new Set(broken.map((b) => b.table))].join(', '))
  })
  try {
    apply.exclusive()
  } catch (error) {
    if (error instanceof StoreRefusal) throw error
    const code = error instanceof Error && 'code' in error ? String(error.code) : 'unknown'
    throw new StoreRefusal('update-failed', code)
  }
}

function appliedIn(raw: Database.Database): number[] {
  const there = raw.prepare('select 1 from sqlite_master where name = ?').get(APPLIED)
  if (!there) return []
  return raw.prepare(`select created_at from ${APPLIED}`).pluck().all() as number[]
}

function rowCounts(raw: Database.Database): Map<string, number> {
  const tables = raw
    .prepare("select name from sqlite_master where type = 'table' and name not like 'sqlite_%' and name <> ?")
    .pluck()
    .all(APPLIED) as string[]
  return new Map(tables.map((t) => [t, raw.prepare(`select count(*) from "${t}"`).pluck().get() as number]))
}
