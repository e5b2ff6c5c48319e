import 'server-only'
import { formatDay } from '@/core/day'
import { OUTCOME_WORD } from '@/core/words/outcome'
import { describePlanWarning } from '@/core/words/plan'
import { nextClass } from '@/db/classes'
import { evidenceByStudent } from '@/db/evidence'
import { NO_EVIDENCE } from '@/core/readiness/evidence'
import { listStudents } from '@/db/students'
import { context, type Context } from '../context'
import { makePlan, peopleOf } from '../plans/queries'
import { limitsByStudent } from '../health/queries'
import { decideFor } from '../readiness/queries'

export type RoomSpot = { name: string; mark: string; bay: number | null }
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
      bays: number
      wallBays: number
      spots: RoomSpot[]
      settle: string[]
    }

/** The first screen: tonight's room, what needs settling, the one next thing. */
export function todayData(): TodayData {
  const ctx = context()
  const people = listStudents(ctx.db)
  if (people.length === 0 || ctx.studio.bays === 0)
    return { state: 'empty', people: people.length, wallSet: ctx.studio.bays > 0 }
  const record = nextClass(ctx.db, ctx.today)
  if (!record) return { state: 'no-class', people: people.length, bays: ctx.studio.bays }
  const { nameOf } = peopleOf(ctx)
  const planned = record.plan ?? valueOf(makePlan(ctx, record))
  const evidence = evidenceByStudent(ctx.db)
  const limitsFor = limitsByStudent(ctx)
  const waves = planned?.blocks.find((b) => b.kind === 'waves')
  const firstUp = waves?.turns[0]?.up ?? []
  const spots = record.roster.map((id) => ({
    name: nameOf(id),
    mark: OUTCOME_WORD[decideFor(id, evidence.get(id) ?? NO_EVIDENCE, ctx.today, limitsFor(id)).outcome],
    bay: firstUp.find((place) => place.studentId === id)?.bay ?? null,
  }))
  return {
    state: 'class',
    id: record.id,
    title: record.title,
    when: `${record.day === ctx.today ? 'tonight' : formatDay(record.day)} at ${record.startTime}`,
    isToday: record.day === ctx.today,
    planned: record.plan !== null,
    bays: record.bays,
    wallBays: ctx.studio.bays,
    spots,
    settle: sentences(ctx, record.roster, planned?.warnings.map(describePlanWarning) ?? []),
  }
}

/** At most three sentences, the heaviest first. */
function sentences(ctx: Context, roster: readonly string[], warnings: readonly string[]): string[] {
  const evidence = evidenceByStudent(ctx.db)
  const limitsFor = limitsByStudent(ctx)
  const students = listStudents(ctx.db).filter((s) => roster.includes(s.id))
  const back = students.filter(
    (s) =>
      decideFor(s.id, evidence.get(s.id) ?? NO_EVIDENCE, ctx.today, limitsFor(s.id)).outcome === 'step-back',
  )
  const unknown = students.filter((s) => !evidence.has(s.id))
  const unmeasured = students.filter((s) => s.statureCm === null)
  const lines = [
    ...(back.length > 0 ? [`${names(back)}: one rung easier tonight.`] : []),
    ...warnings,
    ...(unknown.length > 0 ? [`Ask at the door: nothing is known of ${names(unknown)} yet.`] : []),
    ...(unmeasured.length > 0
      ? [`No height for ${names(unmeasured)}: their distances cannot be worked out.`]
      : []),
  ]
  return lines.slice(0, 3)
}

function names(people: readonly { name: string }[]): string {
  const first = people.slice(0, 2).map((p) => p.name)
  return people.length > 2 ? `${first.join(', ')} and ${people.length - 2} more` : first.join(' and ')
}

function valueOf<T>(result: { ok: true; value: T } | { ok: false }): T | null {
  return result.ok ? result.value : null
}
