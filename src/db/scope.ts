import { and, eq, type SQL } from 'drizzle-orm'
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core'
import type { Db } from './open'

/** Whose rows are read and written, and through what. Every repository takes one; nothing is read across studios. */
export type Scope = { readonly db: Db; readonly studioId: string }

/** The studio of an installation that has only one. */
export const HOME = 'home'

/** The condition that a row belongs to the scope, with more where there is more. */
export function mine(
  scope: Scope,
  table: { studioId: SQLiteColumn },
  ...more: (SQL | undefined)[]
): SQL | undefined {
  return and(eq(table.studioId, scope.studioId), ...more)
}
