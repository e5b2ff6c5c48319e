import 'server-only'
import { stepOf } from '@/core/classes/step-of'
import { describeHope } from '@/core/words/hope'
import { hopedDoing } from '@/core/planning/hope'
import { describeThen } from '@/core/words/step-onto'
import { doingsOf, isWork, WAITING, type Doing, type Work } from '@/core/classes/plan'
import { pathOf } from '@/core/planning/climb'
import { describeNextRung } from '@/core/words/climb'
import { ownWarmUp } from '@/core/planning/own-warm-up'
import { placeName } from '@/core/words/turns'
import { formatDay, type Day } from '@/core/day'
import { apartIn } from '@/core/classes/apart'
import { groupBreath } from '@/core/teaching/breath'
import type { TimedPlan } from '@/core/teaching/class-run'
import { foldRun, type ClassEvent, type Run } from '@/core/classes/run'
import type { Attempt } from '@/core/readiness/evidence'
import { CARD_LINES } from '@/core/words/emergency'
import { blockTitle, describeApart } from '@/core/words/plan'
import { listAssistants } from '@/db/assistants'
import { absentFrom, joinedLate } from '@/db/attendance'
import { classLines, eventsOf, findClass } from '@/db/classes'
import { decisionsOf } from '@/db/decisions'
import { lastNotes, type NoteLine } from '@/db/notes'
import type { Context } from '../context'
import { classFile, type ClassFile } from '../desk/class-file'
import { judgeOfClass } from '../desk/class-judge'
import { viewDecision, type DecisionView } from '../desk/decision-view'
import { apartHere, closedTonight } from '../desk/limit-words'
import { peopleOf } from '../desk/people'
import type { DrillMark } from './drill-mark'
import { stageBrief, type StageBrief } from './stage-brief'
import { drillOf, togetherIn } from './together'
import { drilledIn, triesOf } from './tries'

export type TeachPerson = {
  id: string
  name: string
  /** What they leave out tonight, in words; empty on a private screen. */
  limits: string[]
  /** The newest words kept of them; empty on a private screen. */
  note: string
  /** Whether hands may help tonight. */
  touch: 'no' | 'ask' | 'yes'
  /** For whoever came late: by block, the drills they owe before they join in; empty for everybody else. */
  owes: readonly (readonly OwedDrill[])[]
}
/** A drill of somebody's own warm-up. */
export type OwedDrill = { readonly id: string; readonly name: string; readonly seconds: number }
export type Recorded = Pick<
  Attempt,
  'id' | 'hlc' | 'studentId' | 'stageId' | 'outcome' | 'level' | 'faults' | 'exitControlled' | 'endedBy'
>

/** A climb: what `work` says of somebody, with the rungs before and after it. */
export type Climb = { readonly path: readonly StageBrief[]; readonly top: number }

export type TeachData = {
  classId: string
  title: string
  /** What is timed: blocks and turns. What people do stands with the people, in words. */
  plan: TimedPlan
  titles: string[]
  /** The group's own breath, s. */
  breathS: number | null
  /** By block: of whoever climbs, the way from its foot to its end, with the place of what they work at in it. */
  climbs: Record<string, Climb>[]
  /** What happened so far, as the server has it. */
  events: ClassEvent[]
  people: TeachPerson[]
  /** By block: what everybody does in it, by person. */
  work: Record<string, StageBrief>[]
  recorded: Recorded[]
  /** Drills that were done. */
  drilled: DrillMark[]
  /** Drills, warm-ups and counterposes done together, by id. */
  warm: Record<string, string>
  /** The emergency card: it lies with the class, so that it opens with the server away. */
  emergency: { label: string; text: string }[]
  /** Who does something else during one of them, in words, by its id. */
  apart: Record<string, string[]>
}

