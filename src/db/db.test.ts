import { sql } from 'drizzle-orm'
import Database from 'better-sqlite3'
import { drizzle } from 'drizzle-orm/better-sqlite3'
import { migrate } from 'drizzle-orm/better-sqlite3/migrator'
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { roomFromWall } from '@/core/room/room'
import { demoWorld } from '@/core/simulate/demo'
import { did, placed, saw } from '@/testing/evidence'
import { addClass, appendClassEvent, classLines, eventsOf, findClass, nextClass } from './classes'
import { appendAttempt, appendObservation, appendPlacement, evidenceOf, evidenceOfMany } from './evidence'
import { listAssistants } from './assistants'
import { shippedPractice } from '@/core/practice/library'
import { forgetCopies, openDb } from './open'
import { HOME, type Scope } from './scope'
import { seedDemo } from './seed'
import { addStudents, findStudent, listStudents, saveProfile, setArchived } from './students'
import { readStudio, saveStudio } from './studio'

const practice = shippedPractice()
let db: Scope
const opened = (file: string): Scope => ({ db: openDb(file), studioId: HOME })
const DAY = '2026-03-10'
const origin = (deviceSeq: number) => ({ deviceId: 'd', deviceSeq })

beforeEach(() => {
  db = opened(':memory:')
  addStudents(db, [{ id: 's', name: 'Ines' }], DAY)
})

describe('people', () => {
  it('adds the same id once', () => {
    expect(
      addStudents(
        db,
        [
          { id: 's', name: 'Ines' },
          { id: 't', name: 'Tomas' },
        ],
        DAY,
      ),
    ).toBe(1)
    expect(listStudents(db).map((s) => s.name)).toEqual(['Ines', 'Tomas'])
  })
  it('saves a profile whole and drops measures that were taken out', () => {
    const profile = { name: 'Ines C', statureCm: 168, breathS: 4.5, measured: { upperArm: 30, hand: 18 } }
    saveProfile(db, 's', profile, DAY)
    expect(findStudent(db, 's')).toMatchObject(profile)
    saveProfile(db, 's', { ...profile, measured: { hand: 18 } }, DAY)
    expect(findStudent(db, 's')?.measured).toEqual({ hand: 18 })
    expect(saveProfile(db, 'nobody', profile, DAY)).toBe(false)
  })
  it('keeps the day that a length was taken, whatever else is saved later', () => {
    const takenOn = () =>
      Object.fromEntries(
        db.db
          .all<{ segment: string; day: string }>(
            sql`select segment, day from student_measure where student_id = 's'`,
          )
          .map((m) => [m.segment, m.day]),
      )
    const profile = { name: 'Ines C', statureCm: 168, breathS: 4.5, measured: { upperArm: 30, hand: 18 } }
    saveProfile(db, 's', profile, '2026-03-01')
    saveProfile(db, 's', { ...profile, breathS: 5, measured: { upperArm: 31, hand: 18 } }, '2026-03-09')
    expect(takenOn()).toEqual({ hand: '2026-03-01', upperArm: '2026-03-09' })
  })
  it('archives and brings back without losing anything', () => {
    setArchived(db, 's', DAY)
    expect(listStudents(db)).toHaveLength(0)
    expect(listStudents(db, { archived: true })).toHaveLength(1)
    setArchived(db, 's', null)
    expect(listStudents(db)).toHaveLength(1)
  })
  it('refuses in the database what no form should let through', () => {
    expect(() => addStudents(db, [{ id: 'x', name: '' }], DAY)).toThrow()
    expect(() => addStudents(db, [{ id: 'x', name: 'X', statureCm: 1680 }], DAY)).toThrow()
  })
})

describe('facts', () => {
  it('come back as they went in', () => {
    const o = saw('CK-leg-lift-forearm', { left: 5, right: 6 }, 1, {
      faults: ['FT-head-drop'],
      note: 'left first',
      region: 'shoulder',
      exitId: 'EX-step-down',
    })
    const [a, p] = [did('FS-05'), placed('FS-04')]
    appendObservation(db, o, origin(1))
    appendAttempt(db, a, origin(1))
    appendPlacement(db, p, origin(1))
    expect(evidenceOf(db, 's')).toEqual({ observations: [o], attempts: [a], placements: [p] })
    expect(evidenceOf(db, 'somebody else')).toEqual({ observations: [], attempts: [], placements: [] })
    expect([...evidenceOfMany(db, ['s', 'nobody']).keys()]).toEqual(['s', 'nobody'])
  })
  it('sent twice count once', () => {
    const o = saw('CK-dolphin-hold', 30)
    expect([appendObservation(db, o, origin(1)), appendObservation(db, o, origin(1))]).toEqual([true, false])
    expect(evidenceOf(db, 's').observations).toHaveLength(1)
  })
  it('without any value are refused', () => {
    expect(() => appendObservation(db, saw('CK-dolphin-hold', {}), origin(1))).toThrow()
  })
})

