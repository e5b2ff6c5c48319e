'use server'

import { z } from 'zod'
import { action } from '../action'
import { done, problem } from '../answer'
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
  { by: 'device', refresh: false },
)

/** The room display's data once more. */
export const boardAgain = action(
  asked,
  (ctx, { classId }) => {
    const data = roomBoard(ctx, classId)
    return data ? done(data) : problem(GONE)
  },
  { by: 'device', refresh: false },
)
