import 'server-only'
import { doingsOf, isWork, type Doing, type Plan } from '@/core/classes/plan'
import { wentWithout } from '@/core/classes/without'
import { formatDay } from '@/core/day'
import { foldRun } from '@/core/classes/run'
import { findById } from '@/core/practice/find'
import type { Library } from '@/core/practice/library'
import { foldEvidence, type Attempt } from '@/core/readiness/evidence'
import { toldOf } from '@/core/readiness/from-tries'
import { repeatAtHome } from '@/core/teaching/at-home'
import { stoppedBy } from '@/core/teaching/outcome'
import { ranAgainst } from '@/core/teaching/ran'
import { recordedTwice } from '@/core/teaching/twice'
import { describeFade } from '@/core/words/next-steps'
import { list } from '@/core/words/number'
import { blockTitle, variantName } from '@/core/words/plan'
import { stageName } from '@/core/words/reason'
import { describeRan, describeTries } from '@/core/words/wrap'
import { absentFrom } from '@/db/attendance'
import { eventsOf, findClass, type ClassRecord } from '@/db/classes'
import { notesOfClass } from '@/db/notes'
import { bodyOfStudent } from '../body'
import type { Context } from '../context'
import { classFile, type ClassFile } from '../desk/class-file'
import { judgeOfClass } from '../desk/class-judge'
import { fadesFor } from '../desk/fade-lines'
import { ownNumbers } from '../desk/hand-numbers'
import { judgeOf } from '../desk/judge'
import { peopleOf } from '../desk/people'
import { standings } from '../desk/standing'
import { triesOf } from './tries'

/** Two minutes after a class: what ran against the plan, what was seen of each, and room for a word. */
export type WrapUp = {
  classId: string
  title: string
  dayLabel: string
  ended: boolean
  blocks: { title: string; ran: string }[]
  /** On a private screen no note is told, and that it is not is. */
  hidden: boolean
  people: { id: string; name: string; seen: string[]; notes: { id: string; text: string }[] }[]
  /** Who had no turn at the wall, or no helper, though others had. */
  short: string[]
  /** What may come off, or come back, next time, by what was seen up to this class. */
  next: string[]
  /** The same try recorded on two screens, which somebody has to settle. */
  twice: { id: string; studentId: string; line: string }[]
}

export function wrapUp(ctx: Context, classId: string): WrapUp | null {
  const { scope, practice, privacy } = ctx
  const record = findClass(scope, classId)
  if (!record) return null
  const file = classFile(ctx, record)
  const events = eventsOf(scope, classId)
  const { nameOf } = peopleOf(ctx, record.roster)
  const attempts = triesOf(scope, classId)
  const notes = privacy.hidden ? [] : notesOfClass(scope, classId)
  return {
    ...{ classId, title: record.title, dayLabel: formatDay(record.day) },
    ended: foldRun(events).state === 'ended',
    blocks: file
      ? ranAgainst(file.plan, events).map((ran) => {
          const block = file.plan.blocks[ran.blockIndex]
          const title = block ? blockTitle(practice, block.kind, isWork(block) ? block.purpose : '') : ''
          return { title, ran: describeRan(ran) }
        })
      : [],
    hidden: privacy.hidden,
    people: present(ctx, record).map((id) => ({
      id,
      name: nameOf(id),
      seen: seenOfPerson(practice, attempts, id),
      notes: notes.filter((n) => n.studentId === id).map(({ id: noteId, text }) => ({ id: noteId, text })),
    })),
    short: file ? shortOf(file, nameOf) : [],
    next: nextTime(ctx, record, attempts, nameOf),
    twice: recordedTwice(attempts).map(({ id, studentId, stageId }) => ({
      ...{ id, studentId },
      line: `${nameOf(studentId)}: ${stageName(practice, stageId)}`,
    })),
  }
}

function present({ scope }: Context, { id, roster }: ClassRecord): string[] {
  const absent = absentFrom(scope, id)
  return roster.filter((studentId) => !absent.has(studentId))
}

function seenOfPerson(practice: Library, attempts: readonly Attempt[], studentId: string): string[] {
  const mine = attempts.filter((a) => a.studentId === studentId)
  return [...new Set(mine.map((a) => a.stageId))].map(
    (stageId) =>
      `${stageName(practice, stageId)}: ${describeTries(mine.filter((a) => a.stageId === stageId))}`,
  )
}

/** Props that may come off or should come back, of the steps that were tried in this class. */
function nextTime(
  ctx: Context,
  record: ClassRecord,
  attempts: readonly Attempt[],
  nameOf: (id: string) => string,
): string[] {
  const { practice } = ctx
  const judge = judgeOfClass(ctx, record)
  const kept = standings(ctx, record.roster)
  return present(ctx, record).flatMap((id) => {
    const tried = new Set(attempts.filter((a) => a.studentId === id).map((a) => a.stageId))
    const now = kept.get(id)
    if (tried.size === 0 || !now) return []
    const evidence = foldEvidence(judge.evidence(id), record.day)
    const mine = { ...evidence, attempts: evidence.attempts.filter((a) => tried.has(a.stageId)) }
    // A step belongs to one family; who steps back there keeps what is under them.
    return now.decisions
      .filter((d) => [...tried].some((s) => findById(practice.stages, s).family === d.family))
      .flatMap((d) => {
        const own = mine.attempts.filter((a) => findById(practice.stages, a.stageId).family === d.family)
        return fadesFor(ctx, judge, d, { ...mine, attempts: own }, record.day)
      })
      .map((fade) => `${nameOf(id)}. ${describeFade(practice, fade)}`)
  })
}

