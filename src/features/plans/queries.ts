import 'server-only'
import type { InForce } from '@/core/approaches/effects'
import { apartIn } from '@/core/classes/apart'
import { versionsOf, type Plan, type PlanBlock } from '@/core/classes/plan'
import { formatDay, nextWeekday, type Day } from '@/core/day'
import { validatePlan } from '@/core/planning/check/validate'
import type { Picture } from '@/core/figure/picture'
import { pictureFor } from '@/core/figure/picture-of'
import { findById } from '@/core/practice/find'
import { formatClock } from '@/core/units'
import { count } from '@/core/words/number'
import {
  BLOCK_TITLE,
  describeApart,
  describePlanWarning,
  describeViolation,
  NOTHING_OPEN,
} from '@/core/words/plan'
import { propNoun } from '@/core/words/setup'
import { classLines, findClass } from '@/db/classes'
import { listGroups } from '@/db/groups'
import { listNames } from '@/db/students'
import type { StudioRecord } from '@/db/studio'
import type { Context } from '../context'
import { classFile, judgeOfClass } from '../desk/class-file'
import { peopleOf } from '../desk/people'
import { anyBody } from '../body'
import { versionView, type VersionView, type View } from './version-view'

export type ClassSummary = {
  id: string
  title: string
  dayLabel: string
  startTime: string
  people: number
  planned: boolean
  past: boolean
}

/** A page of the classes, newest first, and the day from which the next page goes back. */
export function classSummaries(
  { scope, clock }: Context,
  before: Day | null,
): { classes: ClassSummary[]; earlier: Day | null } {
  const { lines, earlier } = classLines(scope, before)
  return {
    earlier,
    classes: lines.map((c) => ({
      ...{ id: c.id, title: c.title, startTime: c.startTime, people: c.people, planned: c.planned },
      dayLabel: formatDay(c.day),
      past: c.day < clock.today,
    })),
  }
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

export function newClassData(
  { scope, studio, clock: { today } }: Context,
  groupId: string | undefined,
): NewClassData {
  const group = listGroups(scope).find((g) => g.id === groupId)
  return {
    people: listNames(scope),
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

export type BlockView = {
  kind: PlanBlock['kind']
  title: string
  at: string
  minutes: string
  /** What everybody does, and who does something else meanwhile. */
  items: { line: string; apart: string[] }[]
  versions: VersionView[]
  lanes: {
    label: string
    cue: string
    people: string[]
    doses: { dose: string; who: string[] }[]
    picture: Picture | null
  }[]
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
  /** What is over stays as it was. */
  editable: boolean
}

/** A class with its plan in words: what is over as it was, what is to come as it holds today. */
export function planView(ctx: Context, id: string): PlanView | null {
  const { scope, practice, studio } = ctx
  const record = findClass(scope, id)
  if (!record) return null
  const file = classFile(ctx, record)
  const base = {
    id,
    title: record.title,
    dayLabel: formatDay(record.day),
    startTime: record.startTime,
    minutes: record.minutes,
    bays: record.bays,
    people: record.roster.length,
  }
  if (!file)
    return { ...base, planned: false, editable: true, blocks: [], pull: '', warnings: [], violations: [] }
  const { plan, brief, past } = file
  const judge = judgeOfClass(ctx, record)
  const waysOf = (studentId: string): InForce => judge.approaches(studentId)
  const view: View = { ctx, brief, people: peopleOf(ctx, everyoneIn(plan)), waysOf }
  const broken = brief ? validatePlan(practice, brief, plan) : []
  return {
    ...base,
    planned: true,
    editable: !past,
    blocks: plan.blocks.map((block) => blockView(block, view)),
    pull: pullList(plan, studio),
    warnings: plan.warnings.map(describePlanWarning),
    // The same sentence of two blocks is said once.
    violations: [...new Set(broken.map((v) => describeViolation(v, practice, view.people.nameOf)))],
  }
}

/** Whoever a plan speaks of, on the list today or not. */
function everyoneIn(plan: Plan): string[] {
  const turns = plan.blocks.flatMap((b) => (b.kind === 'waves' ? b.turns.flatMap((t) => t.up) : []))
  return [...new Set([...plan.blocks.flatMap(versionsOf), ...turns].map((v) => v.studentId))]
}

function blockView(block: PlanBlock, view: View): BlockView {
  const { practice } = view.ctx
  const { nameOf } = view.people
  const versions = versionsOf(block).map((v) => versionView(v, view))
  const items = 'items' in block ? block.items.map((item) => itemView(item, view)) : []
  const turns =
    block.kind === 'waves'
      ? block.turns.map((turn) => ({
          at: formatClock(turn.startS),
          set: turn.set,
          up: turn.up.map(({ bay, studentId }) => ({ bay, name: nameOf(studentId) })),
        }))
      : []
  const stages = practice.stages.filter((stage) => versions.some((v) => v.stageId === stage.id))
  return {
    kind: block.kind,
    title: BLOCK_TITLE[block.kind],
    at: formatClock(block.startS),
    minutes: `${Math.round((block.seconds / 60) * 10) / 10} min`,
    items,
    versions,
    turns,
    lanes: [
      ...stages.map(({ id, name, cue }) => ({ id, label: name, cue })),
      ...(versions.some((v) => v.stageId === null) ? [{ id: null, label: NOTHING_OPEN, cue: '' }] : []),
    ].map(({ id, label, cue }) => ({
      label,
      cue,
      people: versions.filter((v) => v.stageId === id).map((v) => v.name),
      doses: dosesOf(versions.filter((v) => v.stageId === id && v.dose !== '')),
      picture: id === null ? null : pictureFor(practice, id, anyBody()),
    })),
    dose: doseLine(block),
  }
}

/** Who does how much of one stage: those who do the same together. */
function dosesOf(versions: readonly VersionView[]): { dose: string; who: string[] }[] {
  const doses = new Map<string, string[]>()
  for (const { dose, name } of versions) doses.set(dose, [...(doses.get(dose) ?? []), name])
  return [...doses].map(([dose, who]) => ({ dose, who }))
}

function itemView(
  { id, seconds }: { id: string; seconds: number },
  { ctx: { practice }, brief, people }: View,
): BlockView['items'][number] {
  const block = findById([...practice.warmups, ...practice.counterposes], id)
  return {
    line: `${block.name}, ${formatClock(seconds)}: ${block.do}`,
    apart: brief ? describeApart(practice, apartIn(practice, brief, block), people.nameOf) : [],
  }
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
