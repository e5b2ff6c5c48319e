import 'server-only'
import { formatDay } from '@/core/day'
import { findById, library } from '@/core/practice/library'
import type { Family, ReadinessCheck, Stage } from '@/core/practice/schema'
import type { Decision } from '@/core/readiness/decide'
import { foldEvidence, type Attempt, type Evidence, type Observation } from '@/core/readiness/evidence'
import { likelyFaults } from '@/core/readiness/likely-faults'
import { ladderOf } from '@/core/readiness/ladder'
import { leavesFloor } from '@/core/readiness/gate'
import { mayAnswer, needsLook } from '@/core/readiness/offers'
import { turningPoints, type Turning } from '@/core/readiness/replay'
import { tonightsCeiling } from '@/core/readiness/tonight'
import { describeTry } from '@/core/words/attempt'
import { FAMILY_NAMES } from '@/core/words/family'
import { describeCeiling } from '@/core/words/next-steps'
import { describeAnswer } from '@/core/words/offer'
import type { Wording } from '@/core/words/number'
import { describeCounted, faultName, shown, stageName } from '@/core/words/reason'
import { findStudent } from '@/db/students'
import type { Spans } from '@/core/body/spans'
import { spansOfStudent } from '../body'
import { context } from '../context'
import { judgeFor, type Judge } from '../judge'
import { markOf, viewDecision, type DecisionView } from './decision-view'
import { BOARD } from './families'
import { nextSteps, type NextSteps } from './next-steps-queries'

export type HistoryEntry = {
  id: string
  day: string
  dayLabel: string
  checkId: string
  check: string
  result: string
  counted: string
  /** Who put it down; empty where nobody said. */
  observer: string
  faults: string[]
  note: string
  corrects: boolean
}

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
export type TurningView = { day: string; dayLabel: string; outcome: Decision['outcome']; text: string }

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
  families: { id: Family; name: string; outcome: Decision['outcome'] }[]
  decision: DecisionView
  /** How far tonight goes; empty where nobody checked in, or others can see the screen. */
  tonight: string
  answer: AnswerView | null
  next: NextSteps
  turnings: TurningView[]
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
  faults: { id: string; name: string }[]
  history: HistoryEntry[]
  holds: { day: string; label: string; seconds: number; valid: boolean }[]
}

/** Everything the page of one person shows. */
export function personReadiness(id: string, hidden = false, family: Family = 'FS'): PersonReadiness | null {
  const ctx = context()
  const { db, today, studio } = ctx
  const student = findStudent(db, id)
  if (!student) return null
  const practice = library()
  const judge = judgeFor(ctx)
  const evidence = judge.evidence(id)
  const folded = foldEvidence(evidence, today)
  const { observations: current, attempts } = folded
  const ladder = ladderOf(practice, family).stages
  const inLadder = new Set(ladder.map((s) => s.id))
  const decision = judge.decide(id, { family })
  const replaced = new Set(
    evidence.observations.map((o) => o.id).filter((o) => !current.some((c) => c.id === o)),
  )
  return {
    id,
    name: student.name,
    breathS: student.breathS,
    spans: spansOfStudent(student),
    family,
    families: BOARD.map((f) => ({
      id: f,
      name: FAMILY_NAMES[f],
      outcome: markOf(judge.decide(id, { family: f })),
    })),
    decision: viewDecision(decision, studio, hidden),
    tonight: hidden ? '' : tonightLine(judge, decision),
    answer: answerView(judge, decision, studio.timeZone),
    next: nextSteps(judge, decision, today, studio, hidden),
    turnings: turningPoints(evidence, today, (asOf) => judge.decide(id, { family, asOf })).map((t) =>
      turningView(t, studio, hidden),
    ),
    tries: attempts
      .filter((a) => inLadder.has(a.stageId))
      .reverse()
      .map(tryEntry),
    tryStages: ladder.map((stage) => tryStage(stage, folded, today)),
    allFaults: practice.faults.map((f) => ({ value: f.id, label: f.name })),
    tryAt: decision.targetId ?? decision.standing?.stageId ?? ladder[0]?.id ?? '',
    placed: decision.standing?.by === 'placement',
    checks: checksForFamily(family),
    stages: ladder.map((s) => ({ id: s.id, label: `${s.id} · ${s.name}` })),
    faults: ['FT-head-drop', 'FT-elbow-splay', 'FT-shoulder-sink', 'FT-breath-hold'].map((f) => ({
      id: f,
      name: faultName(practice, f),
    })),
    history: [...current].reverse().map((o) => historyEntry(o, replaced, studio)),
    holds: current
      .filter((o) => o.checkId === 'CK-dolphin-hold' && o.values.single !== undefined)
      .map((o) => ({ day: o.day, label: formatDay(o.day), seconds: o.values.single ?? 0, valid: o.valid })),
  }
}

