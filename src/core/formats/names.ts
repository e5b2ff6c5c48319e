import Papa from 'papaparse'
import { parseName, type NameRefusal } from '../entry'

export type NameLine = { readonly line: number; readonly typed: string } & (
  { readonly ok: true; readonly name: string } | { readonly ok: false; readonly refusal: NameRefusal }
)

const HEADINGS = ['name', 'names', 'student', 'full name']

/**
 * Names from pasted text or a CSV: one a line, or the column headed `name`, or the first column.
 * Blank lines are skipped; a name twice in the list is kept once.
 */
export function readNames(text: string): NameLine[] {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' })
  const first = (data[0] ?? []).map((cell) => cell.trim().toLowerCase())
  const headed = first.findIndex((cell) => HEADINGS.includes(cell))
  const column = Math.max(0, headed)
  const seen = new Set<string>()
  return data.slice(headed >= 0 ? 1 : 0).flatMap((row, i) => {
    const typed = row[column] ?? ''
    if (typed.trim() === '' || seen.has(typed.trim().toLowerCase())) return []
    seen.add(typed.trim().toLowerCase())
    const line = i + (headed >= 0 ? 2 : 1)
    const parsed = parseName(typed)
    return [
      parsed.ok
        ? { line, typed, ok: true as const, name: parsed.value }
        : { line, typed, ok: false as const, refusal: parsed.refusal },
    ]
  })
}
