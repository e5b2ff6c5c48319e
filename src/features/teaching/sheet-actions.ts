'use server'

import { z } from 'zod'
import { doingsOf } from '@/core/classes/plan'
import { newAttempt } from '@/core/facts/attempt'
import { stampFields } from '@/core/facts/stamp'
import { leavesFloor } from '@/core/readiness/gate'
import { SEEN, tapOf } from '@/core/teaching/outcome'
import { eventsOf, findClass } from '@/db/classes'
import { action } from '../action'
import { done, problem } from '../answer'
import { classFile } from '../desk/class-file'
import { keepFact } from '../facts/keep'
import { idField } from '../fields'

const tryField = z.object({
  ...stampFields,
  studentId: idField,
  stageId: z.string().max(60),
  seen: z.enum(SEEN),
  /** What stood beside it on the paper; null where nothing did. */
  seconds: z.number().int().min(1, 'Seconds begin at one.').max(600, 'Ten minutes at most.').nullable(),
  lead: z.enum(['left', 'right']).nullable(),
})
/** Nobody tries more often in one class, and no class is larger. */
const MOST = 600

/**
 * A class that was taught from paper, copied in: every try under the day of the class, all of it or nothing. A class that
 * nobody ran on a screen is begun and ended by it, so that what it changed can be seen.
 */
export const enterSheet = action(
  z.object({
    classId: idField,
    tries: z.array(tryField).min(1, 'Nothing is entered yet.').max(MOST),
    ran: z.object({ from: z.object(stampFields), to: z.object(stampFields) }),
  }),
  (ctx, { classId, tries, ran }) => {
    const record = findClass(ctx.scope, classId)
    if (!record) return problem('That class is not here any more.')
    if (record.day > ctx.clock.today) return problem('This class is still to come.')
    const day = record.day
    const event = { kind: 'class-event' as const, classId, day, atMs: ctx.clock.nowMs, blockIndex: 0 }
    const doings = classFile(ctx, record)?.plan.blocks.flatMap(doingsOf) ?? []
    const helped = new Set(
      doings.filter((d) => d.helper !== null).map((d) => `${d.studentId} ${d.variantId ?? ''}`),
    )
    const unrun = eventsOf(ctx.scope, classId).length === 0
    if (unrun) {
      const begun = keepFact(ctx, { ...ran.from, ...event, event: 'started' })
      if (!begun.ok) return begun
    }
    for (const { seen, studentId, stageId, seconds, lead, ...stamp } of tries) {
      const stage = ctx.practice.stages.find((s) => s.id === stageId)
      if (!stage || !record.roster.includes(studentId))
        return problem('Somebody or something on the sheet is not in that class any more.')
      const kept = keepFact(ctx, {
        ...newAttempt(
          studentId,
          { id: stageId, leavesFloor: leavesFloor(stage) },
          tapOf(seen, []),
          {
            ...{ lead, seconds },
            // How far a kick went is told by its seconds alone. The sheet's word is *clean, alone*; a helper who was
            // planned beside it makes nobody's word of it, nor says that hands helped.
            ...(seconds === null ? {} : { level: 'held' as const }),
            ...(seen === 'clean' && !helped.has(`${studentId} ${stageId}`) ? { help: 'alone' as const } : {}),
          },
          classId,
        ),
        ...{ ...stamp, day },
      })
      if (!kept.ok) return kept
    }
    if (unrun) {
      const over = keepFact(ctx, { ...ran.to, ...event, event: 'ended' })
      if (!over.ok) return over
    }
    return done({ stored: tries.length })
  },
  { by: 'floor' },
)