/** Checks that some stage of a family asks for, in the order the ladder first asks. */
function checksForFamily(family: Family): ReadinessCheck[] {
  const practice = library()
  const asked = ladderOf(practice, family).stages.flatMap((s) => s.gates.map((gate) => gate.check))
  return [...new Set(asked)].map((id) => findById(practice.checks, id))
}

function historyEntry(o: Observation, replaced: ReadonlySet<string>, wording: Wording): HistoryEntry {
  const practice = library()
  const check = findById(practice.checks, o.checkId)
  const { single, left, right } = o.values
  const sides =
    left === undefined || right === undefined
      ? ''
      : `left ${shown(check, left, wording)}, right ${shown(check, right, wording)}`
  return {
    id: o.id,
    day: o.day,
    dayLabel: formatDay(o.day),
    checkId: check.id,
    check: check.name,
    result: single === undefined ? sides : shown(check, single, wording),
    counted: describeCounted(o, check),
    observer: o.observer,
    faults: o.faults.map((f) => faultName(practice, f)),
    note: o.note,
    corrects: o.replaces !== null && replaced.has(o.replaces),
  }
}

/** Tonight's ceiling, where somebody checked in. */
function tonightLine(judge: Judge, decision: Decision): string {
  const { studentId, outcome, targetId, standing } = decision
  if (judge.checkIn(studentId) === null) return ''
  const looked = targetId === null ? null : judge.looked(studentId, targetId)
  const reach = { standingId: standing?.stageId ?? null, targetId, outcome, looked }
  const ceiling = tonightsCeiling(library(), reach, judge.limits(studentId), judge.tonight(studentId))
  return describeCeiling(library(), ceiling)
}

function answerView(judge: Judge, decision: Decision, timeZone: string): AnswerView | null {
  const { studentId, outcome, targetId } = decision
  if (targetId === null || outcome === 'step-back') return null
  const stage = findById(library().stages, targetId)
  const tap = judge.looked(studentId, targetId)
  return {
    stageId: targetId,
    stage: stageName(library(), targetId),
    said: tap ? describeAnswer(tap, timeZone) : '',
    needsLook: needsLook(stage),
    may: mayAnswer(decision),
  }
}

function turningView({ day, decision }: Turning, wording: Wording, hidden: boolean): TurningView {
  const { summary, target } = viewDecision(decision, wording, hidden)
  return {
    day,
    dayLabel: formatDay(day),
    outcome: markOf(decision),
    text: `${target?.name ?? 'Top of the ladder'}. ${summary}`,
  }
}

function tryEntry(a: Attempt): TryEntry {
  const practice = library()
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

function tryStage(stage: Stage, evidence: Evidence, today: string): TryStage {
  const practice = library()
  const own = stage.setups.map((s) => findById(practice.setups, s))
  const around = own.flatMap((s) => [...s.more, ...s.less]).map((s) => findById(practice.setups, s))
  const all = [...new Map([...own, ...around].map((s) => [s.id, s])).values()]
  return {
    id: stage.id,
    label: `${stage.id} · ${stage.name}`,
    leavesFloor: leavesFloor(stage),
    sided: stage.dose.perSide,
    setups: all.map(({ id, name, less }) => ({ id, name, less: [...less] })),
    faults: likelyFaults(stage.faults, evidence, today)
      .slice(0, CHIPS)
      .map((id) => ({ id, name: faultName(practice, id) })),
  }
}
