import 'server-only'
import { daysBetween, formatDay } from '@/core/day'
import { findById, library } from '@/core/practice/library'
import type { Family, ReadinessCheck } from '@/core/practice/schema'
import type { Decision } from '@/core/readiness/decide'
import { foldEvidence, type Observation } from '@/core/readiness/evidence'
import { helpWith } from '@/core/readiness/fault-help'
import { forecastGate } from '@/core/readiness/forecast'
import { needsLook } from '@/core/readiness/offers'
import { prescribe } from '@/core/readiness/prescribe'
import { FAMILY_NAMES } from '@/core/words/family'
import { describeForecast, describeHelp, describePrescribed } from '@/core/words/next-steps'
import { describeGate, describeReason, faultName, shown, stageName } from '@/core/words/reason'
import { findStudent, listStudents } from '@/db/students'
import { context } from '../context'
import { judgeFor, type Judge } from '../judge'

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

/** The family that a link asks for, or the forearm family. */
export function familyAsked(asked: string | undefined): Family {
  return BOARD.find((f) => f === asked) ?? 'FS'
}

/** Families on the board; the advanced ones follow their parents (ruling 15). */
const BOARD: readonly Family[] = ['FS', 'HD', 'HS', 'CR', 'SH', 'PU']

export type BoardCell = { family: Family; outcome: Decision['outcome']; next: string }
export type BoardRow = { id: string; name: string; cells: BoardCell[]; summary: string }
export type Offer = {
  studentId: string
  name: string
  family: Family
  stageId: string
  stage: string
  /** What was answered, by whom and when; empty while it waits. */
  answered: string
}
export type BoardData = {
  families: { id: Family; name: string }[]
  rows: BoardRow[]
  /** First solo tries of a kick, a free balance or a head load: each waits for the teacher’s look. */
  offers: Offer[]
}

/** Nearest to the next step first. */
const NEAREST: readonly Decision['outcome'][] = [
  'offer',
  'once-more',
  'near',
  'step-back',
  'not-now',
  'build',
  'held',
]

/** Everybody in all six families, nearest to a next step first. */
export function board(hidden = false): BoardData {
  const ctx = context()
  const judge = judgeFor(ctx)
  const practice = library()
  const people = listStudents(ctx.db).map(({ id, name }) => ({
    id,
    name,
    decisions: BOARD.map((family) => judge.decide(id, { family })),
  }))
  return {
    families: BOARD.map((id) => ({ id, name: FAMILY_NAMES[id] })),
    rows: people
      .map(({ id, name, decisions }) => ({
        id,
        name,
        cells: decisions.map(({ family, outcome, targetId, ...rest }) => ({
          family,
          outcome: markOf({ outcome, ...rest }),
          next: targetId === null ? 'Top of the ladder' : stageName(practice, targetId),
        })),
        summary: summaryOfNearest(decisions, hidden),
      }))
      .sort((a, b) => nearness(a.cells) - nearness(b.cells)),
    offers: people.flatMap(({ id, name, decisions }) =>
      decisions.flatMap(({ outcome, targetId, family }) => {
        if (outcome !== 'offer' || targetId === null) return []
        if (!needsLook(findById(practice.stages, targetId))) return []
        const tap = judge.looked(id, targetId)
        const when = tap ? `${tap.by || 'Teacher'}, ${formatMoment(tap.atMs, ctx.studio.timeZone)}` : ''
        return [
          {
            studentId: id,
            name,
            family,
            stageId: targetId,
            stage: stageName(practice, targetId),
            answered: tap ? `${tap.answer === 'accept' ? 'Accepted' : 'Held back'} by ${when}` : '',
          },
        ]
      }),
    ),
  }
}

function formatMoment(atMs: number, timeZone: string): string {
  return new Intl.DateTimeFormat('en-GB', { timeZone, dateStyle: 'medium', timeStyle: 'short' }).format(atMs)
}

