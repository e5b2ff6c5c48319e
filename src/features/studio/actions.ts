'use server'

import { z } from 'zod'
import { parseQuantity } from '@/core/entry'
import { parseLength } from '@/core/units'
import { describeQuantity } from '@/core/words/entry'
import { describeLength } from '@/core/words/refusal'
import { saveStudio } from '@/db/studio'
import { action } from '../action'
import { done, problem } from '../answer'

/** A wall of at least one bay and at most a hall's length, cm. */
const WALL_RANGE = { minCm: 60, maxCm: 10000 }

export const setUnits = action(z.enum(['cm', 'in']), ({ db }, units) => {
  saveStudio(db, { units })
  return done(units)
})

const counted = (what: string, max: number) =>
  z.string().transform((typed, ctx) => {
    const parsed = parseQuantity(typed.trim() === '' ? '0' : typed, { min: 0, max })
    if (!parsed.ok) {
      ctx.addIssue({ code: 'custom', message: describeQuantity(parsed.refusal, what) })
      return z.NEVER
    }
    if (!Number.isInteger(parsed.value)) {
      ctx.addIssue({ code: 'custom', message: 'Whole numbers only.' })
      return z.NEVER
    }
    return parsed.value
  })

const label = z.string().trim().max(80, 'At most 80 characters.')

export const saveRoom = action(
  z.object({
    name: label,
    teacher: label,
    assistant: label,
    wall: z.string(),
    bays: counted('how many wall bays', 12),
    straps: counted('how many straps', 200),
    blocks: counted('how many blocks', 400),
  }),
  ({ db, studio }, { wall, ...rest }) => {
    if (wall.trim() === '') {
      saveStudio(db, { ...rest, wallCm: null })
      return done(true)
    }
    const length = parseLength(wall, WALL_RANGE, studio.units)
    if (!length.ok) return problem(describeLength(length.refusal, { units: studio.units }), 'wall')
    saveStudio(db, { ...rest, wallCm: length.value })
    return done(true)
  },
)
