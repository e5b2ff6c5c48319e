import Papa from 'papaparse'

/**
 * A table as CSV (RFC 4180), with a mark by which spreadsheets know its letters. A cell that a spreadsheet would take for
 * a formula is told as text.
 */
export function writeCsv(
  columns: readonly string[],
  rows: readonly (readonly (string | number)[])[],
): string {
  return `\uFEFF${Papa.unparse({ fields: [...columns], data: rows.map((r) => [...r]) }, { escapeFormulae: true, newline: '\r\n' })}`
}
