'use server'

import { z } from 'zod'
import { validatePlan } from '@/core/planning/check/validate'
import { startsFor } from '@/core/planning/plan-class'
import { fits, foundFrom, printOf, withoutWords } from '@/core/planning/search'
import { writePlan } from '@/core/planning/write'
import { describePlanRefusal } from '@/core/words/plan'
import { findClass, locksOf } from '@/db/classes'
import { planOf } from '@/db/plans'
import { action } from '../action'
import { done, problem } from '../answer'
import { briefFor } from '../desk/class-file'
import { idField } from '../fields'
import { hasBegun, keepPlan } from './replan'

const GONE = 'That class is not here any more.'
const CHANGED = 'Something about the class changed meanwhile: look again.'
/** Starts that a search goes on from. */
const STARTS = 8

/** What a worker needs to look for a better plan than the one that counts. */
export const searchStart = action(z.object({ id: idField }), (ctx, { id }) => {
  const record = findClass(ctx.scope, id)
  if (!record) return problem(GONE)
  const started = startsFor(ctx.practice, briefFor(ctx, record, locksOf(ctx.scope, id)))
  if (!started.ok) return problem(describePlanRefusal(started.refusal))
  const { model, starts } = started.value
  return done({
    print: printOf(model),
    model: withoutWords(model),
    starts: starts.slice(0, STARTS).map((s) => s.state),
    now: planOf(ctx.scope, ctx.health.key, id)?.plan.points ?? null,
  })
})

const stateSchema = z.object({
  config: z.array(z.number().int()).max(20),
  option: z.array(z.array(z.number().int()).max(80)).max(20),
})

/** Keeps a plan that the search found, written and judged anew from what is known now. */
export const takePlan = action(
  z.object({ id: idField, planId: idField, print: z.number(), state: stateSchema }),
  (ctx, { id, planId, print, state }) => {
    const record = findClass(ctx.scope, id)
    if (!record) return problem(GONE)
    if (hasBegun(ctx, id)) return problem('This class has begun; its plan stays as it was taught.')
    const brief = briefFor(ctx, record, locksOf(ctx.scope, id))
    const started = startsFor(ctx.practice, brief)
    if (!started.ok) return problem(describePlanRefusal(started.refusal))
    const { model } = started.value
    if (printOf(model) !== print || !fits(model, state)) return problem(CHANGED)
    const [found] = foundFrom(model, [state])
    if (!found) return problem(CHANGED)
    const plan = writePlan(model, brief, found)
    const broken = validatePlan(ctx.practice, brief, plan).filter(
      (v) => !(v.code === 'above-decision' && v.overridden),
    )
    if (!found.outcome.isLegal || broken.length > 0)
      return problem('That plan breaks a rule and is not kept.')
    keepPlan(ctx, id, planId, { plan, brief })
    return done(true)
  },
)
