import 'server-only'
import { markOf, type Mark } from '@/core/readiness/mark'
import { formatDay } from '@/core/day'
import { findById } from '@/core/practice/find'
import type { Library } from '@/core/practice/library'
import type { Family, ReadinessCheck, Stage } from '@/core/practice/schema'
import type { Decision } from '@/core/readiness/decide'
import { foldEvidence, type Attempt, type Evidence } from '@/core/readiness/evidence'
import { likelyFaults } from '@/core/readiness/likely-faults'
import { ladderOf } from '@/core/readiness/ladder'
import { leavesFloor } from '@/core/readiness/gate'
import { mayAnswer, needsLook } from '@/core/readiness/offers'
import { turningPoints, type Turning } from '@/core/readiness/replay'
import { wayOutToShow } from '@/core/readiness/way-out'
import { reachOf } from '@/core/readiness/allowed'
import { tonightsCeiling } from '@/core/readiness/tonight'
import { describeTry } from '@/core/words/attempt'
import { FAMILY_NAMES } from '@/core/words/family'
import { describeCeiling } from '@/core/words/next-steps'
import { describeAnswer } from '@/core/words/offer'
import { faultName, stageName } from '@/core/words/reason'
import { findStudent } from '@/db/students'
import type { Spans } from '@/core/body/spans'
import { spansOfStudent } from '../body'
import type { Context } from '../context'
import { remembered } from '../desk/remember'
import { viewDecision, type DecisionView } from '../desk/decision-view'
import { BOARD } from '../desk/families'
import { judgeOf, type Judge } from '../desk/judge'
import { decisionIn, standings } from '../desk/standing'
import { historyEntry, type HistoryEntry } from './history-entry'
import { nextSteps, type NextSteps } from './next-steps-queries'
import { personPath, type PathView } from './path-queries'

export type { HistoryEntry }

/** A try as it was recorded, newest first. */
export type TryEntry = {
  id: string
  dayLabel: string
  stage: string
  setup: string
  /** What came of it, with everything that was said. */
  result: string
  faults: string[]
}

/** A decision that was another one than before. */
export type TurningView = { day: string; dayLabel: string; outcome: Mark; text: string }

/** What the teacher may say of the next step. */
export type AnswerView = {
  stageId: string
  stage: string
  /** What was said last, by whom and when; empty where nothing was. */
  said: string
  /** A first solo kick, balance or head load: no plan has it before the teacher looked. */
  needsLook: boolean
  /** Whether it is offered, or could be gone up to with a reason. */
  may: ReturnType<typeof mayAnswer>
}

/** A stage as the form for a try wants it. */
export type TryStage = {
  id: string
  label: string
  leavesFloor: boolean
  sided: boolean
  setups: { id: string; name: string; less: string[] }[]
  faults: { id: string; name: string }[]
}

export type PersonReadiness = {
  id: string
  name: string
  breathS: number
  /** What one of their fists, hands and feet measures, cm. */
  spans: Spans
  family: Family
  families: { id: Family; name: string; outcome: Mark }[]
  decision: DecisionView
  /** How far tonight goes; empty where nobody checked in, or others can see the screen. */
  tonight: string
  answer: AnswerView | null
  next: NextSteps
  path: PathView
  /** Null until it is asked for. */
  turnings: TurningView[] | null
  tries: TryEntry[]
  tryStages: TryStage[]
  /** Every fault there is, for what no chip names. */
  allFaults: { value: string; label: string }[]
  /** The stage that a try is most likely at. */
  tryAt: string
  /** Whether the standing is by eye. */
  placed: boolean
  checks: ReadinessCheck[]
  stages: { id: string; label: string }[]
  exits: { id: string; name: string }[]
  /** The way out that they have to show next; empty where no step asks for one. */
  wayOut: string
  faults: { id: string; name: string }[]
  history: HistoryEntry[]
  /** How many entries and tries lie further back than what is shown. */
  earlier: number
  holds: { day: string; label: string; seconds: number; valid: boolean }[]
}

