import 'server-only'
import { comingOdds, headcount } from '@/core/attendance/odds'
import { daysBetween, formatDay } from '@/core/day'
import type { Plan } from '@/core/planning/plan'
import { findById, library } from '@/core/practice/library'
import { wearDue } from '@/core/props/inventory'
import type { Decision } from '@/core/readiness/decide'
import { needsLook } from '@/core/readiness/offers'
import { placePeople } from '@/core/room/places'
import { EMPTY_ROOM, type Room } from '@/core/room/room'
import { conditionsOf } from '@/core/screening/answers'
import { count } from '@/core/words/number'
import { OUTCOME_WORD } from '@/core/words/outcome'
import { markOf } from '../readiness/decision-view'
import { describePlanWarning } from '@/core/words/plan'
import { attendanceBefore, rosterOf } from '@/db/attendance'
import { nextClass, type ClassRecord } from '@/db/classes'
import { listProps } from '@/db/inventory'
import { listStudents } from '@/db/students'
import { context, type Context } from '../context'
import { judgeFor, type Judge } from '../judge'
import { makePlan, peopleOf } from '../plans/queries'

/** A sentence that wants settling, and where that is done. */
export type Settle = { readonly text: string; readonly href: string }
export type TodayData =
  | { state: 'empty'; people: number; wallSet: boolean }
  | { state: 'no-class'; people: number; bays: number }
  | {
      state: 'class'
      id: string
      title: string
      when: string
      isToday: boolean
      planned: boolean
      room: Room
      people: number
      expected: string
      checkedIn: number
      occupants: { at: string; name: string; mark: string }[]
      settle: Settle[]
    }

/** The first screen: tonight's room, what needs settling, the one next thing. */
export function todayData(): TodayData {
  const ctx = context()
  const people = listStudents(ctx.db)
  if (people.length === 0 || ctx.studio.bays === 0)
    return { state: 'empty', people: people.length, wallSet: ctx.studio.bays > 0 }
  const record = nextClass(ctx.db, ctx.today)
  if (!record) return { state: 'no-class', people: people.length, bays: ctx.studio.bays }
  const judge = judgeFor(ctx, record.id)
  const plan = record.plan ?? valueOf(makePlan(ctx, record))
  const room = ctx.studio.room ?? EMPTY_ROOM
  const roster = record.roster
  const { placed, unplaced } = placePeople(room, roster, firstWave(plan))
  const { nameOf } = peopleOf(ctx)
  const decisions = new Map(roster.map((id) => [id, judge.decide(id)]))
  const short = shortNames(roster.map(nameOf))
  return {
    state: 'class',
    id: record.id,
    title: record.title,
    when: `${record.day === ctx.today ? 'tonight' : formatDay(record.day)} at ${record.startTime}`,
    isToday: record.day === ctx.today,
    planned: record.plan !== null,
    room,
    people: roster.length,
    expected: expectedLine(ctx, record),
    checkedIn: roster.filter((id) => judge.checkIn(id) !== null).length,
    occupants: placed.map(({ studentId, at }) => ({
      at,
      name: short.get(nameOf(studentId)) ?? '',
      mark: OUTCOME_WORD[markFor(decisions.get(studentId))],
    })),
    settle: sentences({ ctx, record, judge, decisions, plan, unplaced: unplaced.length }),
  }
}

