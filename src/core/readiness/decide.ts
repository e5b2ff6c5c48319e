import type { Day } from '../day'
import { afterSatisfied, isFoot } from '../practice/after'
import { gatesWith, type Asked } from '../approaches/effects'
import { findById } from '../practice/find'
import { type Library } from '../practice/library'
import { WAY_OUT_CHECK } from '../practice/rule-gates'
import type { Family, Gate, Stage } from '../practice/schema'
import { withoutRule, type Caps, type Limit, type Verdict } from '../screening/caps'
import { closesStage, judgeStage } from '../screening/stage-limits'
import { insteadOf, type Instead } from '../screening/instead'
import type { Evidence } from './evidence'
import { isCleanWork } from './favourable'
import { evaluateGate, type GateResult } from './gate'
import { byPreference, candidates, type Candidate } from './candidates'
import { groundOf, type FamilyGround } from './ground'
import type { PainAfterWork, Setback } from './setback'
import type { Layoff, Standing } from './standing'
import { withoutClosedWays } from './way-out'
import { unsaidFor } from './unsaid'

export type Outcome = 'not-now' | 'step-back' | 'offer' | 'once-more' | 'near' | 'build' | 'held'

export type Reason =
  | Setback
  | PainAfterWork
  | Layoff
  | { readonly code: 'standing'; readonly standing: Standing }
  | { readonly code: 'no-standing' }
  | { readonly code: 'gate'; readonly result: GateResult }
  | { readonly code: 'no-gates' }
  /** What is asked on the night itself, before it is done. */
  | { readonly code: 'tonight'; readonly checks: readonly string[] }
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
  /** A step lower down that was left out, and that the next one rests on. */
  | { readonly code: 'first'; readonly stageId: string }
  /** Where they were placed by eye is given to them once it was done, or the teacher tapped it (ruling 26). */
  | { readonly code: 'placed-not-given'; readonly stageId: string }

export type Branch = { readonly stageId: string; readonly outcome: Outcome }

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
  /** What was left out lower down and comes before the target; null where nothing was. */
  readonly first: string | null
  /** Stages of this family behind somebody that they may be given tonight as far as readiness goes. */
  readonly held: readonly string[]
  /** Every next stage that was weighed, the chosen one among them, in the order of preference. */
  readonly branches: readonly Branch[]
}

/** What the approach in force does to a ladder. */
export type Ways = {
  /** Stages taken off the ladder; a standing reached there stays. */
  readonly hidden: ReadonlySet<string>
  /** Branches it would rather take, in order: they settle ties. */
  readonly prefers: readonly string[]
  /** Checks that it asks besides the stages' own. */
  readonly asks?: readonly Asked[]
}

const ANY_WAY: Ways = { hidden: new Set(), prefers: [] }

const BEST_FIRST: readonly Outcome[] = ['offer', 'once-more', 'near', 'build', 'not-now']

/**
 * Where somebody stands in a family and what comes next, as of a day, with the evidence it came from.
 * The same facts in any order of arrival give the same decision.
 */
export function decide(
  practice: Library,
  family: Family,
  studentId: string,
  allEvidence: Evidence,
  limits: Caps,
  asOf: Day,
  ways: Ways = ANY_WAY,
): Decision {
  const case_ = openCase(practice, family, allEvidence, limits, asOf, ways.asks)
  const { standing, back } = case_
  const base = { studentId, family, asOf, standing, first: null, held: [...case_.own] }
  const standingReason: Reason = standing ? { code: 'standing', standing } : { code: 'no-standing' }
  const given = standing === null || case_.own.has(standing.stageId)
  const notGiven: Reason[] = given ? [] : [{ code: 'placed-not-given', stageId: standing.stageId }]
  if (standing && back)
    return {
      ...base,
      outcome: 'step-back',
      targetId: back.targetId,
      reasons: [back.reason, standingReason],
      missing: stepBackChecks(case_, back),
      wouldChange: null,
      branches: [],
    }
  const judged = byPreference(case_, candidates(case_, ways.hidden), ways.prefers).map((candidate) => ({
    ...candidate,
    judgement: judgeCandidate(case_, candidate),
  }))
  // A step that waits for a gap below is no branch to take: its gap is.
  const branches = judged
    .filter(({ first }) => first.length === 0)
    .map(({ stage, judgement }) => ({ stageId: stage.id, outcome: judgement.outcome }))
  const best = bestOf(judged)
  if (best) {
    const first = best.first[0] ?? null
    const { reasons, ...judgement } = best.judgement
    const gap: Reason[] = first === null ? [] : [{ code: 'first', stageId: first }]
    return {
      ...base,
      ...judgement,
      first,
      reasons: [standingReason, ...notGiven, ...gap, ...reasons],
      branches,
    }
  }
  return {
    ...base,
    outcome: 'held',
    targetId: null,
    reasons: [standingReason, ...notGiven, { code: 'top-of-ladder' }],
    missing: [],
    wouldChange: null,
    branches,
  }
}