/** What the page of one person is asked to show besides the usual. */
export type PersonAsked = {
  readonly family: Family
  /** How the answer has changed over all the days: made anew from what was known on each, so only when asked for. */
  readonly withTurnings: boolean
  /** Everything that was ever recorded, not only the latest. */
  readonly withAll: boolean
  /** The step that is opened; what comes next unless it is said. */
  readonly step?: string | undefined
}

/** Entries of the history, and tries, that a page shows at most: further back is a page of its own. */
const ENTRIES_SHOWN = 30

/** Everything the page of one person shows: their own facts and health, and nobody else's. */
export function personReadiness(ctx: Context, id: string, asked: PersonAsked): PersonReadiness | null {
  return remembered(ctx, `person ${id} ${JSON.stringify(asked)}`, () => makePerson(ctx, id, asked))
}

function makePerson(
  ctx: Context,
  id: string,
  { family, withTurnings, withAll, step }: PersonAsked,
): PersonReadiness | null {
  const { scope, practice, clock, studio, privacy } = ctx
  const student = findStudent(scope, id)
  if (!student) return null
  const { today } = clock
  const shown = withAll ? Infinity : ENTRIES_SHOWN
  const judge = judgeOf(ctx)
  const kept = standings(ctx, [id]).get(id)
  const decisionOf = (f: Family): Decision => (kept ? decisionIn(kept, f) : judge.decide(id, f))
  const evidence = judge.evidence(id)
  const folded = foldEvidence(evidence, today)
  const { observations: current, attempts } = folded
  const ladder = ladderOf(practice, family).stages
  const steps = new Set(ladder.map((s) => s.id))
  // What was done at an own step is told here even when it is not used any more.
  const inLadder = new Set(practice.stages.flatMap((s) => (steps.has(s.like ?? s.id) ? [s.id] : [])))
  const decision = decisionOf(family)
  const now = new Set(current.map((o) => o.id))
  const replaced = new Set(evidence.observations.flatMap((o) => (now.has(o.id) ? [] : [o.id])))
  const tries = attempts.filter((a) => inLadder.has(a.stageId)).reverse()
  return {
    id,
    name: student.name,
    breathS: student.breathS,
    spans: spansOfStudent(student),
    family,
    families: BOARD.map((f) => ({ id: f, name: FAMILY_NAMES[f], outcome: markOf(decisionOf(f)) })),
    decision: viewDecision(ctx, decision),
    tonight: privacy.hidden ? '' : tonightLine(ctx, judge, decision),
    answer: answerView(ctx, judge, decision),
    next: nextSteps(ctx, judge, decision, student),
    path: personPath(ctx, judge, student, decision, step),
    turnings: withTurnings
      ? turningPoints(evidence, today, (asOf) => judge.decide(id, family, { asOf })).map((t) =>
          turningView(ctx, t),
        )
      : null,
    tries: tries.slice(0, shown).map((a) => tryEntry(practice, a)),
    tryStages: ladder.map((stage) => tryStage(practice, stage, folded, today)),
    allFaults: practice.faults.map((f) => ({ value: f.id, label: f.name })),
    tryAt: decision.targetId ?? decision.standing?.stageId ?? ladder[0]?.id ?? '',
    placed: decision.standing?.by === 'placement',
    checks: checksForFamily(practice, family, new Set(current.map((o) => o.checkId))),
    stages: ladder.map((s) => ({ id: s.id, label: s.name })),
    exits: exitsOf(practice, ladder),
    wayOut: wayOutToShow(practice, [decision], judge.tonight(id))?.id ?? '',
    faults: ['FT-head-drop', 'FT-elbow-splay', 'FT-shoulder-sink', 'FT-breath-hold'].map((f) => ({
      id: f,
      name: faultName(practice, f),
    })),
    history: current
      .slice(-shown)
      .reverse()
      .map((o) => historyEntry(practice, o, replaced, studio)),
    earlier: Math.max(0, current.length - shown) + Math.max(0, tries.length - shown),
    holds: current
      .filter((o) => o.checkId === 'CK-dolphin-hold' && o.values.single !== undefined)
      .slice(-shown)
      .map((o) => ({ day: o.day, label: formatDay(o.day), seconds: o.values.single ?? 0, valid: o.valid })),
  }
}

