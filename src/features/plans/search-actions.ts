'use server'

import { z } from 'zod'
import { describePlanRefusal } from '@/core/words/plan'
import { planOf } from '@/db/plans'
import { done, problem } from '../answer'
import { idField } from '../fields'
import { beside } from './beside'
import { askedBeside, planned } from './planned-action'
import { replanned } from './replan'

/** What a worker needs to look for a better plan than the one that counts. */
export const searchStart = askedBeside(z.object({ id: idField }), async (ctx, brief, { id }) => {
  const started = await beside(ctx.practice, 'start', { brief })
  if (!started.ok) return problem(describePlanRefusal(started.refusal))
  return done({ ...started.value, now: planOf(ctx.scope, ctx.health.key, id)?.plan.points ?? null })
})

const stateSchema = z.object({
  config: z.array(z.number().int()).max(20),
  option: z.array(z.array(z.number().int()).max(80)).max(20),
})

/** Keeps a plan that the search found, written and judged anew from what is known now. */
export const takePlan = planned(
  z.object({ id: idField, planId: idField, print: z.number(), state: stateSchema }),
  (ctx, { id, planId, print, state }) => {
    const wanted = replanned(ctx, id, planId)
    return wanted.ok ? done({ ...wanted.value, found: { print, state } }) : wanted
  },
)
