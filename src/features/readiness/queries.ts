import 'server-only'
import { formatDay } from '@/core/day'
import { findById, library } from '@/core/practice/library'
import type { ReadinessCheck } from '@/core/practice/schema'
import type { Decision } from '@/core/readiness/decide'
import { foldEvidence, type Observation } from '@/core/readiness/evidence'
import { describeGate, describeReason, faultName, shown, stageName } from '@/core/words/reason'
import { findStudent, listStudents } from '@/db/students'
import { context } from '../context'
import { judgeFor } from '../judge'

export type DecisionView = {
  outcome: Decision['outcome']
  standing: string | null
  target: { id: string; name: string; setupId: string } | null
  reasons: string[]
  missing: string[]
  wouldChange: string | null
  /** One line for a list. */
  summary: string
}

/**
 * A decision with its sentences; the screen prints them and derives nothing.
 * @param hidden leaves out what limits say: a screen that others can see
 */
export function viewDecision(decision: Decision, hidden = false): DecisionView {
  const practice = library()
  const target = decision.targetId === null ? null : findById(practice.stages, decision.targetId)
  const reasons = decision.reasons.map((reason) =>
    hidden && reason.code === 'limited'
      ? 'A limit acts here; its words are hidden on this screen.'
      : describeReason(reason, practice),
  )
  const missing = decision.missing.map((result) => describeGate(result, practice))
  return {
    outcome: decision.outcome,
    standing: decision.standing ? stageName(practice, decision.standing.stageId) : null,
    target: target
      ? { id: target.id, name: `${target.name} (${target.id})`, setupId: target.setups[0] ?? '' }
      : null,
    reasons,
    missing,
    summary: summaryOf(decision, reasons, missing),
    wouldChange: decision.wouldChange ? describeGate(decision.wouldChange, practice) : null,
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
  return missing[0] ?? reasons.at(-1) ?? ''
}

export type BoardRow = { id: string; name: string; decision: DecisionView }

const ORDER: readonly Decision['outcome'][] = [
  'offer',
  'once-more',
  'near',
  'step-back',
  'not-now',
  'build',
  'held',
]

/** Everybody with their decision, nearest to the next stage first. */
export function board(hidden = false): BoardRow[] {
  const ctx = context()
  const judge = judgeFor(ctx)
  return listStudents(ctx.db)
    .map(({ id, name }) => ({
      id,
      name,
      decision: viewDecision(judge.decide(id), hidden),
    }))
    .sort((a, b) => ORDER.indexOf(a.decision.outcome) - ORDER.indexOf(b.decision.outcome))
}

export type HistoryEntry = {
  id: string
  day: string
  dayLabel: string
  checkId: string
  check: string
  result: string
  counted: string
  faults: string[]
  note: string
  corrects: boolean
}

export type PersonReadiness = {
  id: string
  name: string
  breathS: number
  decision: DecisionView
  /** Whether the standing is by eye. */
  placed: boolean
  checks: ReadinessCheck[]
  stages: { id: string; label: string }[]
  faults: { id: string; name: string }[]
  history: HistoryEntry[]
  holds: { day: string; label: string; seconds: number; valid: boolean }[]
}

/** Everything the page of one person shows. */
export function personReadiness(id: string, hidden = false): PersonReadiness | null {
  const ctx = context()
  const { db, today } = ctx
  const student = findStudent(db, id)
  if (!student) return null
  const practice = library()
  const judge = judgeFor(ctx)
  const evidence = judge.evidence(id)
  const current = foldEvidence(evidence, today).observations
  const decision = judge.decide(id)
  const replaced = new Set(
    evidence.observations.map((o) => o.id).filter((o) => !current.some((c) => c.id === o)),
  )
  return {
    id,
    name: student.name,
    breathS: student.breathS,
    decision: viewDecision(decision, hidden),
    placed: decision.standing?.by === 'placement',
    checks: checksForFamily(),
    stages: practice.stages
      .filter((s) => s.family === 'FS')
      .map((s) => ({ id: s.id, label: `${s.id} · ${s.name}` })),
    faults: ['FT-head-drop', 'FT-elbow-splay', 'FT-shoulder-sink', 'FT-breath-hold'].map((f) => ({
      id: f,
      name: faultName(practice, f),
    })),
    history: [...current].reverse().map((o) => historyEntry(o, replaced)),
    holds: current
      .filter((o) => o.checkId === 'CK-dolphin-hold' && o.values.single !== undefined)
      .map((o) => ({ day: o.day, label: formatDay(o.day), seconds: o.values.single ?? 0, valid: o.valid })),
  }
}

/** Checks that some forearm stage asks for, in the order the ladder first asks. */
function checksForFamily(): ReadinessCheck[] {
  const practice = library()
  const asked = practice.stages
    .filter((s) => s.family === 'FS')
    .flatMap((s) => s.gates.map((gate) => gate.check))
  return [...new Set(asked)].map((id) => findById(practice.checks, id))
}

function historyEntry(o: Observation, replaced: ReadonlySet<string>): HistoryEntry {
  const practice = library()
  const check = findById(practice.checks, o.checkId)
  const { single, left, right } = o.values
  const sides =
    left === undefined || right === undefined
      ? ''
      : `left ${shown(check, left)}, right ${shown(check, right)}`
  return {
    id: o.id,
    day: o.day,
    dayLabel: formatDay(o.day),
    checkId: check.id,
    check: check.name,
    result: single === undefined ? sides : shown(check, single),
    counted: countedAs(o),
    faults: o.faults.map((f) => faultName(practice, f)),
    note: o.note,
    corrects: o.replaces !== null && replaced.has(o.replaces),
  }
}

function countedAs(o: Observation): string {
  if (!o.valid) return 'did not count: shape not kept'
  if (!o.watched) return 'informs, proves nothing: nobody watched'
  return o.aided ? 'with an aid' : 'counts'
}
