import 'server-only'
import type { Brief } from '@/core/classes/brief'
import type { Lock } from '@/core/classes/lock'
import type { Plan } from '@/core/classes/plan'
import { foldRun } from '@/core/classes/run'
import { hopedPlan } from '@/core/planning/hope'
import { asItHolds } from '@/core/planning/now'
import type { Family } from '@/core/practice/schema'
import { eventsOf, locksOf, type ClassRecord } from '@/db/classes'
import { planOf } from '@/db/plans'
import type { Context } from '../context'
import { beforeClass } from './class-before'
import { briefWith, toldPlan, type Planned } from './class-brief'

/** The family that a class is about first. */
export function familyOf({ aim }: Pick<ClassRecord, 'aim'>): Family {
  return aim.families[0] ?? 'FS'
}

/** What a plan for a class is made from and judged by, with what its people's last classes leave them. */
export function briefFor(ctx: Context, record: Planned, locks: readonly Lock[]): Brief {
  return briefWith(ctx, record, locks, beforeClass(ctx, record.day))
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
  const past = record.day < ctx.clock.today || foldRun(eventsOf(ctx.scope, record.id)).state === 'ended'
  if (past) {
    const told = toldPlan(ctx, record)
    return told && { ...told, past, hoped: null }
  }
  const stored = planOf(ctx.scope, ctx.health.key, record.id)
  if (!stored) return null
  const brief = briefFor(ctx, record, locksOf(ctx.scope, record.id))
  return {
    ...{ brief, past },
    plan: asItHolds(ctx.practice, stored.plan, brief),
    hoped: hopedPlan(ctx.practice, stored.plan, brief),
  }
}
