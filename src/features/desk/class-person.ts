import 'server-only'
import { attemptsAllowed } from '@/core/approaches/effects'
import { attemptCap, firstMonthCap } from '@/core/approaches/floor'
import { derivedLengths } from '@/core/body/derived'
import type { BriefPerson } from '@/core/classes/brief'
import { briefPerson } from '@/core/classes/reach'
import { FAMILIES, type Family } from '@/core/practice/schema'
import type { Decision } from '@/core/readiness/decide'
import type { Caps } from '@/core/screening/caps'
import { ifNothingApplies } from '@/core/screening/hope'
import { foldEvidence } from '@/core/readiness/evidence'
import { grownHolds } from '@/core/readiness/grown'
import { sideGaps } from '@/core/readiness/sides'
import { stepsOnto } from '@/core/readiness/step-onto'
import { weakerInDrills } from '@/core/readiness/weaker'
import type { ClassRecord } from '@/db/classes'
import { firstFactDays } from '@/db/evidence'
import { findStudent, type StudentRecord } from '@/db/students'
import { bodyOfStudent } from '../body'
import type { Context } from '../context'
import type { Before } from './class-before'
import { decisionsFor, judgeOfClass } from './class-judge'
import type { Judge } from './judge'
import { remembered } from './remember'

type For = Pick<ClassRecord, 'id' | 'day'>
type Person = Omit<BriefPerson, keyof Before>

/**
 * One person as they are known for a class, but for what its last classes leave them. Worked out from nobody else and
 * kept, so that a try of one of twelve makes one of them anew.
 */
export function personFor(ctx: Context, { id, day }: For, studentId: string): Person {
  return remembered(ctx, `${studentId} in ${id} on ${day}`, () => makePerson(ctx, { id, day }, studentId))
}

function makePerson(ctx: Context, record: For, studentId: string): Person {
  const { scope, practice, studio, clock } = ctx
  const student = findStudent(scope, studentId)
  if (!student) throw new Error('somebody on the list is not there any more')
  const { breathS, statureCm, createdDay } = student
  const judge = judgeOfClass(ctx, record)
  const decisionOf = decisionsFor(ctx, { ...record, roster: [studentId] }, judge)
  const decisions = FAMILIES.map((family) => decisionOf(studentId, family))
  const begun = firstFactDays(scope, [studentId]).get(studentId) ?? []
  const firstMonth = firstMonthCap([createdDay, ...begun], clock.today)
  const body = bodyOfStudent(student)
  return briefPerson(practice, {
    studentId,
    breathS,
    heightCm: statureCm,
    grown: grownOf(ctx, judge, { student, firstMonth: firstMonth !== null }, decisions),
    weaker: weakerOf(ctx, judge, studentId),
    loopCm: body && derivedLengths(body).strapNeeded,
    firstMonth: firstMonth !== null,
    mostAttempts: attemptCap(
      studio.floor,
      firstMonth,
      attemptsAllowed(practice, judge.approaches(studentId)),
    ),
    touch: judge.touch(studentId),
    // That day's check-in lowers what is planned and leaves the standing as it is.
    limits: judge.tonight(studentId),
    decisions,
    hope: hopeFor(ctx, judge, studentId),
    looked: (stageId) => judge.looked(studentId, stageId),
    onto: (family, open, limits) =>
      stepsOnto(practice, family, {
        evidence: judge.evidence(studentId),
        limits,
        asOf: judge.day,
        open,
        firstMonth: firstMonth !== null,
        ways: judge.ways(studentId),
      }),
  })
}

/** What would hold for whoever has not answered, if nothing applied. */
function hopeFor(
  { practice, clock }: Context,
  judge: Judge,
  studentId: string,
): { limits: Caps; decisions: Decision[] } | null {
  const limits = ifNothingApplies(practice, judge.tonight(studentId))
  const standing = ifNothingApplies(practice, judge.limits(studentId))
  if (!limits || !standing) return null
  const with_ = { asOf: clock.today, limits: standing }
  return { limits, decisions: FAMILIES.map((family) => judge.decide(studentId, family, with_)) }
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
