import 'server-only'
import type { LinkClosed } from '@/core/words/private-link'
import { isWork, type Doing, type PlanBlock, type Work } from '@/core/classes/plan'
import { formatDay } from '@/core/day'
import { findEntry } from '@/core/library/entries'
import { hopedDoing } from '@/core/planning/hope'
import { leavesFloor } from '@/core/readiness/gate'
import { waysOut } from '@/core/screening/ways-out'
import { CARD_LINES } from '@/core/words/emergency'
import { describeHope } from '@/core/words/hope'
import { describeTouch } from '@/core/words/floor'
import { halfMinutes } from '@/core/words/number'
import { blockTitle, describeChange, NOTHING_OPEN, PART_DO, variantName } from '@/core/words/plan'
import { describeClimb } from '@/core/words/climb'
import { describeRun, describeTurns, placeName } from '@/core/words/turns'
import { listAssistants } from '@/db/assistants'
import { absentFrom } from '@/db/attendance'
import { classOfLink } from '@/db/class-links'
import { findClass, type ClassRecord } from '@/db/classes'
import type { Context } from '../context'
import { classFile, type ClassFile } from '../desk/class-file'
import { judgeOfClass } from '../desk/class-judge'
import type { Judge } from '../desk/judge'
import { closedTonight } from '../desk/limit-words'
import { peopleOf } from '../desk/people'
import { screeningState } from '../desk/screening'
import { openLink } from '../private-link'

/** What one person does in a block, in a line. */
export type CoverDoing = {
  name: string
  what: string
  how: string
  change: string
  beside: string
  out: string
}
export type CoverBlock = {
  key: string
  title: string
  minutes: string
  run: string
  together: string[]
  doings: CoverDoing[]
}

/** One class as whoever stands in needs it: its people, what they leave out, the hour, the emergency card. */
export type Cover = {
  title: string
  when: string
  minutes: number
  people: { name: string; touch: string; limits: string[] }[]
  blocks: CoverBlock[]
  emergency: { label: string; text: string }[]
}

/** Why a link opens nothing today. */
export type NoCover = { readonly closed: LinkClosed | 'not-today'; readonly day: string }

/** The class that a stand-in's link leads to, on its own day; limits in words and never why. */
export function coverByToken(ctx: Context, token: string): Cover | NoCover {
  const link = openLink(token, (tokenHash) => {
    const classId = classOfLink(ctx.scope, tokenHash)
    const record = classId === null ? null : findClass(ctx.scope, classId)
    const file = record ? classFile(ctx, record) : null
    return record && file ? { record, file } : null
  })
  if ('closed' in link) return { ...link, day: '' }
  const { record, file } = link
  if (record.day !== ctx.clock.today) return { closed: 'not-today', day: formatDay(record.day) }
  // Whoever stands in sees what a teacher's screen shows with the notes shut.
  return coverOf({ ...ctx, privacy: { hidden: false, notesOpen: false } }, record, file)
}

function coverOf(ctx: Context, record: ClassRecord, file: ClassFile): Cover {
  const { scope, studio } = ctx
  const judge = judgeOfClass(ctx, record)
  const { nameOf } = peopleOf(ctx, record.roster)
  const absent = absentFrom(scope, record.id)
  const here = record.roster.filter((id) => !absent.has(id))
  const helpers = new Map(listAssistants(scope).map((a) => [a.id, a.name]))
  return {
    title: record.title,
    when: `${formatDay(record.day)}, ${record.startTime}`,
    minutes: file.plan.minutes,
    people: here.map((id) => ({
      name: nameOf(id),
      touch: describeTouch(judge.touch(id)),
      limits: [...closedTonight(ctx, judge, id), ...unasked(ctx, judge, id)],
    })),
    blocks: file.plan.blocks.map((block) => ({
      ...blockHead(ctx, block),
      doings: isWork(block)
        ? block.people
            .filter((d) => !absent.has(d.studentId))
            .map((d) => doingLine(ctx, file, { doing: d, block }, nameOf(d.studentId), helpers))
        : [],
    })),
    emergency: CARD_LINES.flatMap(({ key, label }) =>
      studio.emergency[key] === '' ? [] : [{ label, text: studio.emergency[key] }],
    ),
  }
}

/** Whoever was never asked about health is kept on the floor, and a stand-in has to know it. */
function unasked(ctx: Context, judge: Judge, id: string): string[] {
  return screeningState(ctx, judge, id).code === 'not-asked'
    ? ['full inversions and whatever leaves the floor, since nobody asked about health yet']
    : []
}

function blockHead({ practice }: Context, block: PlanBlock): Omit<CoverBlock, 'doings'> {
  const together = isWork(block) ? [] : block.items.flatMap(({ id }) => findEntry(practice, id)?.name ?? [])
  return {
    key: `${block.startS} ${block.kind}`,
    title: blockTitle(practice, block.kind, isWork(block) ? block.purpose : ''),
    minutes: `${halfMinutes(block.seconds)} min`,
    run: isWork(block) ? describeRun(block) : (PART_DO[block.kind] ?? ''),
    together,
  }
}

function doingLine(
  { practice }: Context,
  { brief, hoped }: ClassFile,
  { doing, block }: { readonly doing: Doing; readonly block: Work },
  name: string,
  helpers: ReadonlyMap<string, string>,
): CoverDoing {
  const stage = practice.stages.find((s) => s.id === doing.variantId)
  const beside =
    doing.helper === null ? '' : doing.helper === 'teacher' ? 'you' : (helpers.get(doing.helper) ?? '')
  const place = placeName(doing.place, brief?.room)
  const caps = brief?.people.find((p) => p.studentId === doing.studentId)?.limits ?? []
  return {
    name,
    what: doing.variantId === null ? NOTHING_OPEN : variantName(practice, doing.variantId),
    how: [
      place,
      describeClimb(practice, doing),
      doing.variantId === null ? '' : describeTurns(doing, block),
      describeHope(practice, hopedDoing(hoped, block, doing), block, brief?.room),
    ]
      .filter((t) => t !== '')
      .join(' · '),
    change: describeChange(doing.change),
    beside,
    out: stage && leavesFloor(stage) ? (waysOut(practice, stage, { caps })[0]?.do ?? '') : '',
  }
}
