import { is, Table, type Column } from 'drizzle-orm'
import { getTableConfig, type SQLiteTable } from 'drizzle-orm/sqlite-core'
import { z } from 'zod'
import * as schema from '../schema'

/** A value as SQLite holds it. */
export type Cell = string | number | null
export type Row = Readonly<Record<string, Cell>>

/** A table of a bundle: how it is called, what orders it, and what a row of it must be. */
export type BundleTable = {
  readonly name: string
  readonly columns: readonly string[]
  readonly keys: readonly string[]
  readonly row: z.ZodType<Row>
}

/** What is worked out again from the rest, and so is no part of a studio's file. */
const LEFT_OUT: readonly string[] = [
  'current_decision',
  'account',
  'sign_in',
  'access_code',
  'trail',
  'api_token',
]
/** Longer than any plan of sixty people, characters. */
const LONGEST = 4_000_000

/** Every table that a bundle holds, those first that others point at. */
export const BUNDLE_TABLES: readonly BundleTable[] = ordered(
  Object.values(schema).filter((t) => is(t, Table)) as SQLiteTable[],
)

function ordered(tables: readonly SQLiteTable[]): BundleTable[] {
  const left = tables.filter((t) => !LEFT_OUT.includes(getTableConfig(t).name))
  const done: SQLiteTable[] = []
  while (done.length < left.length) {
    const next = left.find(
      (t) =>
        !done.includes(t) &&
        getTableConfig(t).foreignKeys.every((f) => {
          const to = f.reference().foreignTable
          return to === t || done.includes(to)
        }),
    )
    if (!next) throw new Error('tables point at each other in a circle')
    done.push(next)
  }
  return done.map(described)
}

function described(table: SQLiteTable): BundleTable {
  const { name, columns, primaryKeys } = getTableConfig(table)
  const own = columns.filter((c) => c.primary).map((c) => c.name)
  return {
    name,
    columns: columns.map((c) => c.name),
    keys: own.length > 0 ? own : primaryKeys.flatMap((key) => key.columns.map((c) => c.name)),
    row: z.strictObject(Object.fromEntries(columns.map((c) => [c.name, cellOf(c)]))) as z.ZodType<Row>,
  }
}

/** What one column takes. A column that came later may be missing where it has a default or may be empty. */
function cellOf(column: Column): z.ZodType {
  const value = valueOf(column)
  const orNull = column.notNull ? value : value.nullable()
  return column.notNull && !column.hasDefault ? orNull : orNull.optional()
}

function valueOf({ dataType, enumValues, columnType }: Column): z.ZodType {
  if (dataType === 'boolean') return z.union([z.literal(0), z.literal(1)])
  if (dataType === 'number') return columnType === 'SQLiteInteger' ? z.number().int() : z.number()
  if (dataType === 'json') return z.string().max(LONGEST).refine(isJson)
  return enumValues && enumValues.length > 0 ? z.enum(enumValues as [string]) : z.string().max(LONGEST)
}

function isJson(text: string): boolean {
  try {
    JSON.parse(text)
    return true
  } catch {
    return false
  }
}
