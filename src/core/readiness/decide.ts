import type { Day } from '../day'
import { findById, type Library } from '../practice/library'
import type { Family, Stage } from '../practice/schema'
import { asStrictAs, judgeLoad, withoutRule, type Caps, type Limit, type Verdict } from '../screening/caps'
import { insteadOf, type Instead } from '../screening/instead'
import { foldEvidence, type Evidence } from './evidence'
import { evaluateGate, type GateResult } from './gate'
import { afterSatisfied, predecessorOf, successorsOf, withPredecessors } from './ladder'
import { standingOf, type Standing } from './standing'
import { stepBackReason, type StepBackReason } from './step-back'

export type Outcome = 'not-now' | 'step-back' | 'offer' | 'once-more' | 'near' | 'build' | 'held'

export type Reason =
  | StepBackReason
  | { readonly code: 'standing'; readonly standing: Standing }
  | { readonly code: 'no-standing' }
  | { readonly code: 'gate'; readonly result: GateResult }
  | { readonly code: 'no-gates' }
  /** Full inversions and falls wait for the health screen, whatever the arms can do. */
  | { readonly code: 'screening-not-recorded'; readonly tags: readonly string[] }
  /** Limits that act on the stage: they bar it, leave it out, change it or ask to be watched. */
  | {
      readonly code: 'limited'
      readonly verdict: Verdict
      readonly because: readonly Limit[]
      readonly instead: Instead | null
    }
  | { readonly code: 'placed-not-proven'; readonly stageId: string }
  | { readonly code: 'top-of-ladder' }

export type Decision = {
  readonly studentId: string
  readonly family: Family
  readonly asOf: Day
  readonly outcome: Outcome
  readonly standing: Standing | null
  /** The stage the outcome speaks of: the next one, or the one to step back to. Null at the top. */
  readonly targetId: string | null
  readonly reasons: readonly Reason[]
  /** Gates that still stand between here and the target. */
  readonly missing: readonly GateResult[]
  /** The one gate that alone would change the answer, where there is one. */
  readonly wouldChange: GateResult | null
}

const BEST_FIRST: readonly Outcome[] = ['offer', 'once-more', 'near', 'build', 'not-now']

/**
 * Where somebody stands in a family and what comes next, as of a day, with the evidence it came from.
 * The same facts in any order of arrival give the same decision.
 * @param hidden stages that the approach in force takes off the ladder; a standing reached there stays
 */
export function decide(
  practice: Library,
  family: Family,
  studentId: string,
  allEvidence: Evidence,
  limits: Caps,
  asOf: Day,
  hidden: ReadonlySet<string> = new Set(),
): Decision {
  const evidence = foldEvidence(allEvidence, asOf)
  const stages = practice.stages.filter((stage) => stage.family === family)
  const standing = standingOf(stages, evidence, asOf)
  const base = { studentId, family, asOf, standing }
  const standingReason: Reason = standing ? { code: 'standing', standing } : { code: 'no-standing' }

  const back = standing ? stepBackReason(standing, evidence, practice.faults, asOf) : null
  if (standing && back) {
    const targetId = stepsBelow(stages, standing.stageId, back.code === 'layoff' ? back.rungs : 1)
    return {
      ...base,
      outcome: 'step-back',
      targetId,
      reasons: [back, standingReason],
      missing: [],
      wouldChange: null,
    }
  }

  const judged = candidates(stages, standing, hidden).map((stage) =>
    judge(practice, stage, standing, evidence, limits, asOf),
  )
  const best = BEST_FIRST.flatMap((outcome) => judged.filter((j) => j.outcome === outcome)).at(0)
  if (!best)
    return {
      ...base,
      outcome: 'held',
      targetId: null,
      reasons: [standingReason, { code: 'top-of-ladder' }],
      missing: [],
      wouldChange: null,
    }
  return { ...base, ...best, reasons: [standingReason, ...best.reasons] }
}

/**
 * Successors of the standing; without a standing, the foot of the ladder. Off a side branch that leads nowhere
 * further, every open stage that does lead on; at the last stage, nothing.
 */
