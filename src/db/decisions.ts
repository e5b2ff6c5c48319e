import { desc, eq, inArray } from 'drizzle-orm'
import type { Day } from '@/core/day'
import type { Decision } from '@/core/readiness/decide'
import { seal, unseal, type HealthKey } from './health-codec'
import { classDecision, currentDecision } from './schema'
import { addRow, rowsOf } from './rows'
import { mine, type Scope } from './scope'

/** Decisions on both sides of a class. */
export type Turn = { readonly studentId: string; readonly before: Decision; readonly after: Decision }

/** Keeps what a class changed. Something that arrived after the end adds a version; what is as it was adds nothing. */
export function keepDecisions(scope: Scope, classId: string, turns: readonly Turn[]): void {
  const known = new Map(newestRows(scope, classId).map((row) => [row.studentId, row]))
  for (const turn of turns) {
    const last = known.get(turn.studentId)
    const same =
      last && JSON.stringify([last.before, last.after]) === JSON.stringify([turn.before, turn.after])
    if (same) continue
    addRow(scope, classDecision, { ...turn, classId, version: (last?.version ?? 0) + 1 })
  }
}

/** Decisions on both sides of a class, once it has ended. */
export function decisionsOf(scope: Scope, classId: string): (Turn & { inputsErased: boolean })[] {
  return newestRows(scope, classId).map((row) => ({
    studentId: row.studentId,
    before: row.before as Decision,
    after: row.after as Decision,
    inputsErased: row.inputsErased,
  }))
}

function newestRows(scope: Scope, classId: string) {
  const rows = rowsOf(scope, classDecision, eq(classDecision.classId, classId), desc(classDecision.version))
  const seen = new Set<string>()
  return rows.filter((row) => !seen.has(row.studentId) && seen.add(row.studentId))
}

/** Rows kept for somebody, unopened. */
export type CurrentRow = { readonly studentId: string; readonly sealed: string }

/** What is kept for some people from a day and an engine; whoever is missing has to be judged. */
export function currentRows(
  scope: Scope,
  studentIds: readonly string[],
  day: Day,
  engine: string,
): CurrentRow[] {
  return scope.db
    .select({
      studentId: currentDecision.studentId,
      sealed: currentDecision.sealed,
      day: currentDecision.day,
      engine: currentDecision.engine,
    })
    .from(currentDecision)
    .where(mine(scope, currentDecision, inArray(currentDecision.studentId, [...studentIds])))
    .all()
    .filter((row) => row.day === day && row.engine === engine)
}

/** Keeps what was judged for somebody. */
export function keepCurrent(
  scope: Scope,
  key: HealthKey,
  at: { readonly studentId: string; readonly day: Day; readonly engine: string },
  value: unknown,
): string {
  const sealed = seal(key, at.studentId, value)
  const row = { ...at, studioId: scope.studioId, sealed }
  scope.db
    .insert(currentDecision)
    .values(row)
    .onConflictDoUpdate({ target: currentDecision.studentId, set: row })
    .run()
  return sealed
}

/** Opens a kept row; null where the key is another. */
export function openCurrent(key: HealthKey, { studentId, sealed }: CurrentRow): unknown {
  return unseal(key, studentId, sealed)
}
