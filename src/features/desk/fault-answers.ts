import 'server-only'
import { closedUntilLate } from '@/core/classes/change'
import type { Stage } from '@/core/practice/schema'
import { helpWith } from '@/core/readiness/fault-help'
import { groundOf } from '@/core/readiness/ground'
import { ladderOf } from '@/core/readiness/ladder'
import { withinOf } from '@/core/readiness/within'
import { describeHelp } from '@/core/words/next-steps'
import type { Context } from '../context'
import type { Judge } from './judge'

/** What to say and do about a fault seen at a stage, for this person on the judge's day. */
export function faultAnswers(
  { practice, privacy, studio }: Context,
  judge: Judge,
  studentId: string,
  stage: Stage,
): (faultId: string) => string {
  const caps = closedUntilLate(judge.tonight(studentId))
  const { credited, evidence } = groundOf(practice, judge.evidence(studentId), judge.day)
  const who = {
    ...{ evidence, caps, stageId: stage.id, asOf: judge.day },
    within: withinOf(practice, credited, caps, []),
    checkIn: privacy.hidden ? null : judge.checkIn(studentId),
    asked: ladderOf(practice, stage.family).gatesBeneath(stage.id),
  }
  return (faultId) => describeHelp(practice, helpWith(practice, faultId, who), studio)
}
