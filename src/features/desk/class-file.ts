import 'server-only'
import { attemptsAllowed, newThing, strengthFirst } from '@/core/approaches/effects'
import { attemptCap, firstMonthCap } from '@/core/approaches/floor'
import { derivedLengths } from '@/core/body/derived'
import type { Brief, BriefPerson } from '@/core/classes/brief'
import type { Lock } from '@/core/classes/lock'
import type { Plan } from '@/core/classes/plan'
import { briefPerson } from '@/core/classes/reach'
import { foldRun } from '@/core/classes/run'
import { asItHolds } from '@/core/planning/now'
import { planNear } from '@/core/planning/near'
import { planClass, type PlanRefusal } from '@/core/planning/plan-class'
import type { Library } from '@/core/practice/library'
import { FAMILIES, type Family } from '@/core/practice/schema'
import type { Decision } from '@/core/readiness/decide'
import { foldEvidence } from '@/core/readiness/evidence'
import { grownHolds } from '@/core/readiness/grown'
import { sideGaps } from '@/core/readiness/sides'
import { weakerInDrills } from '@/core/readiness/weaker'
import type { Result } from '@/core/result'
import { readApproaches } from '@/db/approaches'
import { listAssistants } from '@/db/assistants'
import { eventsOf, locksOf, type ClassRecord } from '@/db/classes'
import { firstFactDays } from '@/db/evidence'
import { planOf } from '@/db/plans'
import { studentsByIds, type StudentRecord } from '@/db/students'
import { bodyOfStudent } from '../body'
import type { Context } from '../context'
import { beforeClass } from './class-before'
import { cupboardFor, roomFor } from './class-room'
import { judgeOf, type Judge } from './judge'
import { decisionIn, standings } from './standing'

type Planned = Pick<ClassRecord, 'id' | 'day' | 'minutes' | 'bays' | 'roster' | 'aim' | 'fixed'>

/** The family that a class is about first. */
export function familyOf({ aim }: Pick<ClassRecord, 'aim'>): Family {
  return aim.families[0] ?? 'FS'
}

/** A judge for a class: its day, its ways of working. */
export function judgeOfClass(ctx: Context, { id, day }: Pick<ClassRecord, 'id' | 'day'>): Judge {
  return judgeOf(ctx, { id, day })
}

/** Today's decisions of everybody on a list: those that are kept, unless the class has ways of its own. */
export function decisionsFor(
  ctx: Context,
  record: Pick<ClassRecord, 'id' | 'day' | 'roster'>,
  judge: Judge,
): (studentId: string, family: Family) => Decision {
  const ownWays = Object.keys(readApproaches(ctx.scope).of('class', record.id)).length > 0
  if (ownWays) return (id, family) => judge.decide(id, family, { asOf: ctx.clock.today })
  const kept = standings(ctx, record.roster)
  return (id, family) => {
    const now = kept.get(id)
    return now ? decisionIn(now, family) : judge.decide(id, family, { asOf: ctx.clock.today })
  }
}

/**
 * Everything a plan for a class is made from and judged by: who is on the list, how far each goes in every family, what
 * limits them on the day of the class and that day's check-ins, the room, the cupboard, who may help.
 */
export function briefFor(ctx: Context, record: Planned, locks: readonly Lock[]): Brief {
  const { scope, practice, studio, clock } = ctx
  const judge = judgeOfClass(ctx, record)
  const decisionOf = decisionsFor(ctx, record, judge)
  const begun = firstFactDays(scope, record.roster)
  const before = beforeClass(ctx, record.day)
  return {
    version: 2,
    day: record.day,
    minutes: record.minutes,
    aim: record.aim,
    fixed: record.fixed,
    strengthFirst: strengthFirst(judge.approaches(null)),
    newThing: newThing(practice, judge.approaches(null)),
    room: roomFor(ctx, record.bays),
    cupboard: cupboardFor(ctx),
    locks,
    helpers: listAssistants(scope)
      .filter(({ restsUntil }) => restsUntil === null || restsUntil < record.day)
      .map(({ id, trained }) => ({ id, trained })),
    people: studentsByIds(scope, record.roster).map((student) => {
      const { id, breathS, statureCm, createdDay } = student
      const body = bodyOfStudent(student)
      const decisions = FAMILIES.map((family) => decisionOf(id, family))
      const firstMonth = firstMonthCap([createdDay, ...(begun.get(id) ?? [])], clock.today)
      return briefPerson(practice, {
        ...before(id),
        studentId: id,
        breathS,
        heightCm: statureCm,
        grown: grownOf(ctx, judge, { student, firstMonth: firstMonth !== null }, decisions),
        weaker: weakerOf(ctx, judge, id),
        loopCm: body && derivedLengths(body).strapNeeded,
        firstMonth: firstMonth !== null,
        mostAttempts: attemptCap(studio.floor, firstMonth, attemptsAllowed(practice, judge.approaches(id))),
        touch: judge.touch(id),
        // That day's check-in lowers what is planned and leaves the standing as it is.
        limits: judge.tonight(id),
        decisions,
        looked: (stageId) => judge.looked(id, stageId),
      })
    }),
  }
}

