import 'server-only'
import { attemptCap, firstMonthCap } from '@/core/approaches/floor'
import { estimateBody } from '@/core/body/estimate'
import { formatDay, nextWeekday } from '@/core/day'
import { greedyPlan } from '@/core/planning/greedy'
import type { ClassBrief, Participant, Plan, PlanBlock, Version } from '@/core/planning/plan'
import { validatePlan } from '@/core/planning/validate'
import { allowedStages } from '@/core/readiness/allowed'
import { findById, library } from '@/core/practice/library'
import { solveSetup } from '@/core/setups/catalogue'
import { count, length } from '@/core/words/number'
import { placementLabel, propNoun } from '@/core/words/setup'
import { formatClock } from '@/core/units'
import { BLOCK_TITLE, describePlanWarning, describeViolation } from '@/core/words/plan'
import { findClass, listClasses, type ClassRecord } from '@/db/classes'
import { listGroups } from '@/db/groups'
import { listStudents, type StudentRecord } from '@/db/students'
import type { StudioRecord } from '@/db/studio'
import { context, type Context } from '../context'
import { judgeFor } from '../judge'

/** What the planner works from for one class. */
function briefOf(
  ctx: Context,
  record: Pick<ClassRecord, 'id' | 'minutes' | 'bays' | 'locks' | 'roster'>,
): ClassBrief {
  const judge = judgeFor(ctx, record.id)
  const people = listStudents(ctx.db, { archived: true }).filter((s) => record.roster.includes(s.id))
  const participants = people.map(({ id, breathS, createdDay }): Participant => {
    const { observations, attempts, placements } = judge.evidence(id)
    const begun = [createdDay, ...[...observations, ...attempts, ...placements].map((f) => f.day)]
    const decision = judge.decide(id)
    return {
      studentId: id,
      breathS,
      mostAttempts: attemptCap(ctx.studio.floor, firstMonthCap(begun, ctx.today)),
      standingId: decision.standing?.stageId ?? null,
      targetId: decision.targetId,
      outcome: decision.outcome,
      looked: decision.targetId === null ? null : judge.looked(id, decision.targetId),
      // Tonight's check-in lowers what is planned and leaves the standing as it is.
      limits: judge.tonight(id),
    }
  })
  const { minutes, bays, locks } = record
  return {
    minutes,
    bays,
    locks,
    participants,
    mostAttempts: attemptCap(ctx.studio.floor),
    stock: { straps: ctx.studio.straps, blocks: ctx.studio.blocks },
  }
}

/** A fresh plan for a class as people stand today. */
export function makePlan(
  ctx: Context,
  record: Pick<ClassRecord, 'id' | 'minutes' | 'bays' | 'locks' | 'roster'>,
): ReturnType<typeof greedyPlan> {
  return greedyPlan(library(), briefOf(ctx, record))
}

export type ClassSummary = {
  id: string
  title: string
  dayLabel: string
  startTime: string
  people: number
  planned: boolean
  past: boolean
}

/** All classes for the list. */
export function classSummaries(): ClassSummary[] {
  const { db, today } = context()
  return listClasses(db).map((c) => ({
    id: c.id,
    title: c.title,
    dayLabel: formatDay(c.day),
    startTime: c.startTime,
    people: c.roster.length,
    planned: c.plan !== null,
    past: c.day < today,
  }))
}

/** People to pick from and the bays there are. */
export type NewClassData = {
  people: { id: string; name: string }[]
  bays: number
  start: {
    title: string
    day: string
    startTime: string
    minutes: number
    groupId: string | null
    roster: string[]
  }
}

export function newClassData(groupId: string | undefined): NewClassData {
  const { db, studio, today } = context()
  const group = listGroups(db).find((g) => g.id === groupId)
  return {
    people: listStudents(db).map(({ id, name }) => ({ id, name })),
    bays: studio.bays,
    start: group
      ? {
          title: group.name,
          day: nextWeekday(today, group.weekday),
          startTime: group.startTime,
          minutes: group.minutes,
          groupId: group.id,
          roster: [...group.members],
        }
      : {
          title: 'Forearms and wall',
          day: today,
          startTime: '18:30',
          minutes: 30,
          groupId: null,
          roster: [],
        },
  }
}

export type VersionView = Version & {
  name: string
  stage: string
  cue: string
  /** What places hands and props for this body; empty without a height. */ numbers: string
  choices: { id: string; label: string; allowed: boolean }[]
}
export type BlockView = {
  kind: PlanBlock['kind']
  title: string
  at: string
  minutes: string
  items: string[]
  versions: VersionView[]
  lanes: { label: string; cue: string; people: string[] }[]
  dose: string
  turns: { at: string; set: number; up: { bay: number; name: string }[] }[]
}
export type PlanView = {
  id: string
  title: string
  dayLabel: string
  startTime: string
  minutes: number
  bays: number
  blocks: BlockView[]
  pull: string
  warnings: string[]
  violations: string[]
  people: number
  planned: boolean
}

