import { eq } from 'drizzle-orm'
import { attempt, attendance, drillDone, note, observation, offerTap, placement, planLock } from './schema'
import { mine, type Scope } from './scope'

const TABLES = [observation, attempt, placement, drillDone, note, attendance, planLock, offerTap] as const

/** Of whom a fact that lies here tells; null where none of that id does, or it tells of nobody. */
export function whoseFact(scope: Scope, id: string): string | null {
  for (const table of TABLES) {
    const row = scope.db
      .select({ studentId: table.studentId })
      .from(table)
      .where(mine(scope, table, eq(table.id, id)))
      .get()
    if (row) return row.studentId
  }
  return null
}
