import { desc, eq } from 'drizzle-orm'
import { series } from './schema'
import { dropRows, putRow, rowOf, rowsOf } from './rows'
import type { Scope } from './scope'

/** Weeks of one group towards one family. */
export type Series = Omit<typeof series.$inferSelect, 'studioId'>

/** Every series, the newest first. */
export function listSeries(scope: Scope): Series[] {
  return rowsOf(scope, series, undefined, desc(series.firstDay))
}

/** One series; null where it is not there. */
export function findSeries(scope: Scope, id: string): Series | null {
  return rowOf(scope, series, eq(series.id, id)) ?? null
}

/** Adds a series, or changes what it is called and about. */
export function saveSeries(scope: Scope, row: Series): void {
  putRow(scope, series, row)
}

/** Takes a series away; its classes and results stay. */
export function removeSeries(scope: Scope, id: string): void {
  dropRows(scope, series, eq(series.id, id))
}
