import 'server-only'
import { daysBetween, formatDay } from '@/core/day'
import { isWork, turnsOf, type Plan } from '@/core/classes/plan'
import { isHeldOut } from '@/core/incident/consequence'
import { findById } from '@/core/practice/find'
import { wearDue } from '@/core/props/inventory'
import type { Decision } from '@/core/readiness/decide'
import { needsLook } from '@/core/readiness/offers'
import { placePeople } from '@/core/room/places'
import { EMPTY_ROOM, usableBays, type Room } from '@/core/room/room'
import { conditionsOf } from '@/core/screening/answers'
import { count } from '@/core/words/number'
import { markOf, type Mark } from '@/core/readiness/mark'
import { OUTCOME_WORD } from '@/core/words/outcome'
import { describePlanWarning, PART_WORD } from '@/core/words/plan'
import { nextClass, type ClassRecord } from '@/db/classes'
import { listProps } from '@/db/inventory'
import { listNames } from '@/db/students'
import type { Context } from '../context'
import { classFile, familyOf } from '../desk/class-file'
import { decisionsFor, judgeOfClass } from '../desk/class-judge'
import { expectedLine } from '../desk/headcount'
import type { Judge } from '../desk/judge'
import { peopleOf } from '../desk/people'
import { remembered } from '../desk/remember'

/** A sentence that wants settling, where that is done, and the word on its button. */
export type Settle = { readonly text: string; readonly href: string; readonly do: string }
/** One part of the hour, for the ribbon. */
export type Part = { readonly title: string; readonly minutes: number; readonly kind: string }
export type TodayData =
  | { state: 'empty'; people: number; wallSet: boolean; keyLost: string }
  | { state: 'no-class'; people: number; bays: number; keyLost: string }
  | {
      state: 'class'
      id: string
      title: string
      when: string
      isToday: boolean
      planned: boolean
      /** What a missing key closes; empty while it is there. */
      keyLost: string
      room: Room
      people: number
      expected: string
      checkedIn: number
      occupants: { at: string; name: string; mark: string }[]
      settle: Settle[]
      /** The hour, part by part, as it is kept; empty where no plan is. */
      parts: Part[]
    }

/** The first screen: tonight's room, what needs settling, the one next thing. */
export function todayData(ctx: Context): TodayData {
  return remembered(ctx, 'today', () => makeToday(ctx))
}

function makeToday(ctx: Context): TodayData {
  const { scope, clock, studio, health } = ctx
  const people = listNames(scope)
  const keyLost = health.code === 'ok' ? '' : KEY_LOST[health.code]
  if (people.length === 0 || studio.bays === 0)
    return { state: 'empty', people: people.length, wallSet: studio.bays > 0, keyLost }
  const record = nextClass(scope, clock.today)
  if (!record) return { state: 'no-class', people: people.length, bays: studio.bays, keyLost }
  const stored = classFile(ctx, record)
  // Only what is kept is shown: a plan that nobody made has no minutes.
  const plan = stored?.plan ?? null
  const room = studio.room ?? EMPTY_ROOM
  const { roster } = record
  const { placed, unplaced } = placePeople(room, roster, firstWave(plan, room))
  const { nameOf } = peopleOf(ctx, roster)
  const list = new Map(roster.map((id) => [id, onList(ctx, record, id)]))
  const short = shortNames(roster.map(nameOf))
  return {
    state: 'class',
    id: record.id,
    title: record.title,
    when: `${record.day === clock.today ? 'tonight' : formatDay(record.day)} at ${record.startTime}`,
    isToday: record.day === clock.today,
    planned: stored !== null,
    keyLost,
    room,
    people: roster.length,
    expected: expectedLine(ctx, record),
    checkedIn: [...list.values()].filter((person) => person.checkedIn).length,
    occupants: placed.map(({ studentId, at }) => ({
      at,
      name: short.get(nameOf(studentId)) ?? '',
      mark: OUTCOME_WORD[list.get(studentId)?.mark ?? 'not-seen'],
    })),
    settle: sentences({ ctx, record, list, plan, unplaced: unplaced.length }),
    parts: (plan?.blocks ?? []).map(({ kind, seconds }) => ({
      kind,
      title: PART_WORD[kind],
      minutes: Math.max(1, Math.round(seconds / 60)),
    })),
  }
}

/** What this screen says of one person on the list. */
type OnList = {
  readonly mark: Mark
  readonly outcome: Decision['outcome']
  readonly checkedIn: boolean
  /** A first solo try that waits for the teacher's own look. */
  readonly waits: boolean
  /** Age of the oldest health answer that has run out, days; null where none has. */
  readonly staleDays: number | null
  /** Held out of something since a report, until they are asked again. */
  readonly heldOut: boolean
  /** Nothing is known of them yet, of health or of what they do. */
  readonly unasked: boolean
}

/** Worked out from nobody else and kept, so that a tap for one of twelve reads one of them anew. */
function onList(ctx: Context, record: ClassRecord, id: string): OnList {
  const { id: classId, day } = record
  const family = familyOf(record)
  return remembered(ctx, `${family} of ${id} in ${classId} on ${day}`, () => {
    const judge = judgeOfClass(ctx, { id: classId, day })
    const decision = decisionsFor(ctx, { id: classId, day, roster: [id] }, judge)(id, family)
    const { outcome, targetId } = decision
    return {
      mark: markOf(decision),
      outcome,
      checkedIn: judge.checkIn(id) !== null,
      waits: outcome === 'offer' && isFirstSolo(ctx, decision) && judge.looked(id, targetId ?? '') === null,
      staleDays: oldestExpired(ctx, judge, id),
      heldOut: isHeldOut(judge.limits(id)),
      unasked: !judge.limits(id).answered && judge.evidence(id).observations.length === 0,
    }
  })
}

