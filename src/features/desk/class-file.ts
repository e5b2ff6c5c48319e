import 'server-only'
import { newThing, strengthFirst } from '@/core/approaches/effects'
import type { Brief } from '@/core/classes/brief'
import type { Lock } from '@/core/classes/lock'
import type { Plan } from '@/core/classes/plan'
import { foldRun } from '@/core/classes/run'
import { hopedPlan } from '@/core/planning/hope'
import { asItHolds } from '@/core/planning/now'
import type { Family } from '@/core/practice/schema'
import { listAssistants } from '@/db/assistants'
import { eventsOf, locksOf, type ClassRecord } from '@/db/classes'
import { planOf } from '@/db/plans'
import { studentsByIds } from '@/db/students'
import type { Context } from '../context'
import { beforeClass } from './class-before'
import { judgeOfClass } from './class-judge'
import { personFor } from './class-person'
import { cupboardFor, roomFor } from './class-room'

type Planned = Pick<ClassRecord, 'id' | 'day' | 'minutes' | 'bays' | 'roster' | 'aim' | 'fixed'>

/** The family that a class is about first. */
export function familyOf({ aim }: Pick<ClassRecord, 'aim'>): Family {
  return aim.families[0] ?? 'FS'
}

/**
 * Everything a plan for a class is made from and judged by: who is on the list, how far each goes in every family, what
 * limits them on the day of the class and that day's check-ins, the room, the cupboard, who may help.
 */
export function briefFor(ctx: Context, record: Planned, locks: readonly Lock[]): Brief {
  const { scope, practice } = ctx
  const ways = judgeOfClass(ctx, record).approaches(null)
  const before = beforeClass(ctx, record.day)
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

/** A class's plan as it is shown, and the brief that judges it. */
export type ClassFile = {
  readonly plan: Plan
  /** Null for a past plan that was made before briefs were kept: it is shown and not judged. */
  readonly brief: Brief | null
  /** Over, or on an earlier day: it stays as it was, judged by what was known then. */
  readonly past: boolean
  /** The same if nothing applies to whoever has not answered yet; null where that asks nothing of anybody. */
  readonly hoped: Plan | null
}

/** The class file: of what is over, as it was; of what is to come, as it holds today. Null without a plan. */
export function classFile(ctx: Context, record: Planned): ClassFile | null {
  const stored = planOf(ctx.scope, ctx.health.key, record.id)
  if (!stored) return null
  const past = record.day < ctx.clock.today || foldRun(eventsOf(ctx.scope, record.id)).state === 'ended'
  if (past) return { ...stored, past, hoped: null }
  const brief = briefFor(ctx, record, locksOf(ctx.scope, record.id))
  return {
    ...{ brief, past },
    plan: asItHolds(ctx.practice, stored.plan, brief),
    hoped: hopedPlan(ctx.practice, stored.plan, brief),
  }
}
