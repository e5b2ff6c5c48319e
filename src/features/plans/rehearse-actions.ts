'use server'

import { z } from 'zod'
import { doingsOf } from '@/core/classes/plan'
import { addDays } from '@/core/day'
import { EVIDENCE_WINDOW_DAYS, foldEvidence } from '@/core/readiness/evidence'
import { isCleanWork } from '@/core/readiness/favourable'
import { notYetRate } from '@/core/teaching/rehearse'
import { describeEvenings } from '@/core/words/rehearse'
import { findClass } from '@/db/classes'
import { done, problem } from '../answer'
import { classFile } from '../desk/class-file'
import { judgeOfClass } from '../desk/class-judge'
import { peopleOf } from '../desk/people'
import { idField } from '../fields'
import { beside } from './beside'
import { askedBeside } from './planned-action'

/** The hour played two hundred times: what tends to fall off, and what would save it. */
export const rehearseHour = askedBeside(z.object({ id: idField }), async (ctx, _brief, { id }) => {
  const record = findClass(ctx.scope, id)
  const file = record ? classFile(ctx, record) : null
  if (!record || !file) return problem('There is no plan to rehearse yet.')
  const judge = judgeOfClass(ctx, record)
  const ids = [...new Set(file.plan.blocks.flatMap(doingsOf).map((d) => d.studentId))]
  const since = addDays(judge.day, -EVIDENCE_WINDOW_DAYS)
  const notYet = Object.fromEntries(
    ids.map((who) => {
      const { attempts } = foldEvidence(judge.evidence(who), judge.day)
      return [who, notYetRate(attempts.filter((a) => a.day >= since).map(isCleanWork))]
    }),
  )
  const { minutes, blocks } = file.plan
  const found = await beside(ctx.practice, 'rehearse', { plan: { minutes, blocks }, notYet })
  return done({ lines: describeEvenings(ctx.practice, found, peopleOf(ctx, ids).nameOf) })
})