const KEY_LOST = {
  lost: 'The key of the health notes is missing. Everything above gentle work is closed to everybody who had answered, until it is back.',
  wrong:
    'The key of the health notes is not the one that sealed them. Everything above gentle work is closed to everybody who had answered, until the right one is back.',
} as const

/** Who is in which bay when the first wave of the turns is up. */
function firstWave(plan: Plan | null, room: Room): readonly { bay: number; studentId: string }[] {
  const peak = plan?.blocks.filter(isWork).find((b) => b.kind === 'peak' || b.kind === 'stay')
  const bays = usableBays(room)
  return (peak ? (turnsOf(peak)[0]?.up ?? []) : []).flatMap(({ place, studentId }) => {
    const bay = bays.findIndex((b) => b.id === place)
    return bay < 0 ? [] : [{ bay: bay + 1, studentId }]
  })
}

/** First names, with an initial where two share one. */
function shortNames(names: readonly string[]): Map<string, string> {
  const firsts = names.map((n) => n.split(' ')[0] ?? n)
  return new Map(
    names.map((name, i) => {
      const first = firsts[i] ?? name
      const shared = firsts.filter((f) => f === first).length > 1
      return [name, shared ? `${first} ${name.split(' ').at(-1)?.charAt(0) ?? ''}.` : first]
    }),
  )
}

type Known = {
  ctx: Context
  record: ClassRecord
  list: ReadonlyMap<string, OnList>
  plan: Plan | null
  unplaced: number
}

/** At most three sentences, the heaviest first: safety, then what the plan lacks, then what nobody knows yet. */
function sentences({ ctx, record, list, plan, unplaced }: Known): Settle[] {
  const students = [...peopleOf(ctx, record.roster).students.values()].filter((s) => s.archivedDay === null)
  const back = students.filter((s) => list.get(s.id)?.outcome === 'step-back')
  const first = students.filter((s) => list.get(s.id)?.waits)
  const stale = students.flatMap((s) => {
    const days = list.get(s.id)?.staleDays ?? null
    return days === null ? [] : [{ ...s, days }]
  })
  const unasked = students.filter((s) => list.get(s.id)?.unasked)
  const wear = wearDue(listProps(ctx.scope), ctx.clock.today)
  const heldOut = students.filter((s) => list.get(s.id)?.heldOut)
  const lines: (Settle | null)[] = [
    heldOut.length > 0
      ? {
          text: `Ask ${names(heldOut)} how it is since the report: held out of what it concerns until then.`,
          href: `/students/${heldOut[0]?.id ?? ''}/health`,
          do: 'Ask now',
        }
      : null,
    back.length > 0
      ? {
          text: `${names(back)}: one rung easier ${record.day === ctx.clock.today ? 'tonight' : 'then'}.`,
          href: `/readiness/${back[0]?.id ?? ''}`,
          do: 'See why',
        }
      : null,
    first.length > 0
      ? {
          text: `${count(first.length, 'first try', 'first tries')} to look at before anybody goes up: ${names(first)}.`,
          href: '/readiness',
          do: 'Look at them',
        }
      : null,
    stale[0]
      ? {
          text: `Ask ${stale[0].name} again: a health answer is ${howLong(stale[0].days)} old${stale.length > 1 ? `, and ${stale.length - 1} more like it` : ''}.`,
          href: `/students/${stale[0].id}/health`,
          do: 'Ask now',
        }
      : null,
    ...(plan?.warnings ?? []).map((w) => ({
      text: describePlanWarning(w, ctx.practice, peopleOf(ctx, record.roster).nameOf),
      href: `/plans/${record.id}`,
      do: 'Open the plan',
    })),
    unplaced > 0
      ? {
          text: `${count(unplaced, 'person', 'people')} without a mat place.`,
          href: '/studio',
          do: 'Place them',
        }
      : null,
    unasked.length > 0
      ? {
          text: `Ask at the door: nothing is known of ${names(unasked)} yet.`,
          href: `/teach/${record.id}/door`,
          do: 'At the door',
        }
      : null,
    wear.length > 0
      ? {
          text: `${count(wear.length, 'thing')} in the cupboard to look over.`,
          href: '/studio/cupboard',
          do: 'Look',
        }
      : null,
  ]
  return lines.flatMap((line) => (line ? [line] : [])).slice(0, 3)
}

/** An offer that waits for the teacher’s own look. */
function isFirstSolo({ practice }: Context, decision: Decision): boolean {
  return decision.targetId ? needsLook(findById(practice.stages, decision.targetId)) : false
}

/** A span as it is said: in weeks until they are many, then in months. */
function howLong(days: number): string {
  return days < 70 ? count(Math.floor(days / 7), 'week') : count(Math.floor(days / 30), 'month')
}

/** Age of the oldest answer that has run out, days; null where none has. */
function oldestExpired({ practice, clock: { today } }: Context, judge: Judge, id: string): number | null {
  const { screening } = judge.health(id)
  const { expired } = conditionsOf(practice, screening, today)
  const ages = expired.map((q) =>
    Math.min(...screening.answers.filter((a) => a.question === q).map((a) => daysBetween(a.day, today))),
  )
  return ages.length > 0 ? Math.max(...ages) : null
}

function names(people: readonly { name: string }[]): string {
  const first = people.slice(0, 2).map((p) => p.name)
  return people.length > 2 ? `${first.join(', ')} and ${people.length - 2} more` : first.join(' and ')
}
