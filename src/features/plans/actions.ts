'use server'

import { z } from 'zod'
import type { FactOf } from '@/core/facts/fact'
import { lockFact } from '@/core/facts/fact'
import { parseQuantity } from '@/core/entry'
import { describeQuantity } from '@/core/words/entry'
import { describePlanRefusal } from '@/core/words/plan'
import { addClass, eventsOf, findClass, locksOf } from '@/db/classes'
import { addPlan } from '@/db/plans'
import { listNames } from '@/db/students'
import { action } from '../action'
import { done, problem } from '../answer'
import type { Context } from '../context'
import { makePlan } from '../desk/class-file'
import { keepFact } from '../facts/keep'
import { idField, timeField } from '../fields'

export const createClass = action(
  z.object({
    id: idField,
    planId: idField,
    title: z.string().trim().min(1, 'Give the class a name.').max(80, 'At most 80 characters.'),
    day: z.iso.date('Pick a day.'),
    startTime: timeField,
    groupId: idField.nullable(),
    minutes: z.string(),
    bays: z.number().int().min(1, 'At least one wall bay.').max(12),
    roster: z.array(idField).max(60),
  }),
  (ctx, { minutes: typed, planId, ...rest }) => {
    const minutes = parseQuantity(typed, { min: 20, max: 120 })
    if (!minutes.ok)
      return problem(describeQuantity(minutes.refusal, 'how long the class is', 'min'), 'minutes')
    const known = new Set(listNames(ctx.scope).map((s) => s.id))
    const record = {
      ...rest,
      minutes: Math.round(minutes.value),
      roster: rest.roster.filter((id) => known.has(id)),
    }
    const made = makePlan(ctx, record, [])
    if (!made.ok)
      return problem(
        describePlanRefusal(made.refusal),
        made.refusal.code === 'too-few-people' ? 'roster' : '',
      )
    // The same press sent twice makes one class with one plan.
    if (addClass(ctx.scope, record)) keepPlan(ctx, rest.id, planId, made.value)
    return done({ id: rest.id })
  },
)

export const planAgain = action(z.object({ id: idField, planId: idField }), (ctx, { id, planId }) =>
  replan(ctx, id, planId),
)

/** Fixes somebody's version by hand, or gives the choice back, and makes the plan round it. */
export const setVersion = action(lockFact.extend({ planId: idField }), (ctx, { planId, ...lock }) => {
  const kept = keepFact(ctx, lock satisfies FactOf<'lock'>)
  return kept.ok ? replan(ctx, lock.classId, planId) : kept
})

function replan(ctx: Context, id: string, planId: string) {
  const record = findClass(ctx.scope, id)
  if (!record) return problem('That class is not here any more.')
  if (eventsOf(ctx.scope, id).length > 0)
    return problem('This class has begun; its plan stays as it was taught.')
  const made = makePlan(ctx, record, locksOf(ctx.scope, id))
  if (!made.ok) return problem(describePlanRefusal(made.refusal))
  keepPlan(ctx, id, planId, made.value)
  return done(true)
}

function keepPlan(
  { scope, health, clock }: Context,
  classId: string,
  id: string,
  made: Parameters<typeof addPlan>[3],
): void {
  addPlan(scope, health.key, { id, classId, madeMs: clock.nowMs }, made)
}
