import { randomBytes } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync, readdirSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { NO_SCREENING, type Screening } from '@/core/screening/answers'
import { usualExpiry, type Clearance } from '@/core/screening/clearance'
import { seeded, uuidAt } from '@/core/random'
import { addDays } from '@/core/day'
import type { CheckIn } from '@/core/screening/tonight'
import { addCheckIn, addClearance, addScreening, eraseHealth, readHealth, readHealthOf } from './health'
import { keyFromCode, makeHealthKey, readHealthKey, recoveryCode, seal, unseal } from './health-codec'
import { keyOf, restoreKey } from './health-key'
import { openDb } from './open'
import { HOME } from './scope'
import { shippedPractice } from '@/core/practice/library'
import { readStudio } from './studio'
import { addStudents, listStudents } from './students'

const DAY = '2026-03-05'
const random = seeded(7)
const nextId = (): string => uuidAt(random, 1)
const [ONE, TWO, ENTRY, OTHER] = [nextId(), nextId(), nextId(), nextId()]
const PLANTED = 'planted-word-plover'
const said = (option: string): Screening => ({
  ...NO_SCREENING,
  answers: [{ question: 'Q01', choice: 'yes', options: [option], day: DAY, given: 'asked-aloud' }],
})
const CLEARED: Clearance = {
  tags: [{ tag: 'HBH', upTo: 3 }],
  clinician: PLANTED,
  basis: 'letter-seen',
  day: DAY,
  expires: usualExpiry(DAY),
}

let folder: string
beforeEach(() => (folder = mkdtempSync(path.join(tmpdir(), 'levitar-health-'))))
afterEach(() => rmSync(folder, { recursive: true, force: true }))

function opened() {
  const db = { db: openDb(path.join(folder, 'test.sqlite')), studioId: HOME }
  addStudents(
    db,
    [
      { id: ONE, name: 'Wren Fallow' },
      { id: TWO, name: 'Ash Marlow' },
    ],
    DAY,
  )
  const key = makeHealthKey(path.join(folder, 'keys', 'health.key'))
  return { db, key }
}

it('keeps answers and clearances and gives them back, once for two presses', () => {
  const { db, key } = opened()
  for (let press = 0; press < 2; press += 1)
    addScreening(db, key, { id: ENTRY, studentId: ONE, day: DAY }, said('high-open'))
  addClearance(db, key, { id: OTHER, studentId: ONE, day: DAY }, CLEARED)
  expect(readHealth(db, key, ONE)).toEqual({
    screening: { ...said('high-open'), asked: DAY },
    clearances: [CLEARED],
    checkIns: [],
    shut: false,
  })
  expect(readHealth(db, key, TWO)).toEqual({
    screening: NO_SCREENING,
    clearances: [],
    checkIns: [],
    shut: false,
  })
  expect([...readHealthOf(db, key, [ONE, TWO]).keys()]).toEqual([ONE])
})

it('leaves no word of an answer in any byte of the database’s files', () => {
  const { db, key } = opened()
  addScreening(db, key, { id: ENTRY, studentId: ONE, day: DAY }, said(PLANTED))
  addClearance(db, key, { id: OTHER, studentId: ONE, day: DAY }, CLEARED)
  const files = readdirSync(folder).filter((f) => f.startsWith('test.sqlite'))
  expect(files.length).toBeGreaterThan(0)
  for (const file of files) {
    const bytes = readFileSync(path.join(folder, file))
    for (const word of [PLANTED, '"Q01"', 'asked-aloud', 'letter-seen'])
      expect(bytes.includes(word)).toBe(false)
  }
})

it('with another key or none, answers stay shut, and all else works', () => {
  const { db, key } = opened()
  addScreening(db, key, { id: ENTRY, studentId: ONE, day: DAY }, said('high-open'))
  const another = makeHealthKey(path.join(folder, 'keys', 'another.key'))
  for (const wrong of [another, null])
    expect(readHealth(db, wrong, ONE)).toEqual({
      screening: NO_SCREENING,
      clearances: [],
      checkIns: [],
      shut: true,
    })
  writeFileSync(path.join(folder, 'keys', 'broken.key'), 'not a key')
  expect(readHealthKey(path.join(folder, 'keys', 'broken.key'))).toBeNull()
  expect(listStudents(db)).toHaveLength(2)
})

it('does not open for another person, nor after a changed byte', () => {
  const { key } = opened()
  const sealed = seal(key, ONE, { a: 1 })
  expect(unseal(key, ONE, sealed)).toEqual({ a: 1 })
  expect(unseal(key, TWO, sealed)).toBeNull()
  const bytes = Buffer.from(sealed, 'base64')
  bytes[20] = (bytes[20] ?? 0) ^ 1
  expect(unseal(key, ONE, bytes.toString('base64'))).toBeNull()
})

