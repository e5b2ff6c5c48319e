import 'server-only'
import { newThing, strengthFirst } from '@/core/approaches/effects'
import type { Brief } from '@/core/classes/brief'
import type { Lock } from '@/core/classes/lock'
import { NO_CLASS_BEFORE } from '@/core/classes/reach'
import { asTold } from '@/core/planning/hope'
import { listAssistants } from '@/db/assistants'
import { locksOf, type ClassRecord } from '@/db/classes'
import { planOf, type PlanRecord } from '@/db/plans'
import { studentsByIds } from '@/db/students'
import type { Context } from '../context'
import { judgeOfClass } from './class-judge'
import { personFor } from './class-person'
import { cupboardFor, roomFor } from './class-room'

export type Planned = Pick<ClassRecord, 'id' | 'day' | 'minutes' | 'bays' | 'roster' | 'aim' | 'fixed'>

/**
 * Everything a plan for a class is made from and judged by: who is on the list, how far each goes in every family, what
 * limits them on the day of the class and that day's check-ins, the room, the cupboard, who may help.
 * @param before what everybody's last classes leave for this one
 */
export function briefWith(
  ctx: Context,
  record: Planned,
  locks: readonly Lock[],
  before: (studentId: string) => typeof NO_CLASS_BEFORE,
): Brief {
  const { scope, practice } = ctx
  const ways = judgeOfClass(ctx, record).approaches(null)
  return {
    version: 2,
    day: record.day,
    minutes: record.minutes,
    aim: record.aim,
    fixed: record.fixed,
    strengthFirst: strengthFirst(ways),
    newThing: newThing(practice, ways),
    room: roomFor(ctx, record.bays),
    cupboard: cupboardFor(ctx),
    locks,
    helpers: listAssistants(scope)
      .filter(({ restsUntil }) => restsUntil === null || restsUntil < record.day)
      .map(({ id, trained }) => ({ id, trained })),
    people: studentsByIds(scope, record.roster).map(({ id }) => ({
      ...personFor(ctx, record, id),
      ...before(id),
    })),
  }
}

/** The plan of a class that is over, as people were told it, with what it was made from; null without one. */
export function toldPlan(ctx: Context, record: Planned): PlanRecord | null {
  const stored = planOf(ctx.scope, ctx.health.key, record.id)
  if (!stored || stored.brief?.people.every((p) => p.hope === null)) return stored
  const onTheDay = briefWith(ctx, record, locksOf(ctx.scope, record.id), () => NO_CLASS_BEFORE)
  return asTold(ctx.practice, stored, onTheDay)
}
