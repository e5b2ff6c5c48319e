import 'server-only'
import { apartIn } from '@/core/classes/apart'
import {
  doingsOf,
  isWork,
  turnsOf,
  type BlockKind,
  type Plan,
  type PlanBlock,
  type Work,
} from '@/core/classes/plan'
import { REHEARSAL, rehearsedWays } from '@/core/classes/rehearsed'
import { formatDay } from '@/core/day'
import type { Picture } from '@/core/figure/picture'
import { pictureFor } from '@/core/figure/picture-of'
import { readCraft } from '@/core/planning/craft'
import { onTheHope } from '@/core/planning/hope'
import { trainable } from '@/core/planning/purposes'
import { validatePlan } from '@/core/planning/check/validate'
import type { Violation } from '@/core/planning/check/violation'
import { othersFor } from '@/core/practice/ask'
import type { Library } from '@/core/practice/library'
import { formatClock } from '@/core/units'
import { describeCraft } from '@/core/words/craft'
import { count, halfMinutes } from '@/core/words/number'
import {
  blockTitle,
  describeAim,
  describeApart,
  describePlanWarning,
  NOTHING_OPEN,
  PART_DO,
  PART_WORD,
} from '@/core/words/plan'
import { ifLate } from '@/core/teaching/rehearse'
import { describeIfLate } from '@/core/words/rehearse'
import { describeRehearsal } from '@/core/words/rehearsal'
import { propNoun } from '@/core/words/setup'
import { describeRun, isShared, placeName } from '@/core/words/turns'
import { describeViolation } from '@/core/words/violation'
import { listAssistants } from '@/db/assistants'
import { findClass } from '@/db/classes'
import { planAt } from '@/db/plans'
import { listNames } from '@/db/students'
import { anyBody } from '../body'
import type { Context } from '../context'
import { classFile } from '../desk/class-file'
import { apartHere } from '../desk/limit-words'
import { judgeOfClass } from '../desk/class-judge'
import { peopleOf } from '../desk/people'
import { armsView, type ArmsView } from './arms-view'
import {
  choicesFor,
  doingView,
  limitsOf,
  taughtBy,
  type DoingView,
  type VersionChoice,
  type View,
} from './doing-view'

/** Everybody who does one version of a block. */
export type Lane = {
  id: string | null
  label: string
  cue: string
  picture: Picture | null
  people: DoingView[]
}
export type BlockView = {
  kind: BlockKind
  purpose: string
  title: string
  word: string
  at: string
  minutes: string
  seconds: number
  /** What everybody does, and who does something else meanwhile. */
  items: {
    id: string
    line: string
    picture: Picture | null
    apart: string[]
    swaps: { id: string; label: string }[]
  }[]
  say: string
  doings: DoingView[]
  lanes: Lane[]
  run: string
  sets: number
  waves: number
  turns: {
    at: string
    set: number
    wave: number
    up: { place: string; shared: boolean; name: string; helper: string }[]
  }[]
  /** Broken rules that speak of this block. */
  broken: string[]
}
export type PlanView = ArmsView & {
  id: string
  title: string
  aim: string
  dayLabel: string
  startTime: string
  minutes: number
  bays: number
  blocks: BlockView[]
  pull: string
  warnings: string[]
  /** Read as a teacher reads it: how many of its questions the plan answers, and what it misses. */
  craft: { held: number; of: number; lines: string[] }
  violations: string[]
  /** What goes at three, six and nine minutes late. */
  ifLate: string[]
  people: number
  planned: boolean
  /** What is over stays as it was. */
  editable: boolean
  canUndo: boolean
  canRedo: boolean
  /** Whom a teacher may give another version, by part. */
  choices: { studentId: string; name: string; out: boolean; skill: VersionChoice[]; waves: VersionChoice[] }[]
  /** Purposes that strength may have. */
  trains: { id: string; label: string; on: boolean }[]
  /** People who may still come: everybody who is not on the list. */
  others: { id: string; name: string }[]
}