describe('classes', () => {
  const record = {
    id: 'c',
    title: 'Tuesday',
    day: DAY,
    startTime: '18:30',
    minutes: 30,
    bays: 2,
    roster: ['s'],
  }

  it('are stored once with their roster and found as the next one', () => {
    expect([addClass(db, record), addClass(db, record)]).toEqual([true, false])
    expect(findClass(db, 'c')).toMatchObject(record)
    expect(nextClass(db, DAY)?.id).toBe('c')
    expect(nextClass(db, '2026-03-11')).toBeNull()
  })
  it('the next one is the nearest, and of one day the earliest', () => {
    const at = (id: string, day: string, startTime: string) => addClass(db, { ...record, id, day, startTime })
    at('later', '2026-03-20', '09:00')
    at('evening', '2026-03-12', '18:30')
    at('morning', '2026-03-12', '09:00')
    at('gone', '2026-03-01', '09:00')
    expect(nextClass(db, DAY)?.id).toBe('morning')
  })
  it('a page of them ends with a whole day and says where the next goes on', () => {
    for (let n = 1; n <= 5; n += 1)
      addClass(db, { ...record, id: `c${n}`, day: `2026-03-0${Math.ceil(n / 2)}` })
    const first = classLines(db, null, 3)
    expect(first.lines.map((c) => c.id)).toEqual(['c5'])
    const next = classLines(db, first.earlier, 9)
    expect(next.lines.map((c) => c.id).toSorted()).toEqual(['c1', 'c2', 'c3', 'c4'])
    expect(next.earlier).toBeNull()
  })
  it('keep their events in clock order, each once', () => {
    addClass(db, record)
    const event = (id: string, hlc: string, what: 'started' | 'ended') => ({
      id,
      hlc,
      event: what,
      atMs: 1,
      blockIndex: 0,
      classId: 'c',
      day: DAY,
    })
    appendClassEvent(db, event('b', '2', 'ended'), origin(2))
    appendClassEvent(db, event('a', '1', 'started'), origin(1))
    expect(appendClassEvent(db, event('a', '1', 'started'), origin(1))).toBe(false)
    expect(eventsOf(db, 'c').map((e) => e.event)).toEqual(['started', 'ended'])
  })
})

it('keeps the other settings when one changes', () => {
  saveStudio(db, { name: 'The Boathouse Room', room: roomFromWall(720) })
  saveStudio(db, { units: 'in' })
  expect(readStudio(db, practice)).toMatchObject({ name: 'The Boathouse Room', bays: 6, units: 'in' })
})

it('seeds the demo world', () => {
  const fresh = opened(':memory:')
  seedDemo(fresh, demoWorld(DAY), DAY, null)
  expect(listStudents(fresh)).toHaveLength(21)
  expect(classLines(fresh).lines).toHaveLength(9)
})

it('opens a file again with everything in it, and copies nothing aside when no migration is due', () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'levitar-'))
  const file = path.join(folder, 'levitar.sqlite')
  addStudents(opened(file), [{ id: 's', name: 'Ines' }], DAY)
  expect(listStudents(opened(file))).toHaveLength(1)
  expect(readdirSync(folder).filter((name) => name.includes('before'))).toEqual([])
  rmSync(folder, { recursive: true })
})

it('turns counted bays, blocks and straps of an earlier release into a room and a cupboard, copying the file aside', () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'levitar-'))
  const early = path.join(folder, 'early')
  cpSync('drizzle', early, { recursive: true })
  const journalFile = path.join(early, 'meta', '_journal.json')
  const journal = JSON.parse(readFileSync(journalFile, 'utf8')) as { entries: unknown[] }
  writeFileSync(journalFile, JSON.stringify({ ...journal, entries: journal.entries.slice(0, 2) }))
  const file = path.join(folder, 'levitar.sqlite')
  const raw = new Database(file)
  migrate(drizzle(raw), { migrationsFolder: early })
  raw.exec(
    `insert into studio values (1, 'Boathouse', 'O', 'Bram Teale', 720, 5, 6, 12, 'Europe/London', 'cm', null)`,
  )
  raw.close()
  const db = opened(file)
  expect(readStudio(db, practice)).toMatchObject({ name: 'Boathouse', bays: 5, straps: 6, blocks: 12 })
  expect(listAssistants(db).map((a) => a.name)).toEqual(['Bram Teale'])
  const copies = () => readdirSync(folder).filter((name) => name.includes('before-migration'))
  expect(copies()).toHaveLength(1)
  expect([forgetCopies(folder), copies(), forgetCopies(folder)]).toEqual([1, [], 0])
  expect(readStudio(db, practice).name).toBe('Boathouse')
  rmSync(folder, { recursive: true })
})