/** The side of theirs that is behind, in the drills that even it out. */
function weakerOf({ practice }: Context, judge: Judge, studentId: string): BriefPerson['weaker'] {
  const { observations } = foldEvidence(judge.evidence(studentId), judge.day)
  return weakerInDrills(practice, sideGaps(practice, observations, judge.day))
}

/** What somebody's own results let grow; whoever stands in no family in which something grows is not read for it. */
function grownOf(
  { practice }: Context,
  judge: Judge,
  { student, firstMonth }: { readonly student: StudentRecord; readonly firstMonth: boolean },
  decisions: readonly Decision[],
): Record<string, number> {
  const grows = (family: Family): boolean => practice.stages.some((s) => s.family === family && s.dose.growth)
  if (!decisions.some((d) => d.standing !== null && grows(d.family))) return {}
  const { attempts } = foldEvidence(judge.evidence(student.id), judge.day)
  return grownHolds(practice, attempts, { today: judge.day, breathS: student.breathS, firstMonth })
}

/** A plan for a class with the brief it was made from: a fresh one, or near to the one before. */
export function makePlan(
  ctx: Context,
  record: Planned,
  locks: readonly Lock[],
  before: Plan | null = null,
): Result<{ plan: Plan; brief: Brief }, PlanRefusal> {
  const brief = briefFor(ctx, record, locks)
  if (before !== null) {
    const near = planNear(ctx.practice, brief, before)
    return near.ok ? { ok: true, value: { plan: near.value.plan, brief } } : near
  }
  const made = plannedOnce(ctx, record.id, brief)
  return made.ok ? { ok: true, value: { plan: made.value, brief } } : made
}

/** Classes whose plan is remembered: those of today and the next few. */
const REMEMBERED = 12

/** What follows from a class's brief alone, worked out once: a page that is opened again does not wait for it again. */
export function oncePerBrief<T>(make: (practice: Library, brief: Brief) => T) {
  const known = new Map<string, { readonly of: string; readonly made: T }>()
  return ({ practice }: Context, id: string, brief: Brief): T => {
    const of = JSON.stringify(brief)
    const found = known.get(id)
    if (found?.of === of) return found.made
    if (known.size >= REMEMBERED) known.clear()
    const made = make(practice, brief)
    known.set(id, { of, made })
    return made
  }
}

const plannedOnce = oncePerBrief((practice, brief): Result<Plan, PlanRefusal> => {
  const made = planClass(practice, brief)
  return made.ok ? { ok: true, value: made.value.plan } : made
})

/** A class's plan as it is shown, and the brief that judges it. */
export type ClassFile = {
  readonly plan: Plan
  /** Null for a past plan that was made before briefs were kept: it is shown and not judged. */
  readonly brief: Brief | null
  /** Over, or on an earlier day: it stays as it was, judged by what was known then. */
  readonly past: boolean
}

/** The class file: of what is over, as it was; of what is to come, as it holds today. Null without a plan. */
export function classFile(ctx: Context, record: Planned): ClassFile | null {
  const stored = planOf(ctx.scope, ctx.health.key, record.id)
  if (!stored) return null
  const past = record.day < ctx.clock.today || foldRun(eventsOf(ctx.scope, record.id)).state === 'ended'
  if (past) return { ...stored, past }
  const brief = briefFor(ctx, record, locksOf(ctx.scope, record.id))
  return { plan: asItHolds(ctx.practice, stored.plan, brief), brief, past }
}
