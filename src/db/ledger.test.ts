import Database from 'better-sqlite3'
import { Ledger, readAgain, readsOf } from './ledger'

function opened() {
  const raw = new Database(':memory:')
  raw.pragma('foreign_keys = ON')
  raw.exec(`create table person (id text primary key, note text);
    create table result (id text primary key, person text references person (id) on delete cascade, note text);
    create table note (id text primary key);
    create table standing (person text primary key);
    create index result_person on result (person);
    create trigger renews after insert on result begin delete from standing where person = new.person; end;`)
  return { raw, ledger: new Ledger(raw) }
}
const ALL = ['person', 'result', 'note', 'standing']
/** The tables that something wrote to. */
const written = ({ raw, ledger }: ReturnType<typeof opened>, sql: string, ...given: unknown[]): string[] => {
  const since = ledger.now()
  raw.prepare(sql).run(...given)
  return ALL.filter((table) => !ledger.untouched([table], since))
}

it('knows what a statement reads, also through an index, a join and a question within it, and not by a column’s name', () => {
  const { raw } = opened()
  const read = (sql: string, ...given: unknown[]) =>
    [...readsOf(() => raw.prepare(sql).all(...given)).reads.tables].toSorted()
  expect(read('select note from result where person = ?', 'a')).toEqual(['result'])
  expect(read('select count(*) from result')).toEqual(['result'])
  expect(read('select p.id from person p join result r on r.person = p.id')).toEqual(['person', 'result'])
  expect(read('select 1 where exists (select 1 from standing) or ? in (select id from note)', 'x')).toEqual([
    'note',
    'standing',
  ])
})

it('knows what a statement writes, with what triggers and foreign keys do beside it', () => {
  const db = opened()
  expect(written(db, "insert into person values ('a', 'what’s this?')")).toEqual(['person'])
  expect(written(db, "insert into result values (?, 'a', '')", '1')).toEqual(['result', 'standing'])
  expect(written(db, 'update person set note = ?', 'x')).toEqual(['person'])
  expect(written(db, 'delete from note')).toEqual(['note'])
  expect(written(db, "delete from person where id = 'a'")).toEqual(
    expect.arrayContaining(['person', 'result']),
  )
  expect(written(db, 'insert into note select id from result')).toContain('note')
  const since = db.ledger.now()
  db.raw.exec('VACUUM')
  expect(db.ledger.untouched(['note'], since)).toBe(false)
  expect(written(db, "insert into note values ('after')")).toEqual(['note'])
})

it('tells new rows from rows changed, put in place of others, or gone', () => {
  const db = opened()
  const onlyAdded = (sql: string): boolean => {
    const since = db.ledger.now()
    db.raw.prepare(sql).run()
    return db.ledger.onlyAdded(['note'], since)
  }
  expect(onlyAdded("insert into note values ('a')")).toBe(true)
  expect(onlyAdded("insert into note values ('a') on conflict do nothing")).toBe(true)
  expect(onlyAdded("insert into note values ('a') on conflict (id) do update set id = 'b'")).toBe(false)
  expect(onlyAdded("insert or replace into note values ('a')")).toBe(false)
  expect(onlyAdded("update note set id = 'c' where id = 'a'")).toBe(false)
  expect(onlyAdded('delete from note')).toBe(false)
})

it('what is asked again stands for its own answer: its tables are nobody else’s', () => {
  const { raw } = opened()
  const of = (person: string) =>
    raw.prepare('select id from result where person = ? order by id').pluck().all(person).join()
  raw.prepare("insert into person values ('a', ''), ('b', '')").run()
  const { value, reads } = readsOf(() => {
    raw.prepare('select * from note').all()
    return readAgain(() => of('a'), Object.is)
  })
  expect([value, [...reads.tables], reads.again.map(({ tables }) => [...tables])]).toEqual([
    '',
    ['note'],
    [['result']],
  ])
  const stands = () => reads.again.every((one) => one.stands())
  raw.prepare("insert into result values ('1', 'b', '')").run()
  expect(stands()).toBe(true)
  raw.prepare("insert into result values ('2', 'a', '')").run()
  expect(stands()).toBe(false)
})

it('a statement that is used again is as a fresh one, and counts as read and written again', () => {
  const db = opened()
  const { raw } = db
  raw.prepare("insert into person values ('a', 'one'), ('b', 'two')").run()
  const NAMES = 'select id from person order by id'
  expect(raw.prepare(NAMES).raw().all()).toEqual([['a'], ['b']])
  expect(raw.prepare(NAMES).all()).toEqual([{ id: 'a' }, { id: 'b' }])
  expect(raw.prepare(NAMES).pluck().all()).toEqual(['a', 'b'])
  expect(raw.prepare(NAMES).all()).toEqual([{ id: 'a' }, { id: 'b' }])
  // Somebody in the middle of the rows is not disturbed by whoever asks the same.
  const met: unknown[] = []
  for (const row of raw.prepare(NAMES).iterate()) met.push(row, raw.prepare(NAMES).all().length)
  expect(met).toEqual([{ id: 'a' }, 2, { id: 'b' }, 2])
  expect([...readsOf(() => raw.prepare(NAMES).all()).reads.tables]).toEqual(['person'])
  for (let i = 0; i < 2; i += 1)
    expect(written(db, 'insert into note values (?)', `note ${i}`)).toEqual(['note'])
})

it('after a script that changed a table, a statement sees the new one', () => {
  const { raw } = opened()
  raw.prepare("insert into note values ('n')").run()
  const all = () => raw.prepare('select * from note').all()
  expect(all()).toEqual([{ id: 'n' }])
  raw.exec("alter table note add column said text default 'so'")
  expect(all()).toEqual([{ id: 'n', said: 'so' }])
})
