import { and, asc, desc, eq } from 'drizzle-orm'
import type { Brief } from '@/core/classes/brief'
import type { Plan } from '@/core/classes/plan'
import { readBrief, readPlan } from '@/core/classes/upgrade'
import { seal, unseal, type HealthKey } from './health-codec'
import { classPlan } from './schema'
import { changeRows, dropRows, rowOf } from './rows'
import { mine, type Scope } from './scope'

/** A plan with what it was made from. */
export type PlanRecord = {
  readonly plan: Plan
  /** Null where none was kept, or the key does not open it: the plan is then shown and not judged. */
  readonly brief: Brief | null
}

/** Adds a plan to a class; earlier ones stay. Without a key the brief, which holds limits, is not kept. */
export function addPlan(
  scope: Scope,
  key: HealthKey | null,
  entry: { readonly id: string; readonly classId: string; readonly madeMs: number },
  { plan, brief }: { readonly plan: Plan; readonly brief: Brief },
): void {
  // What was taken back is given up with the next change.
  dropRows(scope, classPlan, and(eq(classPlan.classId, entry.classId), eq(classPlan.undone, true)))
  const last = newest(scope, entry.classId)
  scope.db
    .insert(classPlan)
    .values({
      ...entry,
      studioId: scope.studioId,
      version: (last?.version ?? 0) + 1,
      plan,
      brief: key ? seal(key, entry.classId, brief) : null,
    })
    .onConflictDoNothing({ target: classPlan.id })
    .run()
}

/** The plan that counts; null where a class has none that can be read. */
export function planOf(scope: Scope, key: HealthKey | null, classId: string): PlanRecord | null {
  const row = newest(scope, classId)
  return row ? recordOf(row, key) : null
}

/** The plan that a step leads to: back to the one before, or on to one that was taken back; null where there is none. */
export function planAt(
  scope: Scope,
  key: HealthKey | null,
  classId: string,
  step: 'back' | 'on',
): PlanRecord | null {
  const row = stepRow(scope, classId, step)
  return row ? recordOf(row, key) : null
}

/** Takes the newest plan of a class back, or puts the one in again that was taken back last. */
export function takeStep(scope: Scope, classId: string, step: 'back' | 'on'): void {
  const row = step === 'back' ? newest(scope, classId) : stepRow(scope, classId, 'on')
  if (row) changeRows(scope, classPlan, eq(classPlan.id, row.id), { undone: step === 'back' })
}

function stepRow(scope: Scope, classId: string, step: 'back' | 'on'): Row | undefined {
  const [first, second] = scope.db
    .select()
    .from(classPlan)
    .where(mine(scope, classPlan, and(eq(classPlan.classId, classId), eq(classPlan.undone, step === 'on'))))
    .orderBy(step === 'on' ? asc(classPlan.version) : desc(classPlan.version))
    .limit(2)
    .all()
  return step === 'on' ? first : second
}

type Row = typeof classPlan.$inferSelect

function recordOf({ classId, ...row }: Row, key: HealthKey | null): PlanRecord | null {
  const plan = readPlan(row.plan)
  if (!plan) return null
  return { plan, brief: row.brief !== null && key ? readBrief(unseal(key, classId, row.brief)) : null }
}

function newest(scope: Scope, classId: string): Row | undefined {
  return rowOf(
    scope,
    classPlan,
    and(eq(classPlan.classId, classId), eq(classPlan.undone, false)),
    desc(classPlan.version),
  )
}
