import 'server-only'
import { keepsProps } from '@/core/approaches/effects'
import type { Day } from '@/core/day'
import type { Decision } from '@/core/readiness/decide'
import type { Evidence } from '@/core/readiness/evidence'
import { proposeFades, type FadeProposal } from '@/core/readiness/fade'
import type { Context } from '../context'
import type { Judge } from './judge'

/** Which props may come off, or should come back, for somebody: by their own ways, and nothing where they step back. */
export function fadesFor(
  { practice }: Pick<Context, 'practice'>,
  judge: Judge,
  decision: Decision,
  mine: Evidence,
  asOf: Day,
): FadeProposal[] {
  return proposeFades(practice, mine, asOf, {
    keep: keepsProps(practice, judge.approaches(decision.studentId)),
    backFrom: decision.outcome === 'step-back' ? (decision.standing?.stageId ?? null) : null,
  })
}
