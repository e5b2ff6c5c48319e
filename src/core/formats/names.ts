import Papa from 'papaparse'
import { parseName, type NameRefusal } from '../entry'
import { levelIn } from '../readiness/by-level'

export type NameLine = { readonly line: number; readonly typed: string } & (
  | {
      readonly ok: true
      readonly name: string
      /** Words that stood beside it, each its own column: a level, a remark. Bare numbers and addresses are left aside. */
      readonly beside: readonly string[]
    }
  | { readonly ok: false; readonly refusal: NameRefusal }
)

/** A list as it was read: the names, and what was left aside so that nothing goes without a word. */
export type ReadNames = {
  readonly lines: readonly NameLine[]
  /** Names that stood there more than once. */
  readonly doubles: readonly string[]
  readonly emails: number
  /** Other columns that are no part of a name and say nothing in words: heights, numbers. */
  readonly others: number
}

const WHOLE = ['name', 'names', 'student', 'full name']
const FIRST = ['first name', 'first', 'forename', 'given name']
const LAST = ['last name', 'last', 'surname', 'family name']
/**
 * Columns that are read beside a name; a list of members holds much that is no business of a class, and what is headed as
 * health is asked at the door and kept sealed, never copied into a note.
 */
const SAYS = /^(level|experience|notes?|remarks?|comments?)$/
const EMAIL = /[<(]?\S+@\S+\.\S+[>)]?/
const NUMBERED = /^\s*\d+\s*[.):]\s*/
/** Words and marks of a name, such as `O'Shea`, `Jean-Luc`, `K.`; no digits. */
const NAMELIKE = /^[\p{L}\p{M}'’.\- ]+$/u

/**
 * Names from pasted text, a spreadsheet or a CSV: one a line, the column headed `name`, first and last name from two
 * columns, or `Last, First`. Tabs, semicolons and commas part columns; numbering and e-mail addresses are left aside.
 */
export function readNames(text: string): ReadNames {
  const data = text.split(/\r?\n/).flatMap((line, i) => {
    const [cells] = Papa.parse<string[]>(line, { delimiter: delimiterOf(line) }).data
    return cells && line.trim() !== '' ? [{ cells, line: i + 1 }] : []
  })
  const headings = (data[0]?.cells ?? []).map((cell) => cell.trim().toLowerCase())
  const at = (names: readonly string[]): number => headings.findIndex((cell) => names.includes(cell))
  const [whole, first, last] = [at(WHOLE), at(FIRST), at(LAST)]
  const headed = whole >= 0 || first >= 0
  const pick = (row: readonly string[]): Picked =>
    whole >= 0
      ? fromCells([row[whole] ?? ''], besides(row, [whole], headings))
      : first >= 0
        ? fromCells([row[first] ?? '', row[last] ?? ''], besides(row, [first, last], headings))
        : withoutHeading(row)
  const seen = new Set<string>()
  const doubles: string[] = []
  let [emails, others] = [0, 0]
  const lines = data.slice(headed ? 1 : 0).flatMap(({ cells: row, line }): NameLine[] => {
    const found = pick(row)
    emails += row.filter((cell) => EMAIL.test(cell)).length
    others += found.aside
    const key = found.typed.toLowerCase()
    if (found.typed === '') return []
    if (seen.has(key)) {
      doubles.push(found.typed)
      return []
    }
    seen.add(key)
    const parsed = parseName(found.typed)
    return [
      parsed.ok
        ? { line, typed: found.typed, ok: true, name: parsed.value, beside: found.beside }
        : { line, typed: found.typed, ok: false, refusal: parsed.refusal },
    ]
  })
  return { lines, doubles, emails, others }
}

type Picked = { readonly typed: string; readonly beside: readonly string[]; readonly aside: number }

/** Lists are pasted together from several places: each line says for itself what parts its columns. */
function delimiterOf(line: string): string {
  return line.includes('\t') ? '\t' : line.includes(';') ? ';' : ','
}

/** A cell without its numbering and its address. */
function bare(cell: string): string {
  return cell.replace(EMAIL, '').replace(NUMBERED, '').replace(/\s+/g, ' ').trim()
}

/** What stands beside the cells that make up the name: what is read, and how many are left aside. */
function besides(
  row: readonly string[],
  at: readonly number[],
  headings: readonly string[] = [],
): Pick<Picked, 'beside' | 'aside'> {
  const cells = row.flatMap((cell, i) =>
    at.includes(i) || bare(cell) === '' ? [] : [{ cell: bare(cell), i }],
  )
  // A number alone, as of a telephone, says nothing here.
  const beside = cells.filter(
    ({ cell, i }) => /\p{L}{2}/u.test(cell) && (headings.length === 0 || SAYS.test(headings[i] ?? '')),
  )
  return { beside: beside.map(({ cell }) => cell), aside: cells.length - beside.length }
}

function fromCells(cells: readonly string[], rest: Pick<Picked, 'beside' | 'aside'>): Picked {
  const typed = cells
    .map(bare)
    .filter((c) => c !== '')
    .map(givenFirst)
    .join(' ')
  return { typed, ...rest }
}

/** `Calder, Ines` in one cell is Ines Calder. */
function givenFirst(name: string): string {
  const [family, given, ...rest] = name.split(',').map((part) => part.trim())
  return given && family && rest.length === 0 ? `${given} ${family}` : name
}

/** A second cell that is the rest of the name, not a level. */
function isGivenName(cell: string): boolean {
  return (
    NAMELIKE.test(cell) &&
    /^\p{Lu}/u.test(cell) &&
    levelIn([cell]) === null &&
    !NO_NAMES.has(cell.toLowerCase())
  )
}

/** Words that say no level of our own and are no given name either. */
const NO_NAMES: ReadonlySet<string> = new Set(['teacher', 'all levels'])

/** Without a heading: a name, or a last name and a first, and whatever else stands beside it. */
function withoutHeading(row: readonly string[]): Picked {
  const cells = row.map(bare)
  const [name = '', second = ''] = cells
  const pair = row.length === 2 && name !== '' && !name.includes(' ') && isGivenName(second)
  return pair
    ? { typed: `${second} ${name}`, beside: [], aside: 0 }
    : { typed: givenFirst(name), ...besides(row, [0]) }
}