describe('the key', () => {
  const file = () => path.join(folder, 'keys', 'health.key')
  const fresh = () => ({ db: openDb(path.join(folder, 'new.sqlite')), studioId: HOME })
  const checkOf = (scope: ReturnType<typeof fresh>) => readStudio(scope, shippedPractice()).keyCheck
  it('is made for a studio in which nothing is sealed, readable by its owner only, and found again', () => {
    const scope = fresh()
    const made = keyOf(scope, folder, null)
    expect(made.code).toBe('ok')
    expect(statSync(file()).mode & 0o777).toBe(0o600)
    expect(readdirSync(path.join(folder, 'keys'))).toEqual(['health.key'])
    expect(keyOf(scope, folder, checkOf(scope))).toEqual(made)
  })
  it('is never made anew over sealed notes: lost, empty or another one shuts them and stays as it is', () => {
    const { db, key } = opened()
    addScreening(db, key, { id: ENTRY, studentId: ONE, day: DAY }, said('high-open'))
    expect(keyOf(db, folder, null).code).toBe('ok')
    const check = checkOf(db)
    rmSync(file())
    expect(keyOf(db, folder, check)).toEqual({ code: 'lost', key: null })
    writeFileSync(file(), '')
    expect(keyOf(db, folder, check).key).toBeNull()
    makeHealthKey(file())
    expect(keyOf(db, folder, check)).toEqual({ code: 'wrong', key: null })
    // The same without a check value, as data of an older release has it.
    expect(keyOf(db, folder, null)).toEqual({ code: 'wrong', key: null })
    const strange = readHealthKey(file())!
    expect(restoreKey(db, folder, check, strange)).toBe(false)
    expect(restoreKey(db, folder, check, key)).toBe(true)
    expect(keyOf(db, folder, check)).toEqual({ code: 'ok', key })
  })
  it('comes back from its printed code, and from no other', () => {
    const key = makeHealthKey(file())
    const code = recoveryCode(key)
    expect(code).toMatch(/^([A-Z2-9]{4} ){13}[A-Z2-9]{4}$/)
    expect(keyFromCode(code.toLowerCase().replaceAll(' ', '-'))).toEqual(key)
    const first = code.startsWith('A') ? 'B' : 'A'
    for (const wrong of [first + code.slice(1), code.slice(5), `${code}AAAA`, '0'.repeat(56), ''])
      expect(keyFromCode(wrong)).toBeNull()
  })
})

it('forgets every answer of one person and of nobody else', () => {
  const { db, key } = opened()
  addScreening(db, key, { id: ENTRY, studentId: ONE, day: DAY }, said('low'))
  addScreening(db, key, { id: OTHER, studentId: TWO, day: DAY }, said('low'))
  expect(eraseHealth(db, ONE)).toBe(1)
  expect(readHealth(db, key, ONE).screening).toEqual(NO_SCREENING)
  expect(readHealth(db, key, TWO).screening.answers).toHaveLength(1)
})

it('the gentle track stays through later answers and ends only when it is said', () => {
  const { db, key } = opened()
  const entry = (id: string) => ({ id, studentId: ONE, day: DAY })
  addScreening(db, key, entry(nextId()), { ...NO_SCREENING, gentle: true })
  addScreening(db, key, entry(nextId()), { ...said('low'), gentle: null })
  expect(readHealth(db, key, ONE).screening.gentle).toBe(true)
  addScreening(db, key, entry(nextId()), { ...NO_SCREENING, gentle: false })
  expect(readHealth(db, key, ONE).screening.gentle).toBe(false)
})

it('lets the words of a check-in go after thirty days and keeps tonight’s', () => {
  const { db, key } = opened()
  const words = (day: string): CheckIn => ({
    day,
    pain: 2,
    regions: ['wrist'],
    energy: 6,
    arms: 1,
    look: 'half',
    ticked: [],
    touch: 'ask',
  })
  const old = addDays(DAY, -31)
  addCheckIn(db, key, { id: nextId(), studentId: ONE, day: old }, words(old), addDays(old, -30))
  addCheckIn(db, key, { id: nextId(), studentId: ONE, day: DAY }, words(DAY), addDays(DAY, -30))
  expect(readHealth(db, key, ONE).checkIns).toEqual([words(DAY)])
})

it('how long a row is says nothing of how much was told', () => {
  const key = randomBytes(32)
  const lengths = ['', 'x', 'a long story '.repeat(150)].map((note) => seal(key, 's', { note }).length)
  expect(new Set(lengths).size).toBe(1)
  const more = 'é'.repeat(3000)
  const sealed = seal(key, 's', { note: more })
  expect(sealed.length).toBeGreaterThan(lengths[0]!)
  expect(unseal(key, 's', sealed)).toEqual({ note: more })
})
