import { asc, desc, eq, gt } from 'drizzle-orm'
import fc from 'fast-check'
import { openDb } from './open'
import { addOnce, addRow, changeRows, dropRows, putRow, rowOf, rowsOf } from './rows'
import { group } from './schema'
import type { Scope } from './scope'

const db = openDb(':memory:')
const HOUSES = ['heron', 'plover', 'curlew'] as const
const scopeOf = (studioId: string): Scope => ({ db, studioId })
const scopes = { heron: scopeOf('heron'), plover: scopeOf('plover'), curlew: scopeOf('curlew') }
const row = (id: string, minutes: number, weekday = 2) => ({
  ...{ id, name: `Group ${id}`, weekday, startTime: '18:30', minutes },
})
const everything = () => db.select().from(group).orderBy(asc(group.id)).all()

beforeEach(() => {
  db.delete(group).run()
})

it('reads the scope’s rows alone, all or some, in the order that is asked for', () => {
  const { heron, plover } = scopes
  for (const [id, minutes, day] of [
    ['a', 60, 3],
    ['b', 90, 1],
    ['c', 75, 2],
  ] as const)
    addRow(heron, group, row(id, minutes, day))
  addRow(plover, group, row('d', 999))
  const ids = (...found: { id: string }[]) => found.map((g) => g.id)
  expect(ids(...rowsOf(heron, group, undefined, asc(group.weekday)))).toEqual(['b', 'c', 'a'])
  expect(ids(...rowsOf(heron, group, gt(group.minutes, 60), desc(group.minutes)))).toEqual(['b', 'c'])
  expect(rowOf(heron, group, undefined, desc(group.minutes))?.id).toBe('b')
  expect(rowOf(heron, group, eq(group.id, 'd'))).toBeUndefined()
  expect(rowOf(plover, group, eq(group.id, 'd'))?.minutes).toBe(999)
})

it('adds once: the same id again changes nothing and says so', () => {
  const { heron, plover } = scopes
  expect([addOnce(heron, group, row('a', 60)), addOnce(heron, group, row('a', 75))]).toEqual([true, false])
  expect(addOnce(plover, group, row('a', 90))).toBe(false)
  expect(everything().map((g) => [g.studioId, g.minutes])).toEqual([['heron', 60]])
})

it('puts in place of its own, and never of another studio’s', () => {
  const { heron, plover } = scopes
  putRow(heron, group, row('a', 60))
  putRow(heron, group, row('a', 75))
  putRow(plover, group, row('a', 90))
  expect(everything().map((g) => [g.studioId, g.minutes])).toEqual([['heron', 75]])
})

it('law: whatever is written in one studio, the rows of the others stay byte for byte', () => {
  const anyId = fc.constantFrom('a', 'b', 'c', 'd')
  const minutes = fc.integer({ min: 1, max: 200 })
  const write = fc.record({
    house: fc.constantFrom(...HOUSES),
    how: fc.constantFrom('add', 'put', 'change', 'change all', 'drop', 'drop all'),
    id: anyId,
    minutes,
  })
  fc.assert(
    fc.property(fc.array(write, { maxLength: 25 }), (writes) => {
      db.delete(group).run()
      for (const { house, how, id, minutes } of writes) {
        const scope = scopes[house]
        const others = () => everything().filter((g) => g.studioId !== house)
        const before = [others(), rowsOf(scope, group).length] as const
        const named = eq(group.id, id)
        if (how === 'add') addOnce(scope, group, row(id, minutes))
        if (how === 'put') putRow(scope, group, row(id, minutes))
        if (how === 'change') changeRows(scope, group, named, { minutes })
        if (how === 'change all') expect(changeRows(scope, group, undefined, { minutes })).toBe(before[1])
        if (how === 'drop') dropRows(scope, group, named)
        if (how === 'drop all') expect(dropRows(scope, group)).toBe(before[1])
        expect(others()).toEqual(before[0])
        if (how === 'drop all') expect(rowsOf(scope, group)).toEqual([])
        if (how === 'change all') expect(rowsOf(scope, group).every((g) => g.minutes === minutes)).toBe(true)
      }
    }),
  )
})