/** A class with its plan in words: what is over as it was, what is to come as it holds today. */
export function planView(ctx: Context, id: string): PlanView | null {
  const { scope, practice, studio } = ctx
  const record = findClass(scope, id)
  if (!record) return null
  const file = classFile(ctx, record)
  const base = {
    ...{ id, title: record.title, startTime: record.startTime, minutes: record.minutes, bays: record.bays },
    aim: describeAim(record.aim),
    dayLabel: formatDay(record.day),
    people: record.roster.length - record.fixed.out.length,
    others: listNames(scope).filter((p) => !record.roster.includes(p.id)),
  }
  const nothing = {
    blocks: [],
    pull: '',
    warnings: [],
    craft: { held: 0, of: 0, lines: [] },
    violations: [],
    ifLate: [],
    choices: [],
    trains: [],
    freshness: {},
    bestMinute: '',
    canUndo: false,
    canRedo: false,
  }
  if (!file) return { ...base, ...nothing, planned: false, editable: true }
  const { plan, brief, past, hoped } = file
  const judge = judgeOfClass(ctx, record)
  const helpers = new Map(listAssistants(scope).map((a) => [a.id, a.name]))
  const view: View = {
    ...{ ctx, brief, hoped, families: plan.aim.families },
    people: peopleOf(ctx, [
      ...new Set([...record.roster, ...plan.blocks.flatMap(doingsOf).map((d) => d.studentId)]),
    ]),
    helperName: (helper) => (helper === 'teacher' ? 'you' : (helpers.get(helper) ?? 'a helper')),
    waysOf: (studentId) => judge.approaches(studentId),
  }
  // A plan of before there were rules for it is shown as it was and not judged by them.
  const broken = brief && plan.points !== null ? validatePlan(practice, brief, plan) : []
  const say = (v: Violation): string => describeViolation(v, practice, view.people.nameOf)
  return {
    ...base,
    ...{ planned: true, editable: !past },
    canUndo: !past && planAt(scope, ctx.health.key, id, 'back') !== null,
    canRedo: !past && planAt(scope, ctx.health.key, id, 'on') !== null,
    blocks: plan.blocks.map((block) =>
      blockView(block, plan, view, broken.filter((v) => speaksOf(v, block)).map(say)),
    ),
    pull: pullList(plan, studio),
    warnings: plan.warnings.map((w) => describePlanWarning(w, practice, view.people.nameOf)),
    craft: craftOf(view, hoped ?? plan),
    // The same sentence of two blocks is said once.
    violations: [...new Set(broken.map(say))],
    ifLate: describeIfLate(practice, plan, ifLate(plan)),
    ...armsView(practice, plan),
    choices: past ? [] : choicesOf(view, record.fixed.out),
    trains: trainable(practice).map((c) => ({
      id: c.id,
      label: c.name,
      on: plan.blocks.some((b) => isWork(b) && b.purpose === `train:${c.id}`),
    })),
  }
}

/** Whether a broken rule belongs at a block rather than over the whole class. */
function speaksOf(violation: Violation, block: PlanBlock): boolean {
  if ('purpose' in violation) return isWork(block) && block.purpose === violation.purpose
  if ('variantId' in violation) return doingsOf(block).some((d) => d.variantId === violation.variantId)
  if ('atS' in violation) return violation.atS >= block.startS && violation.atS < block.startS + block.seconds
  return violation.code === 'rest-short'
    ? block.kind === 'rest'
    : violation.code === 'warm-long' && block.kind === 'warm-up'
}

function craftOf({ ctx: { practice }, brief, people }: View, plan: Plan): PlanView['craft'] {
  if (!brief) return { held: 0, of: 0, lines: [] }
  const read = readCraft(practice, onTheHope(brief), plan)
  const missed = read.filter((c) => !c.held)
  return {
    held: read.length - missed.length,
    of: read.length,
    lines: missed.map((c) => describeCraft(c, people.nameOf)),
  }
}

function choicesOf(
  { ctx: { practice }, brief, people, families }: View,
  out: readonly string[],
): PlanView['choices'] {
  return (brief ? onTheHope(brief).people : []).map((person) => ({
    studentId: person.studentId,
    name: people.nameOf(person.studentId),
    out: out.includes(person.studentId),
    skill: choicesFor(practice, person, families, true),
    waves: choicesFor(practice, person, families, false),
  }))
}

