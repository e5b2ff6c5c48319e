'use server'

import { z } from 'zod'
import { CHANGES, ifMoreCome, otherwise, settledPlan } from '@/core/planning/otherwise'
import { describeMoreCome, describeOtherwise } from '@/core/words/otherwise'
import { describePlanRefusal } from '@/core/words/plan'
import { findClass, locksOf } from '@/db/classes'
import { action } from '../action'
import { done, problem } from '../answer'
import { briefFor, oncePerBrief } from '../desk/class-file'
import { peopleOf } from '../desk/people'
import { idField } from '../fields'

const settledOnce = oncePerBrief(settledPlan)

/** What one change would make of a class, in a sentence; an empty one where nothing would come of it. */
export const askOtherwise = action(
  z.object({ id: idField, change: z.enum([...CHANGES, 'people']) }),
  (ctx, { id, change }) => {
    const record = findClass(ctx.scope, id)
    if (!record) return problem('That class is not here any more.')
    const brief = briefFor(ctx, record, locksOf(ctx.scope, id))
    const now = settledOnce(ctx, id, brief)
    if (!now.ok) return problem(describePlanRefusal(now.refusal))
    const { nameOf } = peopleOf(ctx, record.roster)
    if (change === 'people')
      return done({ line: describeMoreCome(ifMoreCome(ctx.practice, brief, now.value), nameOf), gain: 0 })
    const found = otherwise(ctx.practice, brief, now.value, change)
    return done(
      found === null
        ? { line: '', gain: 0 }
        : { line: describeOtherwise(found, nameOf, ctx.studio), gain: found.gain },
    )
  },
  { refresh: false },
)