/** On the board a ladder on which nothing is known yet reads as building, though its foot is open to anybody. */
function markOf({
  outcome,
  standing,
  reasons,
}: Pick<Decision, 'outcome' | 'standing' | 'reasons'>): Decision['outcome'] {
  return standing === null && outcome === 'offer' && reasons.some((r) => r.code === 'no-gates')
    ? 'build'
    : outcome
}

function nearness(cells: readonly BoardCell[]): number {
  // The best mark first, then how many of them.
  const ranks = cells.map((c) => NEAREST.indexOf(c.outcome)).sort((a, b) => a - b)
  return ranks.reduce((sum, rank, i) => sum + rank / 10 ** i, 0)
}

function summaryOfNearest(decisions: readonly Decision[], hidden: boolean): string {
  const nearest = decisions.toSorted((a, b) => NEAREST.indexOf(markOf(a)) - NEAREST.indexOf(markOf(b)))[0]
  return nearest ? `${FAMILY_NAMES[nearest.family]}: ${viewDecision(nearest, hidden).summary}` : ''
}

export type NextSteps = {
  /** How the missing results have been going. */
  forecasts: string[]
  /** Drills that cover what is missing, with their dose. */
  drills: string[]
  /** What to do about faults seen lately, cause first. */
  faults: { name: string; text: string }[]
}

/** Minutes for drills before anybody says otherwise. */
const DRILL_MINUTES = 12
/** A fault seen longer ago than this is no news, days. */
const FAULT_DAYS = 28

function nextSteps(judge: Judge, decision: Decision, today: string, hidden: boolean): NextSteps {
  const practice = library()
  const evidence = foldEvidence(judge.evidence(decision.studentId), today)
  const caps = judge.tonight(decision.studentId)
  const seen = [...evidence.observations, ...evidence.attempts]
    .filter((f) => daysBetween(f.day, today) <= FAULT_DAYS)
    .flatMap((f) => f.faults)
  return {
    forecasts: decision.missing.flatMap((m) => {
      if (m.gate.op !== '>=' && m.gate.op !== '<=') return []
      const check = findById(practice.checks, m.gate.check)
      return [describeForecast(check, forecastGate(m.gate, check, evidence.observations, today))]
    }),
    drills: prescribe(practice, decision.missing, { minutes: DRILL_MINUTES, caps }).map((d) =>
      describePrescribed(practice, d),
    ),
    faults: [...new Set(seen)].slice(0, 3).map((id) => ({
      name: faultName(practice, id),
      text: describeHelp(
        practice,
        helpWith(practice, id, evidence, caps, hidden ? null : judge.checkIn(decision.studentId), today),
      ),
    })),
  }
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
  family: Family
  families: { id: Family; name: string; outcome: Decision['outcome'] }[]
  decision: DecisionView
  next: NextSteps
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
  const { db, today } = ctx
  const student = findStudent(db, id)
  if (!student) return null
  const practice = library()
  const judge = judgeFor(ctx)
  const evidence = judge.evidence(id)
  const current = foldEvidence(evidence, today).observations
  const decision = judge.decide(id, { family })
  const replaced = new Set(
    evidence.observations.map((o) => o.id).filter((o) => !current.some((c) => c.id === o)),
  )
  return {
    id,
    name: student.name,
    breathS: student.breathS,
    family,
    families: BOARD.map((f) => ({
      id: f,
      name: FAMILY_NAMES[f],
      outcome: markOf(judge.decide(id, { family: f })),
    })),
    decision: viewDecision(decision, hidden),
    next: nextSteps(judge, decision, today, hidden),
    placed: decision.standing?.by === 'placement',
    checks: checksForFamily(family),
    stages: practice.stages
      .filter((s) => s.family === family)
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

/** Checks that some stage of a family asks for, in the order the ladder first asks. */
function checksForFamily(family: Family): ReadinessCheck[] {
  const practice = library()
  const asked = practice.stages
    .filter((s) => s.family === family)
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
