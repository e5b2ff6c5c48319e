import Database from 'better-sqlite3'
import { is } from 'drizzle-orm'
import { getTableConfig, SQLiteTable } from 'drizzle-orm/sqlite-core'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { openDb } from './open'
import * as schema from './schema'

const folder = mkdtempSync(path.join(tmpdir(), 'levitar-schema-'))
const file = path.join(folder, 'levitar.sqlite')
afterAll(() => rmSync(folder, { recursive: true, force: true }))

describe('the schema', () => {
  const tables = Object.values(schema).filter((t) => is(t, SQLiteTable)) as SQLiteTable[]
  it.each(tables.map((t) => [getTableConfig(t).name, t] as const))('%s has its owner', (_, table) => {
    const owner = getTableConfig(table).columns.find((c) => c.name === 'studio_id')
    expect(owner).toMatchObject({ notNull: true, hasDefault: false })
  })
  it('is what the database has: every link, and what becomes of it where the other end goes', () => {
    openDb(file)
    const raw = new Database(file)
    const links = (name: string): string[] =>
      (
        raw.pragma(`foreign_key_list(${name})`) as {
          table: string
          from: string
          to: string | null
          on_delete: string
        }[]
      ).map((l) => `${l.from} ${l.table}.${l.to ?? 'id'} ${l.on_delete.toLowerCase()}`)
    for (const table of tables) {
      const { name, foreignKeys } = getTableConfig(table)
      const meant = foreignKeys.map((link) => {
        const { columns, foreignColumns, foreignTable } = link.reference()
        const to = `${getTableConfig(foreignTable).name}.${foreignColumns[0]?.name ?? ''}`
        return `${columns[0]?.name ?? ''} ${to} ${link.onDelete ?? 'no action'}`
      })
      expect([name, links(name).sort()]).toEqual([name, meant.sort()])
    }
    raw.close()
  })
  it('has an index behind every link that a deletion follows', () => {
    openDb(file)
    const raw = new Database(file)
    for (const table of ['observation', 'attempt', 'placement', 'class_event']) {
      const plan = raw.prepare(`explain query plan select 1 from ${table} where replaces = 'x'`).all()
      expect(JSON.stringify(plan)).toMatch(/USING (COVERING )?INDEX/)
    }
    for (const [table, column] of [
      ['attempt', 'class_id'],
      ['class_roster', 'student_id'],
      ['class_decision', 'student_id'],
      ['attendance', 'student_id'],
    ] as const) {
      const plan = raw.prepare(`explain query plan select 1 from ${table} where ${column} = 'x'`).all()
      expect([table, JSON.stringify(plan)]).toEqual([table, expect.stringMatching(/USING (COVERING )?INDEX/)])
    }
    raw.close()
  })
})