function firstWave(plan: Plan | null): readonly { bay: number; studentId: string }[] {
  return plan?.blocks.find((b) => b.kind === 'waves')?.turns[0]?.up ?? []
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

/** How many will be there, from who came before. */
export function expectedLine({ db }: Context, record: ClassRecord): string {
  const history = attendanceBefore(db, record.roster, record.day)
  const marks = new Map(rosterOf(db, record.id).map((r) => [r.studentId, r.attended]))
  const odds = record.roster.map((id) => {
    const mark = marks.get(id) ?? null
    return mark === null ? comingOdds(history.get(id) ?? []) : mark === 'absent' ? 0 : 1
  })
  const { expected, from, to } = headcount(odds)
  return from === to
    ? `${to} of ${record.roster.length} here`
    : `probably ${Math.round(expected)} of ${record.roster.length} (${from} to ${to})`
}

type Known = {
  ctx: Context
  record: ClassRecord
  judge: Judge
  decisions: ReadonlyMap<string, Decision>
  plan: Plan | null
  unplaced: number
}

/** At most three sentences, the heaviest first: safety, then what the plan lacks, then what nobody knows yet. */
function sentences({ ctx, record, judge, decisions, plan, unplaced }: Known): Settle[] {
  const students = listStudents(ctx.db).filter((s) => record.roster.includes(s.id))
  const withOutcome = (outcome: Decision['outcome']) =>
    students.filter((s) => decisions.get(s.id)?.outcome === outcome)
  const back = withOutcome('step-back')
  const first = withOutcome('offer').filter((s) => {
    const decision = decisions.get(s.id)
    return isFirstSolo(decision) && judge.looked(s.id, decision?.targetId ?? '') === null
  })
  const stale = students.flatMap((s) => {
    const days = oldestExpired(judge, s.id, ctx.today)
    return days === null ? [] : [{ ...s, days }]
  })
  const unasked = students.filter(
    (s) => !judge.limits(s.id).answered && judge.evidence(s.id).observations.length === 0,
  )
  const wear = wearDue(listProps(ctx.db), ctx.today)
  const lines: (Settle | null)[] = [
    back.length > 0
      ? { text: `${names(back)}: one rung easier tonight.`, href: `/readiness/${back[0]?.id ?? ''}` }
      : null,
    first.length > 0
      ? {
          text: `${count(first.length, 'first try', 'first tries')} to look at before anybody goes up: ${names(first)}.`,
          href: '/readiness',
        }
      : null,
    stale[0]
      ? {
          text: `Ask ${stale[0].name} again: a health answer is ${Math.floor(stale[0].days / 30)} months old${stale.length > 1 ? `, and ${stale.length - 1} more like it` : ''}.`,
          href: `/students/${stale[0].id}/health`,
        }
      : null,
    ...(plan?.warnings ?? []).map((w) => ({ text: describePlanWarning(w), href: `/plans/${record.id}` })),
    unplaced > 0
      ? { text: `${count(unplaced, 'person', 'people')} without a mat place.`, href: '/studio' }
      : null,
    unasked.length > 0
      ? {
          text: `Ask at the door: nothing is known of ${names(unasked)} yet.`,
          href: `/teach/${record.id}/door`,
        }
      : null,
    wear.length > 0
      ? { text: `${count(wear.length, 'thing')} in the cupboard to look over.`, href: '/studio/cupboard' }
      : null,
  ]
  return lines.flatMap((line) => (line ? [line] : [])).slice(0, 3)
}

/** An offer that waits for the teacher’s own look. */
function isFirstSolo(decision: Decision | undefined): boolean {
  return decision?.targetId ? needsLook(findById(library().stages, decision.targetId)) : false
}

/** Age of the oldest answer that has run out, days; null where none has. */
function oldestExpired(judge: Judge, id: string, today: string): number | null {
  const { screening } = judge.health(id)
  const { expired } = conditionsOf(library(), screening, today)
  const ages = expired.map((q) =>
    Math.min(...screening.answers.filter((a) => a.question === q).map((a) => daysBetween(a.day, today))),
  )
  return ages.length > 0 ? Math.max(...ages) : null
}

function names(people: readonly { name: string }[]): string {
  const first = people.slice(0, 2).map((p) => p.name)
  return people.length > 2 ? `${first.join(', ')} and ${people.length - 2} more` : first.join(' and ')
}

function valueOf<T>(result: { ok: true; value: T } | { ok: false }): T | null {
  return result.ok ? result.value : null
}

/** The same mark as on the board. */
function markFor(decision: Decision | undefined): Decision['outcome'] {
  return decision ? markOf(decision) : 'build'
}