/** Everything the floor screen needs, in one read: the plan as it holds tonight. */
export function teachData(ctx: Context, classId: string): TeachData | null {
  const { scope, practice, studio, privacy } = ctx
  const record = findClass(scope, classId)
  const file = record ? classFile(ctx, record) : null
  if (!record || !file) return null
  const { plan } = file
  const { nameOf, students } = peopleOf(ctx, record.roster)
  const judge = judgeOfClass(ctx, record)
  const helpers = new Map(listAssistants(scope).map((a) => [a.id, a.name]))
  const absent = absentFrom(scope, classId)
  const events = eventsOf(scope, classId)
  const started = events.find((e) => e.event === 'started')
  const late = started ? joinedLate(scope, classId, started.hlc) : new Set()
  const notes = privacy.hidden ? new Map<string, NoteLine>() : lastNotes(scope, record.roster)
  const together = togetherIn(practice, plan, (id) => judge.tonight(id))
  const attempts = triesOf(scope, classId)
  /** What somebody does on a rung of their way in a block; the way's own end says what comes after it, and what is hoped. */
  const briefOf = (block: Work, doing: Doing, rung: Doing, next = ''): StageBrief =>
    stageBrief(ctx, judge, rung, students.get(doing.studentId), {
      block,
      then: rung === doing ? describeThen(practice, stepOf(file.brief, doing)) : next,
      hope:
        rung === doing
          ? describeHope(practice, hopedDoing(file.hoped, block, doing), block, file.brief?.room)
          : '',
      place: placeName(doing.place, file.brief?.room),
      waiting: block.waves > 1 ? (drillOf(practice, doing.waiting)?.name ?? '') : '',
      helper:
        rung.helper === null ? '' : rung.helper === 'teacher' ? 'you' : (helpers.get(rung.helper) ?? ''),
    })
  return {
    classId,
    title: record.title,
    plan: {
      minutes: plan.minutes,
      // Of the people only who is up when: limits stand in words beside the names.
      blocks: plan.blocks.map((block) =>
        isWork(block) ? { ...block, people: block.people.map((d) => whenUp(d, block)) } : block,
      ),
    },
    breathS: groupBreath([...students.values()].map((s) => s.breathS)),
    titles: plan.blocks.map((b) => blockTitle(practice, b.kind, isWork(b) ? b.purpose : '')),
    events,
    people: [...new Set(plan.blocks.flatMap(doingsOf).map((d) => d.studentId))]
      .filter((id) => !absent.has(id))
      .map((id) => ({
        id,
        name: nameOf(id),
        limits: closedTonight(ctx, judge, id),
        note: notes.get(id)?.text ?? '',
        touch: judge.touch(id),
        owes: late.has(id) ? owedBy(ctx, file, id) : [],
      })),
    work: plan.blocks.map((block) =>
      isWork(block) ? Object.fromEntries(block.people.map((d) => [d.studentId, briefOf(block, d, d)])) : {},
    ),
    climbs: plan.blocks.map((block) =>
      isWork(block)
        ? Object.fromEntries(
            block.people.flatMap((d): [string, Climb][] => {
              const path = pathOf(practice, file.brief, block, d)
              if (path.length < 2) return []
              const way = path.flatMap((rung) => rung.variantId ?? [])
              const rungs = path.map((rung, i) => ({
                ...briefOf(block, d, rung, describeNextRung(practice, path[i + 1]?.variantId ?? null)),
                way,
              }))
              return [[d.studentId, { path: rungs, top: d.climb.length }]]
            }),
          )
        : {},
    ),
    recorded: attempts.map(
      ({ id, hlc, studentId, stageId, outcome, level, faults, exitControlled, endedBy }) => ({
        ...{ id, hlc, studentId, stageId, outcome, level, exitControlled, endedBy },
        faults: [...faults],
      }),
    ),
    drilled: drilledIn(scope, classId),
    warm: Object.fromEntries(together.map((b) => [b.id, `${b.name}: ${b.do}`])),
    emergency: CARD_LINES.flatMap(({ key, label }) =>
      studio.emergency[key] === '' ? [] : [{ label, text: studio.emergency[key] }],
    ),
    apart: Object.fromEntries(
      together.map((b) => [
        b.id,
        file.brief
          ? describeApart(practice, apartHere(ctx, apartIn(practice, file.brief, b, b.others)), nameOf)
          : [],
      ]),
    ),
  }
}

/** What somebody who came late warms up with before they join in, block by block. */
function owedBy({ practice }: Context, { plan, brief }: ClassFile, id: string): OwedDrill[][] {
  const person = brief?.people.find((p) => p.studentId === id)
  if (!person) return []
  return plan.blocks.map((_, at) =>
    ownWarmUp(practice, plan, person, at).map((item) => ({
      ...item,
      name: drillOf(practice, item.id)?.name ?? '',
    })),
  )
}

/** When somebody is up, and nothing of why they do what they do. */
function whenUp({ studentId, variantId, wave, turns, every, holdS }: Doing, { kind }: Work): Doing {
  // How long somebody stays says when they come out.
  return { ...WAITING, studentId, variantId, wave, turns, every, holdS: kind === 'stay' ? holdS : null }
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