function blockView(block: PlanBlock, plan: Plan, view: View, broken: string[]): BlockView {
  const { practice } = view.ctx
  const purpose = isWork(block) ? block.purpose : ''
  const doings = isWork(block) ? block.people.map((d) => doingView(d, block, view)) : []
  return {
    ...{ kind: block.kind, purpose, seconds: block.seconds, broken, doings },
    title: blockTitle(practice, block.kind, purpose),
    word: PART_WORD[block.kind],
    at: formatClock(block.startS),
    minutes: `${halfMinutes(block.seconds)} min`,
    say: PART_DO[block.kind] ?? '',
    items: isWork(block) ? [] : block.items.map((item) => itemView(item, view, plan)),
    lanes: lanesOf(practice, doings),
    run: isWork(block) ? describeRun(block) : '',
    ...(isWork(block) ? { sets: block.sets, waves: block.waves } : { sets: 0, waves: 0 }),
    turns: isWork(block) && block.kind !== 'ease' ? turnsView(block, view) : [],
  }
}

function turnsView(block: Work, { people, brief, helperName }: View): BlockView['turns'] {
  return turnsOf(block).map(({ startS, set, wave, up }) => ({
    at: formatClock(startS),
    set,
    wave,
    up: up.map((d) => ({
      place: placeName(d.place, brief?.room),
      shared: isShared(d.place, brief?.room),
      name: people.nameOf(d.studentId),
      helper: d.helper === null ? '' : helperName(d.helper),
    })),
  }))
}

/** Versions in the order of the ladder, drills after stages, whoever waits last. */
function lanesOf(practice: Library, doings: readonly DoingView[]): Lane[] {
  const order = [...practice.stages, ...practice.drills, ...practice.counterposes].map((s) => s.id)
  const ids = [...new Set(doings.map((d) => d.variantId))].sort(
    (a, b) => (a === null ? 999 : order.indexOf(a)) - (b === null ? 999 : order.indexOf(b)),
  )
  return ids.map((id) => {
    const { stage, drill } = taughtBy(practice, id)
    return {
      id,
      label: stage?.name ?? drill?.name ?? NOTHING_OPEN,
      cue: stage?.cue ?? drill?.lookFor ?? '',
      picture: id === null ? null : pictureFor(practice, id, anyBody()),
      people: doings.filter((d) => d.variantId === id),
    }
  })
}

function itemView(
  { id, seconds }: { id: string; seconds: number },
  view: View,
  plan: Plan,
): BlockView['items'][number] {
  const { ctx, brief, people } = view
  const { practice } = ctx
  const drill = practice.drills.find((d) => d.id === id)
  const counterpose = practice.counterposes.find((c) => c.id === id)
  const block = [...practice.warmups, ...practice.counterposes].find((b) => b.id === id)
  const what = drill ?? block
  const how =
    id === REHEARSAL
      ? describeRehearsal(
          drill?.do ?? '',
          rehearsedWays(practice, plan, (who) => limitsOf(view, who)),
        )
      : (what?.do ?? '')
  const swaps = swapsFor(practice, drill?.id ?? null, counterpose?.id ?? null)
  const asked = drill ? { drills: [id], load: {} } : (block ?? { drills: [], load: {} })
  const others = drill ? swaps.map((s) => s.id) : []
  return {
    id,
    line: `${formatClock(seconds)} · ${what?.name ?? ''}: ${how}`,
    picture: pictureFor(practice, id, anyBody()),
    apart: brief
      ? describeApart(practice, apartHere(ctx, apartIn(practice, brief, asked, others)), people.nameOf)
      : [],
    swaps,
  }
}

/** What may stand in the place of a drill or counterpose: the same warm-up's others, or what counters the same. */
function swapsFor(
  practice: Library,
  drillId: string | null,
  cpId: string | null,
): { id: string; label: string }[] {
  if (cpId !== null) {
    const base = practice.counterposes.find((c) => c.id === cpId)?.instead ?? cpId
    return practice.counterposes
      .filter((c) => c.id !== cpId && (c.id === base || c.instead === base))
      .map((c) => ({ id: c.id, label: c.name }))
  }
  if (drillId === null) return []
  return othersFor(practice, drillId).flatMap((id) => {
    const drill = practice.drills.find((d) => d.id === id)
    return drill ? [{ id, label: drill.name }] : []
  })
}

function pullList({ pull }: Plan, studio: Context['studio']): string {
  const parts = pull.map(({ kind, count: n }) => count(n, ...propNoun(kind, studio)))
  return parts.length > 0 ? parts.join(' · ') : 'nothing'
}
