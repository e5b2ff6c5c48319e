import { desc, eq } from 'drizzle-orm'
import type { Brief } from '@/core/classes/brief'
import type { Plan } from '@/core/classes/plan'
import { readBrief, readPlan } from '@/core/classes/upgrade'
import { seal, unseal, type HealthKey } from './health-codec'
import { classPlan } from './schema'
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
  const plan = row ? readPlan(row.plan) : null
  if (!row || !plan) return null
  return { plan, brief: row.brief !== null && key ? readBrief(unseal(key, classId, row.brief)) : null }
}

function newest(scope: Scope, classId: string) {
  return scope.db
    .select()
    .from(classPlan)
    .where(mine(scope, classPlan, eq(classPlan.classId, classId)))
    .orderBy(desc(classPlan.version))
    .get()
}
