'use server'

import { z } from 'zod'
import { parseQuantity } from '@/core/entry'
import { BAY_WIDTH_CM, baysIn } from '@/core/planning/room'
import { parseLength } from '@/core/units'
import { describeQuantity } from '@/core/words/entry'
import { describeLength } from '@/core/words/refusal'
import { saveStudio } from '@/db/studio'
import { action } from '../action'
import { done, problem } from '../answer'

export const startRoom = action(
  z.object({ wall: z.string(), blocks: z.string(), straps: z.string() }),
  ({ db, studio }, { wall, blocks, straps }) => {
    const length = parseLength(wall, { minCm: BAY_WIDTH_CM, maxCm: 10000 }, studio.units)
    if (!length.ok) return problem(describeLength(length.refusal, studio), 'wall')
    const counts = {
      blocks: parseQuantity(blocks || '0', { min: 0, max: 400 }),
      straps: parseQuantity(straps || '0', { min: 0, max: 200 }),
    }
    for (const [path, count] of Object.entries(counts))
      if (!count.ok) return problem(describeQuantity(count.refusal, `how many ${path}`), path)
    saveStudio(db, {
      wallCm: length.value,
      bays: baysIn(length.value),
      blocks: counts.blocks.ok ? Math.round(counts.blocks.value) : 0,
      straps: counts.straps.ok ? Math.round(counts.straps.value) : 0,
    })
    return done(true)
  },
)
