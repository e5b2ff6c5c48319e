import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { sql } from 'drizzle-orm'
import fc from 'fast-check'
import { gunzipSync, strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { demoWorld } from '@/core/simulate/demo'
import { describeBundle } from '@/core/words/bundle'
import { makeHealthKey } from '../health-codec'
import { appendNote, appendObservation } from '../evidence'
import { readHealth } from '../health'
import { openDb } from '../open'
import { HOME, type Scope } from '../scope'
import { seedDemo } from '../seed'
import { readBundle } from './read'
import { openWith, sealWith } from './seal'
import { takeIn } from './take-in'
import { BUNDLE_TABLES } from './tables'
import { digestOf, writeBundle } from './write'
import { runs } from '@/testing/runs'

const DAY = '2026-03-10'
const PASS = 'seven grey herons'
const folder = mkdtempSync(path.join(tmpdir(), 'levitar-bundle-'))
afterAll(() => rmSync(folder, { recursive: true }))
const key = makeHealthKey(path.join(folder, 'keys', 'health.key'))
const world = demoWorld(DAY)
const full: Scope = { db: openDb(':memory:'), studioId: HOME }
seedDemo(full, world, DAY, key)
// What is private besides answers: words about somebody, and a report of where it hurts.
const of = { studentId: world.students[0]!.id, classId: null, day: DAY, replaces: null }
const origin = { deviceId: 'd', deviceSeq: 1 }
appendNote(full, { ...of, id: 'note-1', hlc: '1', text: 'planted-plover', withdrawn: false }, origin)
const { id: _i, ...some } = world.observations[0]!
appendObservation(full, { ...some, id: 'hurts-1', hlc: '2', region: 'wrist' }, origin)
const empty = (): Scope => ({ db: openDb(':memory:'), studioId: HOME })
const zip = writeBundle(full, { passphrase: PASS, key })
const bare = writeBundle(full, null)

const countOf = (scope: Scope): number =>
  BUNDLE_TABLES.reduce(
    (n, { name }) => n + scope.db.get<{ n: number }>(sql`select count(*) n from ${sql.identifier(name)}`).n,
    0,
  )
/** Brings a file in as the app does: one transaction, of which nothing stays where it is refused. */
function bring(bytes: Uint8Array, passphrase: string, into = empty()) {
  const read = readBundle(bytes, passphrase)
  if (!read.ok) return { into, read, refusal: read.refusal }
  let refusal = null as Parameters<typeof describeBundle>[0] | null
  try {
    into.db.transaction((db) => {
      const taken = takeIn({ ...into, db }, read.value)
      if (taken.ok) return
      refusal = taken.refusal
      throw new Error('refused')
    })
  } catch (error) {
    if (refusal === null) throw error
  }
  return { into, read, refusal }
}
/** The same file with one part another, its digests made right again. */
function remade(change: (files: Record<string, Uint8Array>) => void, from = bare): Uint8Array {
  const files = { ...unzipSync(from) }
  change(files)
  const { digest: _d, ...body } = JSON.parse(strFromU8(files['manifest.json']!)) as {
    digest: string
    files: object
  }
  const named = Object.fromEntries(
    Object.entries(files).flatMap(([name, bytes]) =>
      name === 'manifest.json' ? [] : [[name, digestOf(bytes)]],
    ),
  )
  const next = { ...body, files: named }
  files['manifest.json'] = strToU8(
    JSON.stringify({ ...next, digest: digestOf(strToU8(JSON.stringify(next))) }),
  )
  return zipSync(files)
}
const rows = (files: Record<string, Uint8Array>, table: string) =>
  JSON.parse(strFromU8(files[`tables/${table}.json`]!)) as Record<string, unknown>[]
const put = (files: Record<string, Uint8Array>, table: string, list: unknown): void => {
  files[`tables/${table}.json`] = strToU8(JSON.stringify(list))
}

describe('a whole studio as a file', () => {
  it('goes round: out, into an empty one, out again, byte for byte', () => {
    const { into, read, refusal } = bring(zip, PASS)
    expect(refusal).toBeNull()
    expect(read.ok && read.value.key?.equals(key)).toBe(true)
    expect(countOf(into)).toBe(countOf(full))
    expect(Buffer.from(writeBundle(into, { passphrase: PASS, key })).equals(Buffer.from(zip))).toBe(true)
    const asked = world.said[0]!.studentId
    expect(readHealth(into, key, asked)).toEqual(readHealth(full, key, asked))
  })
  it('without health goes round as well, and holds no word of it', () => {
    const { into, refusal } = bring(bare, '')
    expect(refusal).toBeNull()
    expect(Buffer.from(writeBundle(into, null)).equals(Buffer.from(bare))).toBe(true)
    const files = unzipSync(bare)
    expect(Object.keys(files)).not.toContain('health.sealed')
    for (const name of ['health_record', 'incident', 'note', 'class_decision'])
      expect(strFromU8(files[`tables/${name}.json`]!).trim()).toBe('[]')
    expect(readHealth(into, key, world.said[0]!.studentId).screening.answers).toEqual([])
    const all = Object.values(files)
      .map((bytes) => strFromU8(bytes))
      .join('\n')
    expect(all).not.toMatch(/planted-plover|hurts-1|"brief":"/)
  })
  it('of before a table came is taken in with that table empty', () => {
    const older = remade((files) => {
      for (const table of ['practice_override', 'home_plan', 'home_tick', 'home_link', 'class_link'])
        Reflect.deleteProperty(files, `tables/${table}.json`)
      // A column that came later is filled by its default.
      put(
        files,
        'class_plan',
        rows(files, 'class_plan').map(({ undone: _u, ...row }) => row),
      )
    })
    const { into, refusal } = bring(older, '')
    expect(refusal).toBeNull()
    expect(countOf(into)).toBe(countOf(bring(bare, '').into))
  })
  it('is not mixed with anybody who is here', () => {
    const before = countOf(full)
    expect(bring(bare, '', full).refusal).toEqual({ code: 'not-empty' })
    expect(countOf(full)).toBe(before)
  })
  it('keeps its health notes shut to another passphrase, and opens without them', () => {
    expect(bring(zip, 'six grey herons').refusal).toEqual({ code: 'passphrase' })
    const { read, refusal } = bring(zip, '')
    expect(refusal).toBeNull()
    expect(read.ok && read.value.key).toBeNull()
    expect(Buffer.from(zip).includes(key)).toBe(false)
  })
})

describe('a damaged file', () => {
  const RUNS = runs(40)
  it('is refused with a sentence wherever a byte of it is another, before anything is stored', () => {
    const sound = readBundle(bare, '')
    let refusals = 0
    fc.assert(
      fc.property(
        fc.nat({ max: bare.length - 1 }),
        fc.integer({ min: 1, max: 255 }),
        fc.constantFrom('flip' as const, 'cut' as const, 'twice' as const),
        (at, by, how) => {
          const bytes =
            how === 'flip'
              ? bare.map((b, i) => (i === at ? b ^ by : b))
              : how === 'cut'
                ? bare.slice(0, at)
                : new Uint8Array([...bare.slice(0, at), ...bare.slice(at - by, at), ...bare.slice(at)])
          const read = readBundle(bytes, '')
          if (read.ok) {
            // A byte that a zip does not read: what would be taken in is what was sent.
            expect(read).toEqual(sound)
            return
          }
          refusals += 1
          expect(describeBundle(read.refusal)).toMatch(/^[A-Z].+ Nothing was stored\.$/)
        },
      ),
      { numRuns: RUNS, seed: 20260310 },
    )
    expect(refusals).toBeGreaterThan(RUNS / 2)
  })
  it.each([
    ['a row too short', (f: Record<string, Uint8Array>) => put(f, 'student', [{ id: 'x' }])],
    [
      'a number for a name',
      (f: Record<string, Uint8Array>) =>
        put(
          f,
          'student',
          rows(f, 'student').map((r) => ({ ...r, name: 7 })),
        ),
    ],
    [
      'a column that is none',
      (f: Record<string, Uint8Array>) =>
        put(
          f,
          'student',
          rows(f, 'student').map((r) => ({ ...r, admin: 1 })),
        ),
    ],
    [
      'somebody twice',
      (f: Record<string, Uint8Array>) => put(f, 'student', [...rows(f, 'student'), ...rows(f, 'student')]),
    ],
    ['a try of nobody', (f: Record<string, Uint8Array>) => put(f, 'student', [])],
    [
      'an outcome that is none',
      (f: Record<string, Uint8Array>) =>
        put(
          f,
          'attempt',
          rows(f, 'attempt').map((r) => ({ ...r, outcome: 'won' })),
        ),
    ],
    ['no list', (f: Record<string, Uint8Array>) => put(f, 'attempt', { length: 3 })],
    ['nothing for a row', (f: Record<string, Uint8Array>) => put(f, 'attempt', [null, 7])],
    [
      'faults that are no list',
      (f: Record<string, Uint8Array>) =>
        put(
          f,
          'attempt',
          rows(f, 'attempt').map((r) => ({ ...r, faults: '{' })),
        ),
    ],
    [
      'a table that is none',
      (f: Record<string, Uint8Array>) => {
        f['tables/sqlite_master.json'] = strToU8('[]')
      },
    ],
    [
      'a way out of the folder',
      (f: Record<string, Uint8Array>) => {
        f['../keys/health.key'] = strToU8('x')
      },
    ],
  ])('with right digests and %s is refused, and nothing of it is stored', (_, change) => {
    const { into, refusal } = bring(remade(change), '')
    expect(refusal).not.toBeNull()
    expect(describeBundle(refusal!)).toMatch(/Nothing was stored\.$/)
    expect(countOf(into)).toBe(countOf(empty()))
  })
  it('with a sound row in place of another is damaged: its digest is another', () => {
    const files = { ...unzipSync(bare) }
    put(
      files,
      'student',
      rows(files, 'student').map((r) => ({ ...r, name: 'Somebody Else' })),
    )
    expect(bring(zipSync(files), '').refusal).toEqual({ code: 'damaged', file: 'tables/student.json' })
  })
  it('of the first version, whose health was sealed unpacked, is read as ever', () => {
    const first = remade((files) => {
      const packed = openWith(PASS, files['health.sealed']!)!
      expect(packed.length * 3).toBeLessThan(gunzipSync(packed).length)
      files['health.sealed'] = sealWith(PASS, gunzipSync(packed))
    }, zip)
    const { into, refusal } = bring(first, PASS)
    expect(refusal).toBeNull()
    expect(Buffer.from(writeBundle(into, { passphrase: PASS, key })).equals(Buffer.from(zip))).toBe(true)
  })
  it('of a newer release says so', () => {
    const files = { ...unzipSync(bare) }
    const manifest = JSON.parse(strFromU8(files['manifest.json']!)) as object
    files['manifest.json'] = strToU8(JSON.stringify({ ...manifest, version: 3 }))
    expect(bring(zipSync(files), '').refusal).toEqual({ code: 'newer', version: 3 })
  })
})
