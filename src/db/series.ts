import { desc, eq } from 'drizzle-orm'
import { series } from './schema'
import { mine, type Scope } from './scope'

/** Weeks of one group towards one family. */
export type Series = Omit<typeof series.$inferSelect, 'studioId'>

/** Every series, the newest first. */
export function listSeries(scope: Scope): Series[] {
  return scope.db.select().from(series).where(mine(scope, series)).orderBy(desc(series.firstDay)).all()
}

/** One series; null where it is not there. */
export function findSeries(scope: Scope, id: string): Series | null {
  return (
    scope.db
      .select()
      .from(series)
      .where(mine(scope, series, eq(series.id, id)))
      .get() ?? null
  )
}

/** Adds a series, or changes what it is called and about. */
export function saveSeries(scope: Scope, row: Series): void {
  const kept = { ...row, studioId: scope.studioId }
  scope.db.insert(series).values(kept).onConflictDoUpdate({ target: series.id, set: kept }).run()
}

/** Takes a series away; its classes and results stay. */
export function removeSeries(scope: Scope, id: string): void {
  scope.db
    .delete(series)
    .where(mine(scope, series, eq(series.id, id)))
    .run()
}
