import 'server-only'
import { findById } from '@/core/practice/find'
import type { Decision } from '@/core/readiness/decide'
import type { Context } from '../context'
import { LIMIT_HIDDEN } from '@/core/words/limit'
import { describeGate, describeReason, stageName } from '@/core/words/reason'

export type DecisionView = {
  outcome: Decision['outcome']
  standing: string | null
  target: { id: string; name: string } | null
  /** What was left out lower down and comes before the target; empty where nothing was. */
  first: string
  reasons: string[]
  missing: string[]
  /** What is asked and met. */
  met: string[]
  /** One line for a list. */
  summary: string
}

/**
 * A decision with its sentences; the screen prints them and derives nothing.
 * On a screen that others can see, what limits say is left out.
 */
export function viewDecision(
  { practice, studio: wording, privacy }: Pick<Context, 'practice' | 'studio' | 'privacy'>,
  decision: Decision,
): DecisionView {
  const target = decision.targetId === null ? null : findById(practice.stages, decision.targetId)
  const reasons = decision.reasons.map((reason) =>
    privacy.hidden && reason.code === 'limited' ? LIMIT_HIDDEN : describeReason(reason, practice, wording),
  )
  const missing = decision.missing.map((result) => describeGate(result, practice, wording))
  return {
    outcome: decision.outcome,
    standing: decision.standing ? stageName(practice, decision.standing.stageId) : null,
    target: target ? { id: target.id, name: target.name } : null,
    first: decision.first ? stageName(practice, decision.first) : '',
    reasons,
    missing,
    met: decision.reasons.flatMap((r) =>
      r.code === 'gate' && r.result.state === 'met' ? [describeGate(r.result, practice, wording)] : [],
    ),
    summary: summaryOf(decision, reasons, missing),
  }
}

function summaryOf(
  { outcome, reasons: codes }: Decision,
  reasons: readonly string[],
  missing: readonly string[],
): string {
  if (outcome === 'offer')
    return codes.some((r) => r.code === 'no-gates')
      ? 'Nothing to prove first.'
      : 'Everything asked for has been shown.'
  if (outcome === 'step-back') return reasons[0] ?? ''
  if (outcome === 'not-now') return reasons[codes.findIndex((r) => r.code === 'limited')] ?? ''
  const first = codes.findIndex((r) => r.code === 'first')
  if (first >= 0) return reasons[first] ?? ''
  return missing[0] ?? reasons.at(-1) ?? ''
}
