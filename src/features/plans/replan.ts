import 'server-only'
import type { Brief } from '@/core/classes/brief'
import type { Lock } from '@/core/classes/lock'
import type { FactOf } from '@/core/facts/fact'
import { eventsOf, findClass, locksOf, saveFixed } from '@/db/classes'
import { addPlan, planOf } from '@/db/plans'
import { done, problem, type Answer } from '../answer'
import type { Context } from '../context'
import { keepFact } from '../facts/keep'
import type { Wanted } from './planned-action'

/** Whether a class runs or is over: its plan then stays as it was taught. */
export function hasBegun({ scope }: Context, classId: string): boolean {
  return eventsOf(scope, classId).length > 0
}

/** What a class's plan is made anew from, round what is fixed: near to the plan that counts, where there is one. */
export function replanned(ctx: Context, id: string, planId: string): Answer<Wanted<true>> {
  const record = findClass(ctx.scope, id)
  if (!record) return problem('That class is not here any more.')
  if (hasBegun(ctx, id)) return problem('This class has begun; its plan stays as it was taught.')
  const before = planOf(ctx.scope, ctx.health.key, id)?.plan ?? null
  return done({ record, locks: locksOf(ctx.scope, id), before, planId, keep: true, answer: true })
}

/** Keeps a plan as the one that counts. */
export function keepPlan(
  { scope, health, clock }: Context,
  classId: string,
  id: string,
  made: Parameters<typeof addPlan>[3],
): void {
  addPlan(scope, health.key, { id, classId, madeMs: clock.nowMs }, made)
}

/** What was fixed by hand when a plan was made counts again, its versions as choices of today. */
export function restore(
  ctx: Context,
  classId: string,
  { fixed, locks: earlier, people }: Brief,
  stamp: Omit<FactOf<'lock'>, 'kind' | 'classId' | 'studentId' | 'part' | 'stageId' | 'reason'>,
): Answer<unknown> {
  const known = new Set(people.map((p) => p.studentId))
  const roster = findClass(ctx.scope, classId)?.roster ?? []
  // Whoever was put on the list since stays on it and out of this plan.
  const since = roster.filter((id) => !known.has(id))
  saveFixed(ctx.scope, classId, { ...fixed, out: [...new Set([...fixed.out, ...since])] })
  const now = locksOf(ctx.scope, classId)
  const same = (a: Lock, b: Lock): boolean => a.studentId === b.studentId && a.part === b.part
  // One change is taken at a time, so at most one version differs.
  const changed =
    now.find((l) => earlier.find((e) => same(l, e))?.stageId !== l.stageId) ??
    earlier.find((e) => !now.some((l) => same(l, e)))
  if (!changed) return done(true)
  const was = earlier.find((e) => same(changed, e))
  const { studentId, part } = changed
  return keepFact(ctx, {
    ...{ ...stamp, kind: 'lock', classId, studentId, part },
    ...{ stageId: was?.stageId ?? null, reason: was?.reason ?? null },
  })
}
