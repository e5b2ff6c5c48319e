'use server'

import { z } from 'zod'
import { aimSchema } from '@/core/classes/aim'
import { NOTHING_FIXED, type Fixed } from '@/core/classes/fixed'
import { parseQuantity } from '@/core/entry'
import { lockFact, type FactOf } from '@/core/facts/fact'
import { describeQuantity } from '@/core/words/entry'
import { addClass, addToRoster, findClass, saveFixed } from '@/db/classes'
import { planAt, planOf, takeStep } from '@/db/plans'
import { listNames } from '@/db/students'
import { action } from '../action'
import type { Context } from '../context'
import { done, problem } from '../answer'
import { keepFact } from '../facts/keep'
import { idField, timeField } from '../fields'
import { asTemplate, editSchema, withEdit } from '@/core/classes/edit'
import { planned } from './planned-action'
import { hasBegun, replanned, restore } from './replan'

export const createClass = planned(
  z.object({
    id: idField,
    planId: idField,
    title: z.string().trim().min(1, 'Give the class a name.').max(80, 'At most 80 characters.'),
    day: z.iso.date('Pick a day.'),
    startTime: timeField,
    groupId: idField.nullable(),
    /** Another class that it shall run as. */
    fromId: idField.nullable().default(null),
    minutes: z.string(),
    bays: z.number().int().min(0, 'None, or a number of bays.').max(12),
    aim: aimSchema,
    roster: z.array(idField).max(60),
  }),
  (ctx, { minutes: typed, planId, fromId, ...rest }) => {
    const minutes = parseQuantity(typed, { min: 20, max: 120 })
    if (!minutes.ok)
      return problem(describeQuantity(minutes.refusal, 'how long the class is', 'min'), 'minutes')
    const known = new Set(listNames(ctx.scope).map((s) => s.id))
    const record = {
      ...rest,
      minutes: Math.round(minutes.value),
      roster: rest.roster.filter((id) => known.has(id)),
    }
    const fixed = fromId === null ? NOTHING_FIXED : fixedLike(ctx, fromId)
    const full = { ...record, fixed }
    // The same press sent twice makes one class with one plan.
    const keep = addClass(ctx.scope, full)
    return done({
      record: full,
      locks: [],
      before: null,
      planId,
      keep,
      answer: { id: rest.id },
      listField: 'roster',
    })
  },
)

/** What another class fixes for one that shall run as it did. */
function fixedLike(ctx: Context, classId: string): Fixed {
  const record = findClass(ctx.scope, classId)
  const stored = planOf(ctx.scope, ctx.health.key, classId)
  return record && stored ? asTemplate(record.fixed, stored.plan) : NOTHING_FIXED
}

export const planAgain = planned(z.object({ id: idField, planId: idField }), (ctx, { id, planId }) =>
  replanned(ctx, id, planId),
)

/** Fixes somebody's version by hand, or gives the choice back, and makes the plan round it. */
export const setVersion = planned(lockFact.extend({ planId: idField }), (ctx, { planId, ...lock }) => {
  if (hasBegun(ctx, lock.classId)) return problem('This class has begun; its plan stays as it was taught.')
  const kept = keepFact(ctx, lock satisfies FactOf<'lock'>)
  return kept.ok ? replanned(ctx, lock.classId, planId) : kept
})

/** Fixes something about the class as a whole, or gives it back, and makes the plan round it. */
export const editPlan = planned(
  z.object({ id: idField, planId: idField, edit: editSchema }),
  (ctx, { id, planId, edit }) => {
    const record = findClass(ctx.scope, id)
    const now = planOf(ctx.scope, ctx.health.key, id)
    if (!record || !now) return problem('That class is not here any more.')
    if (hasBegun(ctx, id)) return problem('This class has begun; its plan stays as it was taught.')
    if (edit.kind === 'add') {
      const known = new Set(listNames(ctx.scope).map((s) => s.id))
      if (!known.has(edit.studentId)) return problem('That person is not here any more.')
      addToRoster(ctx.scope, id, [edit.studentId])
      return replanned(ctx, id, planId)
    }
    // A plan that cannot be made is a refusal, of which nothing stays.
    saveFixed(ctx.scope, id, withEdit(record.fixed, edit, now.plan))
    return replanned(ctx, id, planId)
  },
)

const stepFields = lockFact
  .pick({ id: true, deviceId: true, deviceSeq: true, hlc: true, day: true })
  .extend({ classId: idField, step: z.enum(['back', 'on']) })

/** Takes the last change of a plan back, or puts it in again. */
export const stepPlan = action(stepFields, (ctx, { classId, step, ...stamp }) => {
  const to = planAt(ctx.scope, ctx.health.key, classId, step)
  if (!to)
    return problem(step === 'back' ? 'There is nothing to take back.' : 'There is nothing to put in again.')
  if (hasBegun(ctx, classId)) return problem('This class has begun; its plan stays as it was taught.')
  const kept = to.brief ? restore(ctx, classId, to.brief, stamp) : null
  if (kept?.ok === false) return kept
  takeStep(ctx.scope, classId, step)
  return done(true)
})