type Weighed = Candidate & { readonly judgement: Judgement }

/**
 * What comes next: what leads on, before another way of doing the same rung, however ready that one is; and of those, what can
 * be gone to before what waits for a gap below. Nobody is sent back by being told of a gap: what is only below is never next.
 */
function bestOf(judged: readonly Weighed[]): Weighed | undefined {
  const ready = (found: readonly Weighed[]): Weighed | undefined =>
    BEST_FIRST.flatMap((outcome) => found.filter(({ judgement }) => judgement.outcome === outcome)).at(0)
  const onward = judged.filter(({ lies }) => lies === 'onward')
  return (
    ready(onward.filter(({ first }) => first.length === 0)) ??
    ready(onward) ??
    ready(judged.filter(({ lies }) => lies === 'beside'))
  )
}

/** What waits for a gap is not offered, whatever is shown of it. */
function judgeCandidate(case_: Case, { stage, first }: Candidate): Judgement {
  const judgement = judge(case_, stage)
  return first.length > 0 && judgement.outcome !== 'not-now' ? { ...judgement, outcome: 'build' } : judgement
}

/**
 * Every stage that is open to somebody: what is behind them, and what would be offered from there on any branch. It only
 * grows with what is favourable and only shrinks with what is not: the laws of readiness are told of it.
 */
export function openStages(
  practice: Library,
  family: Family,
  evidence: Evidence,
  limits: Caps,
  asOf: Day,
): ReadonlySet<string> {
  const case_ = openCase(practice, family, evidence, limits, asOf)
  const open = new Set(
    [...case_.credited].filter((id) => !closesStage(practice, limits, findById(practice.stages, id))),
  )
  for (const stage of case_.ladder.stages) {
    if (open.has(stage.id) || !afterSatisfied(stage, case_.reached)) continue
    if ((!case_.back || isFoot(stage)) && judge(case_, stage).outcome === 'offer') open.add(stage.id)
  }
  return open
}

/** What every question about somebody in a family starts from. */
type Case = Omit<FamilyGround, 'credited' | 'reached' | 'proven'> & {
  readonly practice: Library
  readonly evidence: Evidence
  readonly limits: Caps
  readonly asOf: Day
  /** Shown or seen by eye, in any family (ruling 18). */
  readonly credited: ReadonlySet<string>
  readonly reached: ReadonlySet<string>
  readonly proven: ReadonlySet<string>
  /** Of what is credited, what this family's own work or placing did. */
  readonly own: ReadonlySet<string>
  readonly asks: readonly Asked[]
}

function openCase(
  practice: Library,
  family: Family,
  allEvidence: Evidence,
  limits: Caps,
  asOf: Day,
  asks: readonly Asked[] = [],
): Case {
  const ground = groundOf(practice, allEvidence, asOf)
  const { evidence, credited, reached, proven } = ground
  const own = ground.in(family)
  return { ...own, own: own.credited, practice, evidence, limits, asOf, credited, reached, proven, asks }
}

/** What stands between somebody and a stage by itself: its standing gates that are not met, with what keeps it back besides. */
export function shortOf(
  practice: Library,
  stage: Stage,
  evidence: Evidence,
  limits: Caps,
  asOf: Day,
  ways: Ways = ANY_WAY,
): { readonly missing: readonly GateResult[]; readonly isHeldBack: boolean } {
  const case_ = openCase(practice, stage.family, evidence, limits, asOf, ways.asks)
  const { missing } = judge(case_, stage)
  return { missing, isHeldBack: case_.back !== null || case_.setbacks.length > 0 }
}

type Judgement = Pick<Decision, 'outcome' | 'reasons' | 'missing' | 'wouldChange'> & {
  readonly targetId: string
}

