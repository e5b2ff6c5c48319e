import 'server-only'
import { keepsProps } from '@/core/approaches/effects'
import type { Day } from '@/core/day'
import type { Decision } from '@/core/readiness/decide'
import type { Evidence } from '@/core/readiness/evidence'
import { findById } from '@/core/practice/find'
import { closesStage } from '@/core/screening/stage-limits'
import { proposeFades, type FadeProposal } from '@/core/readiness/fade'
import type { Context } from '../context'
import type { Judge } from './judge'

/**
 * Which props may come off, or should come back, for somebody: by their own ways, nothing where they step back and
 * nothing of a step that is closed to them now.
 */
export function fadesFor(
  { practice }: Pick<Context, 'practice'>,
  judge: Judge,
  decision: Decision,
  mine: Evidence,
  asOf: Day,
): FadeProposal[] {
  const limits = judge.tonight(decision.studentId)
  return proposeFades(practice, mine, asOf, {
    keep: keepsProps(practice, judge.approaches(decision.studentId)),
    backFrom: decision.outcome === 'step-back' ? (decision.standing?.stageId ?? null) : null,
  }).filter((fade) => !closesStage(practice, limits, findById(practice.stages, fade.stageId)))
}
