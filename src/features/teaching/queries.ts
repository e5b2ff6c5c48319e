import 'server-only'
import { addDays, formatDay } from '@/core/day'
import type { Plan } from '@/core/planning/plan'
import { findById, library } from '@/core/practice/library'
import type { Outcome } from '@/core/readiness/decide'
import { foldEvidence, type Attempt, type Evidence } from '@/core/readiness/evidence'
import { leavesFloor } from '@/core/readiness/gate'
import { likelyFaults } from '@/core/readiness/likely-faults'
import { foldRun, type ClassRun } from '@/core/teaching/class-run'
import { BLOCK_TITLE } from '@/core/words/plan'
import { faultName } from '@/core/words/reason'
import { decisionsOf, eventsOf, findClass, listClasses } from '@/db/classes'
import { attemptsOfClass } from '@/db/evidence'
import { context } from '../context'
import { judgeFor } from '../judge'
import { peopleOf } from '../plans/queries'
import { viewDecision, type DecisionView } from '../readiness/decision-view'

/** Fault chips beside a name. */
const CHIPS = 4

export type TeachPerson = { id: string; name: string; skillStage: StageBrief; wallStage: StageBrief }
export type StageBrief = {
  id: string
  name: string
  cue: string
  leavesFloor: boolean
  faults: { id: string; name: string }[]
}
export type Recorded = {
  id: string
  studentId: string
  stageId: string
  outcome: Attempt['outcome']
  level: Attempt['level']
  faults: string[]
}

export type TeachData = {
  classId: string
  title: string
  plan: Plan
  titles: string[]
  run: ClassRun
  people: TeachPerson[]
  recorded: Recorded[]
  ids: { warm: Record<string, string> }
}

/** Everything the floor screen needs, in one read. */
export function teachData(classId: string): TeachData | null {
  const ctx = context()
  const record = findClass(ctx.db, classId)
  if (!record?.plan) return null
  const { nameOf } = peopleOf(ctx)
  const skill = record.plan.blocks.find((b) => b.kind === 'skill')
  const waves = record.plan.blocks.find((b) => b.kind === 'waves')
  const judge = judgeFor(ctx, classId)
  // As of the day before: chips must not change places under the hand while a class runs.
  const before = addDays(ctx.today, -1)
  const seenOf = (id: string): Evidence => foldEvidence(judge.evidence(id), before)
  const people = (skill?.versions ?? []).map((version) => ({
    id: version.studentId,
    name: nameOf(version.studentId),
    skillStage: stageBrief(version.stageId, seenOf(version.studentId), ctx.today),
    wallStage: stageBrief(
      waves?.versions.find((v) => v.studentId === version.studentId)?.stageId ?? version.stageId,
      seenOf(version.studentId),
      ctx.today,
    ),
  }))
  const practice = library()
  const attempts = foldEvidence(
    { observations: [], attempts: attemptsOfClass(ctx.db, classId), placements: [] },
    '9999-12-31',
  ).attempts
  return {
    classId,
    title: record.title,
    plan: record.plan,
    titles: record.plan.blocks.map((b) => BLOCK_TITLE[b.kind]),
    run: foldRun(eventsOf(ctx.db, classId)),
    people,
    recorded: attempts.map(({ id, studentId, stageId, outcome, level, faults }) => ({
      id,
      studentId,
      stageId,
      outcome,
      level,
      faults: [...faults],
    })),
    ids: {
      warm: Object.fromEntries(
        [...practice.warmups, ...practice.counterposes].map((b) => [b.id, `${b.name}: ${b.do}`]),
      ),
    },
  }
}

/** A stage with the four faults that are likeliest for somebody. */
function stageBrief(stageId: string, evidence: Evidence, today: string): StageBrief {
  const practice = library()
  const stage = findById(practice.stages, stageId)
  return {
    id: stage.id,
    name: stage.name,
    cue: stage.cue,
    leavesFloor: leavesFloor(stage),
    faults: likelyFaults(stage.faults, evidence, today)
      .slice(0, CHIPS)
      .map((id) => ({ id, name: faultName(practice, id) })),
  }
}

export type TeachListEntry = {
  id: string
  title: string
  dayLabel: string
  startTime: string
  state: ClassRun['state']
}

/** Classes with a plan, newest first. */
export function teachList(): TeachListEntry[] {
  const { db } = context()
  return listClasses(db)
    .filter((c) => c.plan)
    .map((c) => ({
      id: c.id,
      title: c.title,
      dayLabel: formatDay(c.day),
      startTime: c.startTime,
      state: foldRun(eventsOf(db, c.id)).state,
    }))
}

export type Change = {
  studentId: string
  name: string
  before: DecisionView
  after: DecisionView
  changed: boolean
  /** Shown as it was kept; what it came from is gone. */
  inputsErased: boolean
  from: Outcome
  to: Outcome
}

/** The decisions on both sides of a class, changed ones first. */
export function changesOf(
  classId: string,
  hidden = false,
): { title: string; dayLabel: string; ended: boolean; changes: Change[] } | null {
  const ctx = context()
  const record = findClass(ctx.db, classId)
  if (!record) return null
  const { nameOf } = peopleOf(ctx)
  const changes = decisionsOf(ctx.db, classId).map(({ studentId, before, after, inputsErased }) => ({
    studentId,
    name: nameOf(studentId),
    before: viewDecision(before, ctx.studio, hidden),
    after: viewDecision(after, ctx.studio, hidden),
    inputsErased,
    from: before.outcome,
    to: after.outcome,
    changed: before.outcome !== after.outcome || before.targetId !== after.targetId,
  }))
  return {
    title: record.title,
    dayLabel: formatDay(record.day),
    ended: foldRun(eventsOf(ctx.db, classId)).state === 'ended',
    changes: changes.sort((a, b) => Number(b.changed) - Number(a.changed) || a.name.localeCompare(b.name)),
  }
}

/** Ended classes, newest first, with how many decisions changed. */
export function endedClasses(): {
  id: string
  title: string
  dayLabel: string
  changed: number
  people: number
}[] {
  const { db } = context()
  return listClasses(db)
    .filter((c) => foldRun(eventsOf(db, c.id)).state === 'ended')
    .map((c) => {
      const decisions = decisionsOf(db, c.id)
      const changed = decisions.filter(
        (d) => d.before.outcome !== d.after.outcome || d.before.targetId !== d.after.targetId,
      ).length
      return { id: c.id, title: c.title, dayLabel: formatDay(c.day), changed, people: decisions.length }
    })
}