/** The ways out of a family's steps, each once. */
function exitsOf(practice: Library, stages: readonly Stage[]): { id: string; name: string }[] {
  const ids = new Set(stages.flatMap((s) => s.exits))
  return practice.exits.filter((e) => ids.has(e.id)).map(({ id, name }) => ({ id, name }))
}

/** Checks that some stage of a family asks for, in the order the ladder first asks; those read from tries only to correct. */
function checksForFamily(
  practice: Library,
  family: Family,
  typedBefore: ReadonlySet<string>,
): ReadinessCheck[] {
  const asked = ladderOf(practice, family).stages.flatMap((s) => s.gates.map((gate) => gate.check))
  return [...new Set(asked)]
    .map((id) => findById(practice.checks, id))
    .filter((check) => check.shownOn === undefined || typedBefore.has(check.id))
}

/** Tonight's ceiling, where somebody checked in. */
function tonightLine({ practice }: Context, judge: Judge, decision: Decision): string {
  const { studentId, targetId } = decision
  if (judge.checkIn(studentId) === null) return ''
  const looked = targetId === null ? null : judge.looked(studentId, targetId)
  const reach = { ...reachOf(decision), looked }
  const ceiling = tonightsCeiling(practice, reach, judge.limits(studentId), judge.tonight(studentId))
  return describeCeiling(practice, ceiling)
}

function answerView({ practice, studio }: Context, judge: Judge, decision: Decision): AnswerView | null {
  const { studentId, outcome, targetId } = decision
  if (targetId === null || outcome === 'step-back') return null
  const stage = findById(practice.stages, targetId)
  const tap = judge.looked(studentId, targetId)
  return {
    stageId: targetId,
    stage: stageName(practice, targetId),
    said: tap ? describeAnswer(tap, studio.timeZone) : '',
    needsLook: needsLook(stage),
    may: mayAnswer(decision),
  }
}

function turningView(ctx: Context, { day, decision }: Turning): TurningView {
  const { summary, target } = viewDecision(ctx, decision)
  return {
    day,
    dayLabel: formatDay(day),
    outcome: markOf(decision),
    text: `${target?.name ?? 'Top of the ladder'}. ${summary}`,
  }
}

function tryEntry(practice: Library, a: Attempt): TryEntry {
  return {
    id: a.id,
    dayLabel: formatDay(a.day),
    stage: stageName(practice, a.stageId),
    setup: a.setupId === null ? '' : findById(practice.setups, a.setupId).name,
    result: describeTry(a),
    faults: a.faults.map((f) => faultName(practice, f)),
  }
}

/** Fault chips on the form for a try. */
const CHIPS = 6

function tryStage(practice: Library, stage: Stage, evidence: Evidence, today: string): TryStage {
  const own = stage.setups.map((s) => findById(practice.setups, s))
  const around = own.flatMap((s) => [...s.more, ...s.less]).map((s) => findById(practice.setups, s))
  const all = [...new Map([...own, ...around].map((s) => [s.id, s])).values()]
  return {
    id: stage.id,
    label: stage.name,
    leavesFloor: leavesFloor(stage),
    sided: stage.dose.perSide,
    setups: all.map(({ id, name, less }) => ({ id, name, less: [...less] })),
    faults: likelyFaults(stage.faults, evidence, today)
      .slice(0, CHIPS)
      .map((id) => ({ id, name: faultName(practice, id) })),
  }
}
