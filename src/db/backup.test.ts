import {
  copyFileSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import Database from 'better-sqlite3'
import { demoWorld } from '@/core/simulate/demo'
import {
  backUp,
  backupsOf,
  erasedIds,
  forgetBackups,
  rememberErased,
  restore,
  superseded,
  type Backup,
} from './backup'
import { writeBundle } from './bundle/write'
import { examine } from './doctor'
import { healthKeyFile, readHealthKey, writeHealthKey } from './health-codec'
import { keyOf } from './health-key'
import { databaseFile, openDb } from './open'
import { HOME } from './scope'
import { seedDemo } from './seed'
import { addStudents } from './students'

const DAY = '2026-03-10'
const NOW = Date.parse('2026-03-10T18:00:00Z')
const root = mkdtempSync(path.join(tmpdir(), 'levitar-backup-'))
afterAll(() => rmSync(root, { recursive: true }))
const world = demoWorld(DAY)
let made = 0
const MOST_WRITES = 300

/** A studio at work, its log not yet written back. */
function studio() {
  const data = path.join(root, `s${(made += 1)}`)
  const db = openDb(databaseFile(data))
  const scope = { db, studioId: HOME }
  const key = keyOf(scope, data, null).key
  seedDemo(scope, world, DAY, key)
  return { data, scope, key: key! }
}
const fresh = (): string => path.join(root, `f${(made += 1)}`)
const nobody = (): string => '00000000-0000-7000-8000-000000000000'

describe('a backup', () => {
  it('under load holds what was there at one moment, and is restored to the same bytes out', async () => {
    const { data, scope, key } = studio()
    const before = writeBundle(scope, { passphrase: 'seven grey herons', key })
    // Somebody writes between any two turns of the copy: it must neither wait for them nor begin anew.
    let n = 0
    let copying = true
    const write = (): void => {
      if (!copying || n >= MOST_WRITES) return
      n += 1
      addStudents(scope, [{ id: `w${n}`, name: `Written ${n}` }], DAY)
      setImmediate(write)
    }
    setImmediate(write)
    const file = await backUp(data, NOW)
    copying = false
    expect(n).toBeGreaterThan(0)
    expect(n).toBeLessThan(MOST_WRITES)
    const target = fresh()
    expect(restore(file, target, nobody)).toEqual({ ok: true, value: 0 })
    // The key comes from its printed sheet.
    writeHealthKey(healthKeyFile(target), key)
    const again = { db: openDb(databaseFile(target)), studioId: HOME }
    const names = again.db.$client
      .prepare("select count(*) from student where name like 'Written%'")
      .pluck()
      .get() as number
    expect(names).toBeLessThanOrEqual(n)
    again.db.$client.exec("delete from student where name like 'Written%'")
    expect(
      Buffer.from(writeBundle(again, { passphrase: 'seven grey herons', key })).equals(Buffer.from(before)),
    ).toBe(true)
    expect(statSync(file).mode & 0o077).toBe(0)
    expect(readHealthKey(healthKeyFile(target))?.equals(key)).toBe(true)
  })
  it('restored, has nobody in it who was erased since: no byte of them', async () => {
    const { data } = studio()
    const file = path.join(root, 'left-the-folder.sqlite')
    copyFileSync(await backUp(data, NOW), file)
    const gone = world.students[2]!
    rememberErased(data, gone.id)
    expect(erasedIds(data)).toEqual([gone.id])
    expect(readFileSync(file).includes(gone.name)).toBe(true)
    const target = fresh()
    expect(restore(file, target, nobody, erasedIds(data))).toEqual({ ok: true, value: 1 })
    for (const name of readdirSync(target)) {
      const bytes = readFileSync(path.join(target, name))
      expect([name, bytes.includes(gone.name), bytes.includes(gone.id)]).toEqual([name, false, false])
    }
  })
  it('is refused where something is, where nothing is, and where it is damaged; nothing is touched', async () => {
    const { data } = studio()
    const file = await backUp(data, NOW)
    expect(restore(file, data, nobody)).toMatchObject({ refusal: { code: 'not-empty' } })
    expect(restore(`${file}.gone`, fresh(), nobody)).toMatchObject({ refusal: { code: 'no-backup' } })
    const cut = path.join(root, 'cut.sqlite')
    copyFileSync(file, cut)
    truncateSync(cut, Math.floor(statSync(cut).size / 2))
    const words = path.join(root, 'words.sqlite')
    writeFileSync(words, 'no database at all')
    for (const broken of [cut, words]) {
      const target = fresh()
      expect(restore(broken, target, nobody)).toMatchObject({ refusal: { code: 'broken' } })
      expect(() => statSync(databaseFile(target))).toThrow()
    }
  })
  it('makes way by hour, day and month: the newest of each, however many there are', () => {
    const all = Array.from({ length: 24 * 400 }, (_, i): Backup => ({
      file: String(i),
      atMs: NOW - i * 3_600_000,
      bytes: 1,
    }))
    const gone = new Set(superseded(all))
    const kept = all.filter((b) => !gone.has(b))
    expect(kept.slice(0, 24)).toEqual(all.slice(0, 24))
    // A day each after that, then a month each: 24 + 12 more days + 11 more months at most.
    expect(kept.length).toBeLessThanOrEqual(24 + 14 + 12)
    expect(new Set(kept.map((b) => new Date(b.atMs).toISOString().slice(0, 10))).size).toBeGreaterThanOrEqual(
      14,
    )
    expect(new Set(kept.map((b) => new Date(b.atMs).toISOString().slice(0, 7))).size).toBe(12)
    expect(superseded(kept)).toEqual([])
  })
  it('goes with whoever is erased', async () => {
    const { data } = studio()
    await backUp(data, NOW)
    await backUp(data, NOW + 7_200_000)
    expect(backupsOf(data)).toHaveLength(2)
    expect(forgetBackups(data)).toBe(2)
    expect(backupsOf(data)).toEqual([])
  })
})

describe('the doctor', () => {
  const ill = (data: string, nowMs = NOW): string[] =>
    examine(data, nowMs).flatMap((f) => (f.well ? [] : [f.what]))
  it('finds a whole studio well but for a backup, and says what to do', async () => {
    const { data } = studio()
    expect(ill(data)).toEqual(['backup'])
    expect(examine(data, NOW).find((f) => f.what === 'backup')?.todo).toBe('npm run backup makes one now.')
    await backUp(data, NOW)
    expect(ill(data)).toEqual([])
    expect(ill(data, NOW + 3 * 86_400_000)).toEqual(['backup'])
    expect(ill(data, Date.parse('2009-01-01T00:00:00Z'))).toContain('clock')
  })
  it('finds a lost key, another key, a loose link, a broken file and an empty folder', () => {
    const { data, key } = studio()
    writeHealthKey(healthKeyFile(data), Buffer.alloc(32, 7))
    expect(ill(data)).toContain('health key')
    rmSync(healthKeyFile(data))
    expect(examine(data, NOW).find((f) => f.what === 'health key')).toMatchObject({
      well: false,
      says: 'missing',
    })
    writeHealthKey(healthKeyFile(data), key)
    const raw = new Database(databaseFile(data))
    raw.pragma('foreign_keys = OFF')
    raw.exec("update attempt set student_id = 'nobody' where id = (select id from attempt limit 1)")
    raw.close()
    expect(ill(data)).toContain('links')
    const broken = fresh()
    openDb(databaseFile(broken)).$client.close()
    writeFileSync(databaseFile(broken), 'spilt tea')
    expect(ill(broken)).toContain('database')
    expect(ill(fresh())).toEqual(['database'])
  })
})
