import { z } from 'zod'
import type { Attended } from '../attendance/odds'
import type { Day } from '../day'
import { ok, refused, type Result } from '../result'

/** Tables that can be brought in. */
export const TABLES = ['students', 'results', 'attendance'] as const
export type TableKind = (typeof TABLES)[number]

/** A column that a table is read by: what it is called here, and what others call it. */
export type Field = {
  readonly key: string
  readonly label: string
  readonly needed: boolean
  readonly also: readonly string[]
}

const NAME: Field = {
  key: 'name',
  label: 'Name',
  needed: true,
  also: ['student', 'full name', 'person', 'who'],
}
const DAY: Field = { key: 'day', label: 'Day', needed: true, also: ['date', 'on', 'when'] }

/** What each table is read by. */
export const FIELDS: Readonly<Record<TableKind, readonly Field[]>> = {
  students: [
    NAME,
    { key: 'height', label: 'Height', needed: false, also: ['height cm', 'stature', 'cm', 'tall'] },
  ],
  results: [
    NAME,
    DAY,
    { key: 'check', label: 'Check', needed: true, also: ['test', 'measure', 'what'] },
    { key: 'single', label: 'Result', needed: false, also: ['value', 'seconds', 'score'] },
    { key: 'left', label: 'Left', needed: false, also: ['l', 'left side'] },
    { key: 'right', label: 'Right', needed: false, also: ['r', 'right side'] },
  ],
  attendance: [
    NAME,
    DAY,
    { key: 'class', label: 'Class', needed: false, also: ['title', 'session'] },
    { key: 'came', label: 'Came', needed: true, also: ['present', 'attended', 'mark'] },
  ],
}

/** Which column of a table is which field; -1 where none looks like it. Headings are compared without case and spaces. */
export function guessColumns(kind: TableKind, headings: readonly string[]): Record<string, number> {
  const plain = (text: string): string => text.toLowerCase().replaceAll(/[^\p{L}\d]/gu, '')
  const own = headings.map(plain)
  return Object.fromEntries(
    FIELDS[kind].map(({ key, label, also }) => [
      key,
      own.findIndex((heading) => [key, label, ...also].some((name) => plain(name) === heading)),
    ]),
  )
}

/** Fields that a table cannot be read without and that have no column yet, by their labels. */
export function missingColumns(kind: TableKind, columns: Readonly<Record<string, number>>): string[] {
  return FIELDS[kind].filter((f) => f.needed && (columns[f.key] ?? -1) < 0).map((f) => f.label)
}

/** One row by its fields, each cell trimmed; a field without a column is empty. */
export function rowBy(
  kind: TableKind,
  columns: Readonly<Record<string, number>>,
  cells: readonly string[],
): Record<string, string> {
  return Object.fromEntries(FIELDS[kind].map(({ key }) => [key, (cells[columns[key] ?? -1] ?? '').trim()]))
}

/**
 * A day as tables have it: 2026-03-10, or 10.3.2026 and 10/3/2026 with the day first; what could be read both ways is
 * refused, since a wrong month would make an old result fresh.
 */
export function readDay(text: string): Result<Day, { code: 'no-day' | 'either-way' }> {
  const iso = z.iso.date().safeParse(text)
  if (iso.success) return ok(iso.data)
  const parts = /^(\d{1,2})([./-])(\d{1,2})\2(\d{4})$/.exec(text)
  if (!parts) return refused({ code: 'no-day' })
  const [first, mark, second, year] = [Number(parts[1]), parts[2], Number(parts[3]), parts[4] ?? '']
  // With dots the day always comes first; with strokes it depends on who wrote it.
  if (mark !== '.' && first <= 12 && second <= 12 && first !== second) return refused({ code: 'either-way' })
  const [day, month] = mark !== '.' && first <= 12 && second > 12 ? [second, first] : [first, second]
  const read = z.iso
    .date()
    .safeParse(`${year}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`)
  return read.success ? ok(read.data) : refused({ code: 'no-day' })
}

/** What a cell says of somebody's coming; null where it says nothing that can be read. */
export function readMark(text: string): Attended | null {
  const word = text.toLowerCase()
  if (['yes', 'y', 'x', '1', 'true', 'came', 'present', 'here'].includes(word)) return 'here'
  if (word === 'late') return 'late'
  if (['no', 'n', '0', 'false', '', '-', 'absent', 'away', 'missed'].includes(word)) return 'absent'
  return null
}
