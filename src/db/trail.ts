import { desc, eq } from 'drizzle-orm'
import type { TrailWhat } from '@/core/access/trail'
import { trail } from './schema'
import { addRow, changeRows } from './rows'
import { mine, type Scope } from './scope'

/** One line of the trail. */
export type TrailLine = {
  readonly id: string
  readonly atMs: number
  readonly accountId: string | null
  readonly name: string
  readonly what: TrailWhat
  readonly studentId: string | null
}

/** Writes down what somebody did; nothing of it is changed or removed afterwards. */
export function addTrail(scope: Scope, line: TrailLine): void {
  addRow(scope, trail, line)
}

/** The newest lines first, of everybody or about one student. */
export function trailLines(scope: Scope, most: number, studentId?: string): TrailLine[] {
  return scope.db
    .select()
    .from(trail)
    .where(mine(scope, trail, studentId === undefined ? undefined : eq(trail.studentId, studentId)))
    .orderBy(desc(trail.atMs), desc(trail.id))
    .limit(most)
    .all()
}

/** Whether one such line was written since a moment: reading on is not told every minute. */
export function wasTold(
  scope: Scope,
  line: Pick<TrailLine, 'accountId' | 'what' | 'studentId'>,
  sinceMs: number,
): boolean {
  const { accountId, what, studentId } = line
  const [last] = trailLines(scope, 200, studentId ?? undefined).filter(
    (l) => l.what === what && l.accountId === accountId && l.atMs >= sinceMs,
  )
  return last !== undefined
}

/** Takes an erased person's id out of the trail: what was done stays, to whom does not. */
export function forgetInTrail(scope: Scope, studentId: string): void {
  changeRows(scope, trail, eq(trail.studentId, studentId), { studentId: null })
}
