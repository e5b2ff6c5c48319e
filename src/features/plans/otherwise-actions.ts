'use server'

import { z } from 'zod'
import { CHANGES } from '@/core/planning/otherwise'
import { describeMoreCome, describeOtherwise } from '@/core/words/otherwise'
import { describePlanRefusal } from '@/core/words/plan'
import { done, problem } from '../answer'
import { peopleOf } from '../desk/people'
import { idField } from '../fields'
import { beside } from './beside'
import { askedBeside } from './planned-action'

/** What one change would make of a class, in a sentence; an empty one where nothing would come of it. */
export const askOtherwise = askedBeside(
  z.object({ id: idField, change: z.enum([...CHANGES, 'people']) }),
  async (ctx, brief, { change }) => {
    const answer = await beside(ctx.practice, 'otherwise', { brief, change })
    if (!answer.ok) return problem(describePlanRefusal(answer.refusal))
    const { nameOf } = peopleOf(
      ctx,
      brief.people.map((p) => p.studentId),
    )
    if ('more' in answer.value) return done({ line: describeMoreCome(answer.value.more, nameOf), gain: 0 })
    const { found } = answer.value
    return done(
      found === null
        ? { line: '', gain: 0 }
        : { line: describeOtherwise(found, nameOf, ctx.studio), gain: found.gain },
    )
  },
)
