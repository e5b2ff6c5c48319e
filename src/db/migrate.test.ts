import Database from 'better-sqlite3'
import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { gunzipSync } from 'node:zlib'
import { doingsOf } from '@/core/classes/plan'
import { shippedPractice } from '@/core/practice/library'
import { rosterOf } from './attendance'
import { classLines, findClass, locksOf } from './classes'
import { decisionsOf } from './decisions'
import { evidenceOf } from './evidence'
import { readHealth } from './health'
import { readHealthKey } from './health-codec'
import { keyOf } from './health-key'
import { StoreRefusal } from './migrate'
import { openDb } from './open'
import { planOf } from './plans'
import { HOME } from './scope'
import { listStudents } from './students'
import { readStudio } from './studio'

const FIXTURES = path.join('src', 'db', 'fixtures')
const OLD_CLASS = '01a00000-0000-7000-8000-00000000c1a5'

let folder: string
let file: string
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'levitar-migrate-'))
  file = path.join(folder, 'levitar.sqlite')
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

/** The demo world with a class planned, taught and ended, as the release before the floor log left it. */
function oldRelease(): void {
  writeFileSync(file, gunzipSync(readFileSync(path.join(FIXTURES, 'before-the-floor-log.sqlite.gz'))))
}
const copies = () => readdirSync(folder).filter((name) => name.includes('.before-'))
const counts = (): Record<string, number> => {
  const raw = new Database(file)
  const tables = raw.prepare("select name from sqlite_master where type = 'table'").pluck().all() as string[]
  const found = tables.map(
    (t) => [t, raw.prepare(`select count(*) from "${t}"`).pluck().get() as number] as const,
  )
  raw.close()
  return Object.fromEntries(found)
}

/** The shipped migrations with one more. */
function withMigration(sql: string): string {
  const own = path.join(folder, 'migrations')
  cpSync('drizzle', own, { recursive: true })
  const journalFile = path.join(own, 'meta', '_journal.json')
  const journal = JSON.parse(readFileSync(journalFile, 'utf8')) as {
    entries: { when: number; idx: number }[]
  }
  const last = journal.entries.at(-1)!
  writeFileSync(path.join(own, '9999_next.sql'), sql)
  const next = { ...last, idx: last.idx + 1, when: last.when + 1000, tag: '9999_next' }
  writeFileSync(journalFile, JSON.stringify({ ...journal, entries: [...journal.entries, next] }))
  return own
}

/** A table made anew, spelt as the migration maker spells it. */
function remake(): string {
  const raw = new Database(file)
  const made = raw.prepare("select sql from sqlite_master where name = 'student'").pluck().get() as string
  raw.close()
  return [
    'PRAGMA foreign_keys=OFF;',
    made.replace('`student`', '`__new_student`').replaceAll('"student"', '"__new_student"'),
    `INSERT INTO __new_student SELECT * FROM student;`,
    'DROP TABLE student;',
    'ALTER TABLE __new_student RENAME TO student;',
    'PRAGMA foreign_keys=ON;',
  ].join('--> statement-breakpoint\n')
}

describe('data of the release before the floor log', () => {
  const scope = () => ({ db: openDb(file), studioId: HOME })
  const key = () => readHealthKey(path.join(FIXTURES, 'before-the-floor-log.key'))
  it('opens with every fact, mark, lock, plan and decision, copied aside once', () => {
    oldRelease()
    const before = counts()
    const db = scope()
    const after = counts()
    for (const table of [
      'student',
      'observation',
      'attempt',
      'health_record',
      'class_session',
      'class_roster',
    ])
      expect([table, after[table]]).toEqual([table, before[table]])
    expect(copies()).toHaveLength(1)
    expect(listStudents(db)).toHaveLength(14)
    expect(readStudio(db, shippedPractice()).bays).toBe(5)
    const past = classLines(db).lines.at(-1)
    expect(rosterOf(db, past?.id ?? '').filter((r) => r.attended !== null).length).toBeGreaterThan(8)
    expect(decisionsOf(db, OLD_CLASS)).toHaveLength(4)
    expect(classLines(db).lines.find((c) => c.id === OLD_CLASS)).toMatchObject({
      planned: true,
      state: 'ended',
      people: 4,
    })
    const [first = ''] = locksOf(db, OLD_CLASS).map((l) => l.studentId)
    expect(locksOf(db, OLD_CLASS)).toEqual([
      { studentId: first, part: 'waves', stageId: 'FS-09', reason: 'seen-it' },
    ])
    const someone = listStudents(db).find((s) => evidenceOf(db, s.id).attempts.length > 3)
    expect(someone).toBeDefined()
  })
  it('a plan of it still opens, without a brief to judge it by', () => {
    oldRelease()
    const db = scope()
    const stored = planOf(db, key(), OLD_CLASS)
    expect(stored?.brief).toBeNull()
    expect(stored?.plan).toMatchObject({ version: 2, minutes: 60, points: null })
    const names = stored?.plan.blocks.flatMap(doingsOf).map((v) => v.studentId)
    expect(new Set(names)).toEqual(new Set(findClass(db, OLD_CLASS)?.roster))
  })
  it('its notes open with its key, and no other is made in its place', () => {
    oldRelease()
    const db = scope()
    expect(keyOf(db, folder, null)).toEqual({ code: 'lost', key: null })
    const said = listStudents(db).map((s) => readHealth(db, key(), s.id))
    expect(said.some((h) => h.screening.answers.length > 3)).toBe(true)
    expect(said.every((h) => !h.shut)).toBe(true)
  })
})