function judge(case_: Case, stage: Stage): Judgement {
  const { practice, limits } = case_
  const gates = gatesWith(practice, stage, case_.asks).filter((gate) => gate.life === 'standing')
  const results = gates.map((gate) => gateResult(case_, stage, gate))
  const missing = results.filter((result) => result.state !== 'met')
  const reasons: Reason[] = results.map((result) => ({ code: 'gate', result }))
  if (gates.length === 0) reasons.push({ code: 'no-gates' })
  const asked = stage.gates.flatMap((gate) => (gate.life === 'tonight' ? [gate.check] : []))
  if (asked.length > 0) reasons.push({ code: 'tonight', checks: asked })

  const open = outcomeOf(results)
  const limited = limitReason(case_, stage)
  const closed = closesStage(practice, limits, stage)
  const holds = holdingBack(case_, stage)
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

function gateResult(case_: Case, stage: Stage, gate: Gate): GateResult {
  const { practice, evidence, asOf } = case_
  const check = findById(practice.checks, gate.check)
  const seen =
    gate.check === WAY_OUT_CHECK
      ? withoutClosedWays(case_.practice, case_.limits, evidence.observations)
      : evidence.observations
  const result = evaluateGate(gate, check, stage, seen, asOf, renewedOn(case_, gate))
  return result.state === 'met'
    ? result
    : { ...result, unsaid: unsaidFor(practice, gate, stage, evidence.attempts, asOf) }
}

/** Fresh checks to show on the way back (ruling 4): what the stage left behind asks, and is not shown now. */
function stepBackChecks(case_: Case, { from, targetId }: NonNullable<Case['back']>): GateResult[] {
  const results = [...new Set([targetId, from])].flatMap((id) => {
    const stage = findById(case_.practice.stages, id)
    return stage.gates
      .filter((gate) => gate.life === 'standing' && gate.op !== 'recorded')
      .map((gate) => gateResult(case_, stage, gate))
  })
  const byCheck = new Map(results.map((result) => [result.gate.check, result]))
  return [...byCheck.values()].filter((result) => result.state !== 'met')
}

/** The last clean work on a stage beneath which the same is asked, at least as much: it shows the value anew. */
function renewedOn({ ladder, evidence }: Case, gate: Gate): Day | null {
  const covers = (other: Gate): boolean =>
    other.check === gate.check &&
    other.op === gate.op &&
    other.side === gate.side &&
    (gate.op === '>='
      ? (other.value ?? -Infinity) >= (gate.value ?? 0)
      : gate.op === '<='
        ? (other.value ?? Infinity) <= (gate.value ?? 0)
        : true)
  return (
    evidence.attempts.findLast((a) => isCleanWork(a) && ladder.gatesBeneath(a.stageId).some(covers))?.day ??
    null
  )
}

function outcomeOf(results: readonly GateResult[]): Outcome {
  const states = results.map((result) => result.state)
  if (states.every((s) => s === 'met')) return 'offer'
  if (states.every((s) => s === 'met' || s === 'confirm')) return 'once-more'
  if (states.every((s) => s === 'met' || s === 'confirm' || s === 'near')) return 'near'
  return 'build'
}

function limitReason(
  { practice, limits, credited }: Case,
  stage: Stage,
): Extract<Reason, { code: 'limited' }> | null {
  const { verdict, because } = judgeStage(practice, stage, limits)
  if (verdict === 'open') return null
  const closed = closesStage(practice, limits, stage)
  const instead = closed ? insteadOf(practice, stage, limits, { held: credited }) : null
  return { code: 'limited', verdict, because: because.map(withoutRule), instead }
}

/** Full inversions, anything that leaves the floor, and weight on head or neck wait for a health screen (rule UN1). */
export function waitsForScreening({ HBH = 0, FR = 0, HB = 0, NF = 0 }: Stage['load']): boolean {
  return HBH >= 3 || FR >= 2 || HB >= 2 || NF >= 2
}

/** What keeps a stage from being offered although every gate is met. */
function holdingBack({ setbacks, standing, proven, limits }: Case, stage: Stage): Reason[] {
  // What is asked of nobody stays open to everybody.
  const holds: Reason[] = isFoot(stage) ? [] : setbacks.slice(0, 1)
  const { HBH = 0, FR = 0, HB = 0, NF = 0 } = stage.load
  if (!limits.answered && waitsForScreening(stage.load)) {
    const tags = [
      ...(HBH >= 3 ? [`HBH${HBH}`] : []),
      ...(FR >= 2 ? [`FR${FR}`] : []),
      ...(HB >= 2 ? [`HB${HB}`] : []),
      ...(NF >= 2 ? [`NF${NF}`] : []),
    ]
    holds.push({ code: 'screening-not-recorded', tags })
  }
  if (standing && (FR >= 3 || HB >= 3) && !afterSatisfied(stage, proven))
    holds.push({ code: 'placed-not-proven', stageId: standing.stageId })
  return holds
}
