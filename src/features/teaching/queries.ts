import 'server-only'
import { toldOf } from '@/core/readiness/from-tries'
import type { Brief } from '@/core/classes/brief'
import { doseOf } from '@/core/classes/dose-of'
import { describeDose } from '@/core/words/dose'
import { cueFor } from '@/core/approaches/effects'
import { addDays, formatDay, type Day } from '@/core/day'
import { apartIn } from '@/core/classes/apart'
import type { Version } from '@/core/classes/plan'
import type { TimedPlan } from '@/core/teaching/class-run'
import { versionsOf } from '@/core/classes/plan'
import { foldRun, type ClassEvent, type Run } from '@/core/classes/run'
import type { Picture } from '@/core/figure/picture'
import { pictureFor } from '@/core/figure/picture-of'
import { findById } from '@/core/practice/find'
import { foldEvidence, type Attempt, type Evidence } from '@/core/readiness/evidence'
import { leavesFloor } from '@/core/readiness/gate'
import { likelyFaults } from '@/core/readiness/likely-faults'
import { BLOCK_TITLE, describeApart, describeChange, NOTHING_OPEN } from '@/core/words/plan'
import { faultName } from '@/core/words/reason'
import { rosterOf } from '@/db/attendance'
import { classLines, eventsOf, findClass } from '@/db/classes'
import { decisionsOf } from '@/db/decisions'
import type { StudentRecord } from '@/db/students'
import { attemptsOfClass } from '@/db/evidence'
import { anyBody, bodyOfStudent } from '../body'
import type { Context } from '../context'
import { classFile, judgeOfClass } from '../desk/class-file'
import { viewDecision, type DecisionView } from '../desk/decision-view'
import type { Judge } from '../desk/judge'
import { closedTonight } from '../desk/limit-words'
import { peopleOf } from '../desk/people'

/** Fault chips beside a name. */
const CHIPS = 4

export type TeachPerson = {
  id: string
  name: string
  skillStage: StageBrief
  wallStage: StageBrief
  /** What they leave out tonight, in words; empty on a private screen. */
  limits: string[]
  /** Whether hands may help tonight. */
  touch: 'no' | 'ask' | 'yes'
}
export type StageBrief = {
  /** Empty where nothing of the practice is open to them. */
  id: string
  name: string
  cue: string
  /** Their own dose of it, by breath and limits. */
  dose: string
  /** How a limit changes it, in words; empty where none does, or on a private screen. */
  change: string
  /** The way out, said before anybody goes up. */
  exit: string
  leavesFloor: boolean
  /** Whether a leg leads and its level is read from it; whether held seconds are read from it. */
  leads: boolean
  timed: boolean
  faults: { id: string; name: string }[]
  /** On their own body. */
  picture: Picture | null
}
export type Recorded = Pick<
  Attempt,
  'id' | 'studentId' | 'stageId' | 'outcome' | 'level' | 'faults' | 'exitControlled' | 'endedBy'
>

export type TeachData = {
  classId: string
  title: string
  /** What is timed: blocks and turns. What people do stands with the people, in words. */
  plan: TimedPlan
  titles: string[]
  /** What happened so far, as the server has it. */
  events: ClassEvent[]
  people: TeachPerson[]
  recorded: Recorded[]
  /** Warm-ups and counterposes by id. */
  warm: Record<string, string>
  /** Who does something else during one of them, in words, by its id. */
  apart: Record<string, string[]>
}

/** Everything the floor screen needs, in one read: the plan as it holds tonight. */
export function teachData(ctx: Context, classId: string): TeachData | null {
  const { scope, practice } = ctx
  const record = findClass(scope, classId)
  const file = record ? classFile(ctx, record) : null
  if (!record || !file) return null
  const { plan } = file
  const { nameOf, students } = peopleOf(ctx, record.roster)
  const judge = judgeOfClass(ctx, record)
  const versions = (kind: 'skill' | 'waves'): readonly Version[] =>
    plan.blocks.flatMap((b) => (b.kind === kind ? versionsOf(b) : []))
  const wall = versions('waves')
  const absent = new Set(
    rosterOf(scope, classId).flatMap((line) => (line.attended === 'absent' ? [line.studentId] : [])),
  )
  const together = [...practice.warmups, ...practice.counterposes]
  const attempts = foldEvidence(
    { observations: [], attempts: attemptsOfClass(scope, classId), placements: [] },
    '9999-12-31',
  ).attempts
  return {
    classId,
    title: record.title,
    plan: {
      minutes: plan.minutes,
      bays: plan.bays,
      blocks: plan.blocks.map((block) => ('versions' in block ? { ...block, versions: [] } : block)),
    },
    titles: plan.blocks.map((b) => BLOCK_TITLE[b.kind]),
    events: eventsOf(scope, classId),
    people: versions('skill')
      .filter(({ studentId }) => !absent.has(studentId))
      .map((version) => ({
        id: version.studentId,
        name: nameOf(version.studentId),
        skillStage: stageBrief(ctx, judge, file.brief, version, students.get(version.studentId)),
        wallStage: stageBrief(
          ctx,
          judge,
          file.brief,
          wall.find((v) => v.studentId === version.studentId) ?? version,
          students.get(version.studentId),
        ),
        limits: closedTonight(ctx, judge, version.studentId),
        touch: judge.touch(version.studentId),
      })),
    recorded: attempts.map(({ id, studentId, stageId, outcome, level, faults, exitControlled, endedBy }) => ({
      ...{ id, studentId, stageId, outcome, level, exitControlled, endedBy },
      faults: [...faults],
    })),
    warm: Object.fromEntries(together.map((b) => [b.id, `${b.name}: ${b.do}`])),
    apart: Object.fromEntries(
      together.map((b) => [
        b.id,
        file.brief ? describeApart(practice, apartIn(practice, file.brief, b), nameOf) : [],
      ]),
    ),
  }
}

