'use server'

import { z } from 'zod'
import { action } from '../action'
import { findClass } from '@/db/classes'
import { done, problem } from '../answer'
import { judgeOfClass } from '../desk/class-judge'
import { faultAnswers } from '../desk/fault-answers'
import { idField } from '../fields'
import { roomBoard } from './board-queries'
import { teachData } from './queries'

const GONE = 'That class is not here any more.'
const asked = z.object({ classId: idField })

/** The floor screen's data once more, as another device has changed it. */
export const teachAgain = action(
  asked,
  (ctx, { classId }) => {
    const data = teachData(ctx, classId)
    return data ? done(data) : problem(GONE)
  },
  { by: 'device', reads: true },
)

/** The room display's data once more. */
export const boardAgain = action(
  asked,
  (ctx, { classId }) => {
    const data = roomBoard(ctx, classId)
    return data ? done(data) : problem(GONE)
  },
  { by: 'device', reads: true },
)

/** What to say and do about a fault that was tapped, for this person at this step tonight. */
export const faultAnswer = action(
  asked.extend({ studentId: idField, stageId: z.string().max(60), faultId: z.string().max(60) }),
  (ctx, { classId, studentId, stageId, faultId }) => {
    const record = findClass(ctx.scope, classId)
    const stage = ctx.practice.stages.find((s) => s.id === stageId)
    if (!record?.roster.includes(studentId) || !stage || !ctx.practice.faults.some((f) => f.id === faultId))
      return problem(GONE)
    return done(faultAnswers(ctx, judgeOfClass(ctx, record), studentId, stage)(faultId))
  },
  { by: 'device', reads: true },
)
