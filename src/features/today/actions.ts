'use server'

import { z } from 'zod'
import { parseQuantity } from '@/core/entry'
import { BAY_WIDTH_CM, roomFromWall } from '@/core/room/room'
import { parseLength } from '@/core/units'
import { describeQuantity } from '@/core/words/entry'
import { describeLength } from '@/core/words/length'
import { saveProp } from '@/db/inventory'
import { saveStudio } from '@/db/studio'
import { action } from '../action'
import { done, problem } from '../answer'
import { idField } from '../fields'

export const startRoom = action(
  z.object({ wall: z.string(), blocks: z.string(), straps: z.string(), ids: z.array(idField).length(2) }),
  ({ scope, studio, clock: { today } }, { wall, blocks, straps, ids }) => {
    const length = parseLength(wall, { minCm: BAY_WIDTH_CM, maxCm: 5000 }, studio.units)
    if (!length.ok) return problem(describeLength(length.refusal, studio), 'wall')
    const counts = [
      { path: 'blocks', shape: 'tall-block', count: parseQuantity(blocks || '0', { min: 0, max: 400 }) },
      { path: 'straps', shape: 'strap-medium', count: parseQuantity(straps || '0', { min: 0, max: 200 }) },
    ]
    for (const { path, count } of counts)
      if (!count.ok) return problem(describeQuantity(count.refusal, `how many ${path}`), path)
    saveStudio(scope, { room: roomFromWall(length.value) })
    counts.forEach(({ shape, count }, i) => {
      if (!count.ok) return
      const id = ids[i] ?? ''
      const line = { id, shape, localName: '', sizeCm: null, condition: 'sound' as const, checkedDay: today }
      saveProp(scope, { ...line, count: Math.round(count.value) })
    })
    return done(true)
  },
)
