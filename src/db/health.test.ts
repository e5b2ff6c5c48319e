import { mkdtempSync, readFileSync, rmSync, writeFileSync, readdirSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { NO_SCREENING, type Screening } from '@/core/screening/answers'
import { usualExpiry, type Clearance } from '@/core/screening/clearance'
import { seeded, uuidAt } from '@/core/simulate/random'
import { addDays } from '@/core/day'
import type { CheckIn } from '@/core/screening/tonight'
import { addCheckIn, addClearance, addScreening, eraseHealth, readAllHealth, readHealth } from './health'
import { healthKey, seal, unseal, type HealthKey } from './health-codec'
import { openDb } from './open'
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
  const db = openDb(path.join(folder, 'test.sqlite'))
  addStudents(
    db,
    [
      { id: ONE, name: 'Wren Fallow' },
      { id: TWO, name: 'Ash Marlow' },
    ],
    DAY,
  )
  const key = healthKey(path.join(folder, 'keys', 'health.key')) as HealthKey
  return { db, key }
}

it('keeps answers and clearances and gives them back, once for two presses', () => {
  const { db, key } = opened()
  for (let press = 0; press < 2; press += 1)
    addScreening(db, key, { id: ENTRY, studentId: ONE, day: DAY }, said('high-open'))
  addClearance(db, key, { id: OTHER, studentId: ONE, day: DAY }, CLEARED)
  expect(readHealth(db, key, ONE)).toEqual({
    screening: said('high-open'),
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
  expect([...readAllHealth(db, key).keys()]).toEqual([ONE])
})

it('leaves no word of an answer in any byte of the database’s files', () => {
  const { db, key } = opened()
  addScreening(db, key, { id: ENTRY, studentId: ONE, day: DAY }, said(PLANTED))
  addClearance(db, key, { id: OTHER, studentId: ONE, day: DAY }, CLEARED)
  const files = readdirSync(folder).filter((f) => f.startsWith('test.sqlite'))
  expect(files.length).toBeGreaterThan(0)
  for (const file of files) {
    const bytes = readFileSync(path.join(folder, file))
    for (const word of [PLANTED, 'Q01', 'asked-aloud', 'letter-seen'])
      expect(bytes.includes(word)).toBe(false)
  }
})

it('with the key lost or broken, answers stay shut and count as not asked, and all else works', () => {
  const { db, key } = opened()
  addScreening(db, key, { id: ENTRY, studentId: ONE, day: DAY }, said('high-open'))
  const another = healthKey(path.join(folder, 'keys', 'another.key'))
  for (const wrong of [another, null])
    expect(readHealth(db, wrong, ONE)).toEqual({
      screening: NO_SCREENING,
      clearances: [],
      checkIns: [],
      shut: true,
    })
  writeFileSync(path.join(folder, 'keys', 'broken.key'), 'not a key')
  expect(healthKey(path.join(folder, 'keys', 'broken.key'))).toBeNull()
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

it('makes one key and finds it again', () => {
  const file = path.join(folder, 'keys', 'health.key')
  expect(healthKey(file)).toEqual(healthKey(file))
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