/** A class with its plan in words. */
export function planView(id: string): PlanView | null {
  const ctx = context()
  const record = findClass(ctx.db, id)
  if (!record) return null
  const people = peopleOf(ctx)
  const { nameOf } = people
  const base = {
    id,
    title: record.title,
    dayLabel: formatDay(record.day),
    startTime: record.startTime,
    minutes: record.minutes,
    bays: record.bays,
    people: record.roster.length,
  }
  if (!record.plan) return { ...base, planned: false, blocks: [], pull: '', warnings: [], violations: [] }
  const brief = briefOf(ctx, record)
  const { plan } = record
  return {
    ...base,
    planned: true,
    blocks: plan.blocks.map((block) => blockView(block, brief, people)),
    pull: pullList(plan, ctx.studio),
    warnings: plan.warnings.map(describePlanWarning),
    // The same sentence of two blocks is said once.
    violations: [
      ...new Set(validatePlan(library(), brief, plan).map((v) => describeViolation(v, library(), nameOf))),
    ],
  }
}

type People = {
  students: Map<string, StudentRecord>
  studio: StudioRecord
  nameOf: (studentId: string) => string
}

/** People by id, put-away ones too: past plans keep their names. */
export function peopleOf({ db, studio }: Context): People {
  const students = new Map(listStudents(db, { archived: true }).map((s) => [s.id, s]))
  return { students, studio, nameOf: (id) => students.get(id)?.name ?? 'Somebody erased' }
}

function blockView(block: PlanBlock, brief: ClassBrief, people: People): BlockView {
  const { nameOf } = people
  const practice = library()
  const versions = 'versions' in block ? block.versions.map((v) => versionView(v, brief, people)) : []
  const items = 'items' in block ? block.items.map((item) => itemLine(item)) : []
  const turns =
    block.kind === 'waves'
      ? block.turns.map((turn) => ({
          at: formatClock(turn.startS),
          set: turn.set,
          up: turn.up.map(({ bay, studentId }) => ({ bay, name: nameOf(studentId) })),
        }))
      : []
  const stages = [...new Set(versions.map((v) => v.stageId))].sort(
    (a, b) => practice.stages.findIndex((s) => s.id === a) - practice.stages.findIndex((s) => s.id === b),
  )
  return {
    kind: block.kind,
    title: BLOCK_TITLE[block.kind],
    at: formatClock(block.startS),
    minutes: `${Math.round((block.seconds / 60) * 10) / 10} min`,
    items,
    versions,
    turns,
    lanes: stages.map((id) => {
      const stage = findById(practice.stages, id)
      return {
        label: stage.name,
        cue: stage.cue,
        people: versions.filter((v) => v.stageId === id).map((v) => v.name),
      }
    }),
    dose: doseLine(block),
  }
}

/** The lengths that place hands and props in somebody's version, short enough for a strip card. */
function handNumbers({ studentId, setupId }: Version, { students, studio }: People): string {
  const student = students.get(studentId)
  if (!student?.statureCm) return ''
  const body = estimateBody({ statureCm: student.statureCm, measured: student.measured })
  if (!body.ok) return ''
  const solved = solveSetup(setupId, body.value, {}, studio.stock)
  if (!solved.ok) return ''
  return solved.value.placements
    .map((p) => `${placementLabel(p.key)} ${length(p.valueCm, studio)}`)
    .join(' · ')
}

function versionView(version: Version, brief: ClassBrief, people: People): VersionView {
  const { nameOf } = people
  const practice = library()
  const stage = findById(practice.stages, version.stageId)
  const participant = brief.participants.find((p) => p.studentId === version.studentId)
  const allowed = new Set(participant ? allowedStages(practice, participant).map((s) => s.id) : [])
  const choices = practice.stages
    .filter((s) => s.family === 'FS')
    .map((s) => ({
      id: s.id,
      label: `${s.name} (${s.id})${allowed.has(s.id) ? '' : ' · above what is recorded'}`,
      allowed: allowed.has(s.id),
    }))
  return {
    ...version,
    name: nameOf(version.studentId),
    stage: stage.name,
    cue: stage.cue,
    numbers: handNumbers(version, people),
    choices,
  }
}

function itemLine({ id, seconds }: { id: string; seconds: number }): string {
  const practice = library()
  const block = findById([...practice.warmups, ...practice.counterposes], id)
  return `${block.name}, ${formatClock(seconds)}: ${block.do}`
}

function doseLine(block: PlanBlock): string {
  if (block.kind === 'skill')
    return `${count(block.sets, 'set')} of ${block.workS} s, ${block.restS} s rest between`
  if (block.kind === 'waves')
    return `${count(block.sets, 'turn')} each, ${block.turnS} s, ${block.changeS} s to change over`
  return ''
}

function pullList({ pull }: Plan, studio: StudioRecord): string {
  const parts = [
    pull.straps > 0 ? count(pull.straps, ...propNoun('strap', studio)) : '',
    pull.blocks > 0 ? count(pull.blocks, ...propNoun('block', studio)) : '',
  ].filter((p) => p !== '')
  return parts.length > 0 ? parts.join(' · ') : 'nothing'
}
