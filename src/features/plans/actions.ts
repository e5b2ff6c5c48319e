'use server'

import { z } from 'zod'
import type { Lock } from '@/core/planning/plan'
import { OVERRIDE_REASONS } from '@/core/readiness/override'
import { parseQuantity } from '@/core/entry'
import { describeQuantity } from '@/core/words/entry'
import { describePlanRefusal } from '@/core/words/plan'
import { addClass, eventsOf, findClass, savePlan } from '@/db/classes'
import { listStudents } from '@/db/students'
import { action } from '../action'
import { done, problem } from '../answer'
import type { Context } from '../context'
import { idField, stageField, timeField } from '../fields'
import { makePlan } from './queries'

export const createClass = action(
  z.object({
    id: idField,
    title: z.string().trim().min(1, 'Give the class a name.').max(80, 'At most 80 characters.'),
    day: z.iso.date('Pick a day.'),
    startTime: timeField,
    groupId: idField.nullable(),
    minutes: z.string(),
    bays: z.number().int().min(1, 'At least one wall bay.').max(12),
    roster: z.array(idField).max(60),
  }),
  (ctx, { minutes: typed, ...rest }) => {
    const minutes = parseQuantity(typed, { min: 20, max: 120 })
    if (!minutes.ok)
      return problem(describeQuantity(minutes.refusal, 'how long the class is', 'min'), 'minutes')
    const known = new Set(listStudents(ctx.db).map((s) => s.id))
    const record = {
      ...rest,
      minutes: Math.round(minutes.value),
      roster: rest.roster.filter((id) => known.has(id)),
    }
    const plan = makePlan(ctx, { ...record, locks: [] })
    if (!plan.ok)
      return problem(
        describePlanRefusal(plan.refusal),
        plan.refusal.code === 'too-few-people' ? 'roster' : '',
      )
    addClass(ctx.db, { ...record, plan: plan.value })
    return done({ id: rest.id })
  },
)

export const planAgain = action(z.object({ id: idField }), (ctx, { id }) => replan(ctx, id, (locks) => locks))

export const setVersion = action(
  z.object({
    id: idField,
    studentId: idField,
    part: z.enum(['skill', 'waves']),
    stageId: stageField,
    reason: z.enum(OVERRIDE_REASONS),
  }),
  (ctx, { id, ...lock }) => replan(ctx, id, (locks) => [...withoutLock(locks, lock), lock]),
)

export const clearVersion = action(
  z.object({ id: idField, studentId: idField, part: z.enum(['skill', 'waves']) }),
  (ctx, { id, ...lock }) => replan(ctx, id, (locks) => withoutLock(locks, lock)),
)

function withoutLock(locks: readonly Lock[], { studentId, part }: Pick<Lock, 'studentId' | 'part'>): Lock[] {
  return locks.filter((l) => l.studentId !== studentId || l.part !== part)
}

function replan(ctx: Context, id: string, change: (locks: readonly Lock[]) => readonly Lock[]) {
  const record = findClass(ctx.db, id)
  if (!record) return problem('That class is not here any more.')
  if (eventsOf(ctx.db, id).length > 0)
    return problem('This class has begun; its plan stays as it was taught.')
  const locks = change(record.locks)
  const plan = makePlan(ctx, { ...record, locks })
  if (!plan.ok) return problem(describePlanRefusal(plan.refusal))
  savePlan(ctx.db, id, plan.value, locks)
  return done(true)
}