describe('an update', () => {
  it('that makes a table anew keeps every row that points at it', () => {
    oldRelease()
    openDb(file)
    const before = counts()
    expect(before.observation).toBeGreaterThan(100)
    openDb(file, withMigration(remake()))
    expect({ ...counts(), __drizzle_migrations: 0 }).toEqual({ ...before, __drizzle_migrations: 0 })
  })
  it.each([
    ['loses rows', 'rows-would-go', 'DELETE FROM observation WHERE rowid % 2 = 0;'],
    [
      'tears rows from what they point at',
      'links-would-break',
      "UPDATE observation SET student_id = 'nobody';",
    ],
    ['cannot run', 'update-failed', 'ALTER TABLE nothing ADD x text;'],
  ])('that %s is refused whole', (_, code, sql) => {
    oldRelease()
    openDb(file)
    const before = counts()
    expect(() => openDb(file, withMigration(sql))).toThrow(expect.objectContaining({ code }) as Error)
    expect(counts()).toEqual(before)
    expect(listStudents({ db: openDb(file), studioId: HOME })).toHaveLength(14)
  })
  it('of a newer release is not opened by an older one', () => {
    openDb(file, withMigration('CREATE TABLE later (id text);'))
    expect(() => openDb(file)).toThrow(expect.objectContaining({ code: 'newer-release' }) as Error)
  })
  it('leaves three copies at most, and none that is half written', () => {
    oldRelease()
    openDb(file)
    writeFileSync(`${file}.before-migration-2999-01-01.part`, 'half')
    for (let n = 0; n < 4; n += 1)
      expect(() => openDb(file, withMigration('ALTER TABLE nothing ADD x text;'))).toThrow(StoreRefusal)
    expect(copies()).toHaveLength(3)
    expect(copies().filter((name) => name.endsWith('.part'))).toEqual([])
    const raw = new Database(path.join(folder, copies()[0]!), { readonly: true })
    expect(raw.pragma('integrity_check', { simple: true })).toBe('ok')
    raw.close()
  })
  it('that failed is remembered: the next page neither tries nor copies again', async () => {
    oldRelease()
    openDb(file)
    const raw = new Database(file)
    raw.exec("INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9999999999999)")
    raw.close()
    process.env.LEVITAR_DATA = folder
    const { sharedDb } = await import('./open')
    const before = copies()
    const first = catchOf(() => sharedDb())
    expect(first).toMatchObject({ code: 'newer-release' })
    rmSync(file)
    expect(catchOf(() => sharedDb())).toBe(first)
    expect(copies()).toEqual(before)
  })
})

function catchOf(run: () => unknown): unknown {
  try {
    run()
  } catch (error) {
    return error
  }
  throw new Error('took it')
}

it('an update takes from what classes decided which limit acted, and nothing else', () => {
  oldRelease()
  openDb(file).$client.close()
  const raw = new Database(file)
  const [row] = raw.prepare('select rowid, before, after from class_decision').all() as {
    rowid: number
    before: string
    after: string
  }[]
  const limit = { tag: 'HB', level: 2, action: 'stop', instead: 'Rest.', mostSeconds: null }
  const said = JSON.parse(row!.before) as { reasons: unknown[] }
  const planted = [
    { code: 'no-gates' },
    {
      code: 'limited',
      verdict: 'barred',
      because: [limit, limit],
      instead: { stageId: 'FS-01', from: 'family' },
    },
    ...said.reasons,
  ]
  raw
    .prepare('update class_decision set before = ? where rowid = ?')
    .run(JSON.stringify({ ...said, reasons: planted }), row!.rowid)
  raw.exec(readFileSync(path.join('drizzle', '0020_decisions_without_limits.sql'), 'utf8'))
  const [then] = raw.prepare('select before, after from class_decision where rowid = ?').all(row!.rowid) as {
    before: string
    after: string
  }[]
  const cleared = planted.map((r) =>
    (r as { code: string }).code === 'limited' ? { ...(r as object), because: [] } : r,
  )
  expect(JSON.parse(then!.before)).toEqual({ ...said, reasons: cleared })
  expect(JSON.parse(then!.after)).toEqual(JSON.parse(row!.after))
  raw.close()
})

describe('a ground that does not carry', () => {
  const refusal = (code: string) => expect.objectContaining({ code }) as Error
  const own = () => path.join(mkdtempSync(path.join(tmpdir(), 'levitar-ground-')), 'levitar.sqlite')
  it('a file that is no database, or whose first page is spoilt, is said to be damaged and stays as it is', () => {
    const text = own()
    writeFileSync(text, 'not a database at all, but long enough to be read as one. '.repeat(200))
    expect(() => openDb(text)).toThrow(refusal('damaged'))
    const spoilt = own()
    openDb(spoilt).$client.close()
    const bytes = readFileSync(spoilt)
    bytes.fill(0x55, 100, 600)
    writeFileSync(spoilt, bytes)
    expect(() => openDb(spoilt)).toThrow(refusal('damaged'))
    expect(readFileSync(spoilt).equals(bytes)).toBe(true)
  })
  it('an empty file beside a key is no new studio; without a key it is one', () => {
    const file = own()
    writeFileSync(file, '')
    mkdirSync(path.join(path.dirname(file), 'keys'))
    writeFileSync(path.join(path.dirname(file), 'keys', 'health.key'), 'x')
    expect(() => openDb(file)).toThrow(refusal('emptied'))
    const fresh = own()
    writeFileSync(fresh, '')
    expect(openDb(fresh).$client.open).toBe(true)
  })
  it('a folder that cannot be is said to be closed', () => {
    const file = own()
    mkdirSync(file)
    expect(() => openDb(file)).toThrow(refusal('not-writable'))
  })
})