function candidates(
  stages: readonly Stage[],
  standing: Standing | null,
  hidden: ReadonlySet<string>,
): Stage[] {
  const shown = stages.filter((stage) => !hidden.has(stage.id))
  if (!standing) return shown.filter((stage) => stage.after.all.length + stage.after.any.length === 0)
  if (stages.at(-1)?.id === standing.stageId) return []
  const credited = withPredecessors(stages, standing.stageId)
  const open = shown.filter((stage) => !credited.has(stage.id) && afterSatisfied(stage, credited))
  const next = successorsOf(stages, standing.stageId).filter((stage) => open.includes(stage))
  return next.length > 0 ? next : open.filter((stage) => successorsOf(stages, stage.id).length > 0)
}

type Judgement = Pick<Decision, 'outcome' | 'targetId' | 'reasons' | 'missing' | 'wouldChange'>

function judge(
  practice: Library,
  stage: Stage,
  standing: Standing | null,
  evidence: Evidence,
  limits: Caps,
  asOf: Day,
): Judgement {
  const gates = stage.gates.filter((gate) => gate.life === 'standing')
  const results = gates.map((gate) =>
    evaluateGate(gate, findById(practice.checks, gate.check), stage, evidence.observations, asOf),
  )
  const missing = results.filter((result) => result.state !== 'met')
  const reasons: Reason[] = results.map((result) => ({ code: 'gate', result }))
  if (gates.length === 0) reasons.push({ code: 'no-gates' })

  const open = outcomeOf(results)
  const limited = limitReason(practice, stage, limits)
  const closed = limited !== null && asStrictAs(limited.verdict, 'left-out')
  const holds = holdingBack(stage, standing, limits)
  const outcome = closed ? 'not-now' : open === 'offer' && holds.length > 0 ? 'once-more' : open
  return {
    outcome,
    targetId: stage.id,
    // What stands in the way comes first: no gate answers for it.
    reasons: [...(limited ? [limited] : []), ...reasons, ...holds],
    missing: closed ? [] : missing,
    wouldChange: !closed && missing.length === 1 && holds.length === 0 ? (missing[0] ?? null) : null,
  }
}

function outcomeOf(results: readonly GateResult[]): Outcome {
  const states = results.map((result) => result.state)
  if (states.every((s) => s === 'met')) return 'offer'
  if (states.every((s) => s === 'met' || s === 'confirm')) return 'once-more'
  if (states.every((s) => s === 'met' || s === 'confirm' || s === 'near')) return 'near'
  return 'build'
}

function limitReason(
  practice: Library,
  stage: Stage,
  limits: Caps,
): Extract<Reason, { code: 'limited' }> | null {
  const { verdict, because } = judgeLoad(stage.load, limits)
  if (verdict === 'open') return null
  const instead = asStrictAs(verdict, 'left-out') ? insteadOf(practice, stage, limits) : null
  return { code: 'limited', verdict, because: because.map(withoutRule), instead }
}

/** Full inversions and anything that leaves the floor wait for a recorded health screen. */
export function waitsForScreening({ HBH = 0, FR = 0 }: Stage['load']): boolean {
  return HBH >= 3 || FR >= 2
}

/** What keeps a stage from being offered although every gate is met. */
function holdingBack(stage: Stage, standing: Standing | null, limits: Caps): Reason[] {
  const holds: Reason[] = []
  const { HBH = 0, FR = 0, HB = 0 } = stage.load
  if (!limits.answered && waitsForScreening(stage.load)) {
    const tags = [...(HBH >= 3 ? [`HBH${HBH}`] : []), ...(FR >= 2 ? [`FR${FR}`] : [])]
    holds.push({ code: 'screening-not-recorded', tags })
  }
  if (standing?.by === 'placement' && (FR >= 3 || HB >= 3))
    holds.push({ code: 'placed-not-proven', stageId: standing.stageId })
  return holds
}

function stepsBelow(stages: readonly Stage[], stageId: string, rungs: number): string {
  let at = stageId
  for (let i = 0; i < rungs; i += 1) at = predecessorOf(stages, at)?.id ?? at
  return at
}
