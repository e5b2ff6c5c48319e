import fc from 'fast-check'
import { FIELDS, guessColumns, missingColumns, readMark, readDay, rowBy, TABLES } from './table-in'

const value = (text: string) => {
  const read = readDay(text)
  return read.ok ? read.value : read.refusal.code
}

it('finds its columns by their own and by other names, in any order', () => {
  expect(guessColumns('results', ['Date', 'L', 'Test', ' FULL  name', 'note'])).toEqual({
    ...{ name: 3, day: 0, check: 2, single: -1, left: 1, right: -1 },
  })
  expect(missingColumns('results', guessColumns('results', ['who', 'value']))).toEqual(['Day', 'Check'])
  for (const kind of TABLES)
    expect(
      missingColumns(
        kind,
        guessColumns(
          kind,
          FIELDS[kind].map((f) => f.label),
        ),
      ),
    ).toEqual([])
})

it('reads a row by them, and what has no column as nothing', () => {
  expect(rowBy('students', { name: 1, height: -1 }, ['x', '  Ann Oakes '])).toEqual({
    name: 'Ann Oakes',
    height: '',
  })
})

it.each([
  ['2026-03-10', '2026-03-10'],
  ['10.3.2026', '2026-03-10'],
  ['3.10.2026', '2026-10-03'],
  ['25/12/2025', '2025-12-25'],
  ['12/25/2025', '2025-12-25'],
  ['5/5/2025', '2025-05-05'],
  ['3/10/2026', 'either-way'],
  ['2026-02-30', 'no-day'],
  ['31.4.2026', 'no-day'],
  ['13/13/2026', 'no-day'],
  ['tomorrow', 'no-day'],
  ['', 'no-day'],
])('takes %s for %s', (text, day) => expect(value(text)).toBe(day))

it('never takes one day for another: what it reads is the day in some usual way of writing', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 28 }), (month, day) => {
      const iso = `2026-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`
      expect(value(iso)).toBe(iso)
      expect(value(`${day}.${month}.2026`)).toBe(iso)
      expect([iso, 'either-way']).toContain(value(`${day}/${month}/2026`))
      expect([iso, 'either-way']).toContain(value(`${month}/${day}/2026`))
    }),
  )
})

it('knows who came from what tables say, and asks where they say neither', () => {
  expect(['Yes', 'x', '1', 'present'].map(readMark)).toEqual(Array(4).fill('here'))
  expect(['no', '', '-', 'Absent'].map(readMark)).toEqual(Array(4).fill('absent'))
  expect([readMark('late'), readMark('maybe')]).toEqual(['late', null])
})