/** What somebody does, with the four faults that are likeliest for them. */
function stageBrief(
  { practice, privacy }: Context,
  judge: Judge,
  brief: Brief | null,
  version: Version,
  student: StudentRecord | undefined,
): StageBrief {
  const person = brief?.people.find((p) => p.studentId === version.studentId)
  const change = privacy.hidden ? '' : describeChange(version.change)
  if (version.stageId === null)
    return {
      id: '',
      name: NOTHING_OPEN,
      cue: '',
      dose: '',
      change,
      exit: '',
      leavesFloor: false,
      leads: false,
      timed: false,
      faults: [],
      picture: null,
    }
  const stage = findById(practice.stages, version.stageId)
  // As of the day before: chips must not change places under the hand while a class runs.
  const seen: Evidence = foldEvidence(judge.evidence(version.studentId), addDays(judge.day, -1))
  return {
    id: stage.id,
    name: stage.name,
    cue: cueFor(practice, judge.approaches(version.studentId), stage),
    dose: person ? describeDose(doseOf(person, stage, version.change)) : '',
    change,
    exit: findById(practice.exits, stage.exits[0] ?? '').do,
    leavesFloor: leavesFloor(stage),
    ...toldOf(practice, stage.id),
    faults: likelyFaults(stage.faults, seen, judge.day)
      .slice(0, CHIPS)
      .map((id) => ({ id, name: faultName(practice, id) })),
    picture: pictureFor(practice, stage.id, bodyOfStudent(student) ?? anyBody()),
  }
}

export type TeachListEntry = {
  id: string
  title: string
  dayLabel: string
  startTime: string
  state: Run['state']
}

/** A page of the classes with a plan, newest first, and the day from which the next page goes back. */
export function teachList(
  { scope }: Context,
  before: Day | null,
): { classes: TeachListEntry[]; earlier: Day | null } {
  const { lines, earlier } = classLines(scope, before)
  return {
    classes: lines
      .filter((c) => c.planned)
      .map((c) => ({
        ...{ id: c.id, title: c.title, startTime: c.startTime, state: c.state },
        dayLabel: formatDay(c.day),
      })),
    earlier,
  }
}

export type Change = {
  studentId: string
  name: string
  before: DecisionView
  after: DecisionView
  changed: boolean
  /** Shown as it was kept; what it came from is gone. */
  inputsErased: boolean
}

/** The decisions on both sides of a class, changed ones first. */
export function changesOf(
  ctx: Context,
  classId: string,
): { title: string; dayLabel: string; ended: boolean; changes: Change[] } | null {
  const record = findClass(ctx.scope, classId)
  if (!record) return null
  const kept = decisionsOf(ctx.scope, classId)
  const { nameOf } = peopleOf(
    ctx,
    kept.map((k) => k.studentId),
  )
  const changes = kept.map(({ studentId, before, after, inputsErased }) => ({
    studentId,
    name: nameOf(studentId),
    before: viewDecision(ctx, before),
    after: viewDecision(ctx, after),
    inputsErased,
    changed: before.outcome !== after.outcome || before.targetId !== after.targetId,
  }))
  return {
    title: record.title,
    dayLabel: formatDay(record.day),
    ended: foldRun(eventsOf(ctx.scope, classId)).state === 'ended',
    changes: changes.sort((a, b) => Number(b.changed) - Number(a.changed) || a.name.localeCompare(b.name)),
  }
}

/** A page of the classes that are over, newest first, with how many decisions changed. */
export function endedClasses(
  { scope }: Context,
  before: Day | null,
): {
  classes: { id: string; title: string; dayLabel: string; changed: number; people: number }[]
  earlier: Day | null
} {
  const { lines, earlier } = classLines(scope, before)
  return {
    classes: lines
      .filter((c) => c.state === 'ended')
      .map((c) => {
        const decisions = decisionsOf(scope, c.id)
        const changed = decisions.filter(
          (d) => d.before.outcome !== d.after.outcome || d.before.targetId !== d.after.targetId,
        ).length
        return { id: c.id, title: c.title, dayLabel: formatDay(c.day), changed, people: decisions.length }
      }),
    earlier,
  }
}