/** Who went without what others had. */
function shortOf({ plan, brief }: ClassFile, nameOf: (id: string) => string): string[] {
  const { wall, help } = wentWithout(plan, brief)
  return [
    ...(wall.length > 0 ? [`No turn at the wall, though others had one: ${list(wall.map(nameOf))}.`] : []),
    ...(help.length > 0
      ? [`Nobody beside them, though others had somebody: ${list(help.map(nameOf))}.`]
      : []),
  ]
}

/** What somebody takes home: what they did, their own numbers, two things to repeat. */
export type Recap = {
  title: string
  dayLabel: string
  people: {
    id: string
    name: string
    did: { what: string; came: string; numbers: string }[]
    repeat: { what: string; how: string }[]
    /** Whoever stopped, unwell or spent, is told to rest and given nothing to repeat. */
    rests: boolean
  }[]
}

/** At most so many things to repeat: more is not done. */
const REPEATED = 2

export function recap(ctx: Context, classId: string): Recap | null {
  const { scope, practice } = ctx
  const record = findClass(scope, classId)
  const file = record ? classFile(ctx, record) : null
  if (!record || !file) return null
  const attempts = triesOf(scope, classId)
  const { nameOf, students } = peopleOf(ctx, record.roster)
  const judge = judgeOfClass(ctx, record)
  const now = judgeOf(ctx)
  const ran = ranAgainst(file.plan, eventsOf(scope, classId))
  // What was left out, or cut on the way, nobody did; of a class from paper all of it counts.
  const done = {
    ...file.plan,
    blocks: file.plan.blocks.filter((_, i) => ran.length === 0 || ran[i]?.ranS != null),
  }
  return {
    title: record.title,
    dayLabel: formatDay(record.day),
    people: present(ctx, record).map((id) => {
      const mine = doingsOfPerson(done, id)
      const rests = stoppedBy(attempts.filter((a) => a.studentId === id)) !== null
      const body = bodyOfStudent(students.get(id))
      const once = saidOnce()
      return {
        id,
        name: nameOf(id),
        did: mine.flatMap((doing) =>
          wayOf(doing).flatMap(({ variantId, setupId }) => {
            const tries = attempts.filter((a) => a.studentId === id && a.stageId === variantId)
            // On the way and beyond it only what was tried.
            if (variantId !== doing.variantId && tries.length === 0) return []
            return {
              what: variantName(practice, variantId),
              came: tries.length > 0 ? describeTries(tries) : '',
              numbers: once(ownNumbers(ctx, body, setupId, judge.approaches(id))),
            }
          }),
        ),
        rests,
        repeat: rests
          ? []
          : repeatAtHome(practice, mine, [judge.tonight(id), now.tonight(id)])
              .slice(0, REPEATED)
              .map((drill) => ({ what: drill.name, how: drill.do })),
      }
    }),
  }
}

/** Passes a sentence on the first time and nothing after that. */
function saidOnce(): (words: string) => string {
  const said = new Set<string>()
  return (words) => {
    const isNew = !said.has(words)
    said.add(words)
    return isNew ? words : ''
  }
}

function doingsOfPerson(plan: Plan, studentId: string): Doing[] {
  const mine = plan.blocks.flatMap(doingsOf).filter((d) => d.studentId === studentId && d.variantId !== null)
  return [...new Map(mine.map((d) => [d.variantId, d])).values()]
}

/** What somebody does in a block with the rungs before it and what may come after it. */
function wayOf({ climb, variantId, setupId, then }: Doing): { variantId: string; setupId: string | null }[] {
  const after = then === null ? [] : [{ variantId: then, setupId: null }]
  return [...climb, ...(variantId === null ? [] : [{ variantId, setupId }]), ...after]
}

/** What is copied in from a sheet: in its order, everybody's steps of the hour. */
export type SheetToEnter = {
  classId: string
  title: string
  dayLabel: string
  people: { id: string; name: string; stages: SheetStage[] }[]
}
/** A step on the sheet; whether a leg leads it, and whether held seconds say something. */
type SheetStage = { id: string; name: string; leads: boolean; timed: boolean }

export function sheetToEnter(ctx: Context, classId: string): SheetToEnter | null {
  const { scope, practice } = ctx
  const record = findClass(scope, classId)
  const file = record ? classFile(ctx, record) : null
  if (!record || !file) return null
  const { nameOf } = peopleOf(ctx, record.roster)
  return {
    ...{ classId, title: record.title, dayLabel: formatDay(record.day) },
    people: present(ctx, record).map((id) => ({
      id,
      name: nameOf(id),
      stages: [
        ...new Set(doingsOfPerson(file.plan, id).flatMap((d) => wayOf(d).map((rung) => rung.variantId))),
      ].flatMap((stageId) => {
        const stage = practice.stages.find((s) => s.id === stageId)
        return stage ? [{ id: stage.id, name: stage.name, ...toldOf(practice, stage.id) }] : []
      }),
    })),
  }
}
