import 'server-only'
import { isFirstMonth } from '@/core/approaches/floor'
import { composeHome, mayGoHome, type HomeAsked } from '@/core/home/compose'
import { sessionDays } from '@/core/home/days'
import { afterWeek, nextDose } from '@/core/home/grow'
import type { AtHome, HomeItem, HomeSheet } from '@/core/home/home'
import { addDays, nextWeekday, type Day } from '@/core/day'
import { findById } from '@/core/practice/find'
import { standing } from '@/core/readiness/drills'
import { sideGaps } from '@/core/readiness/sides'
import { referralIn } from '@/core/words/limit'
import { classDaysOf } from '@/db/class-days'
import { drillsOf, firstFactDays } from '@/db/evidence'
import { listGroups } from '@/db/groups'
import { ticksOf, type HomePlan } from '@/db/home'
import type { StudentRecord } from '@/db/students'
import { done, problem, type Answer } from '../answer'
import type { Context } from '../context'
import { beforeThem } from '../desk/before-them'
import { judgeOf } from '../desk/judge'

/** What a sheet is asked for with. */
export type HomeForm = { readonly minutes: number; readonly times: number; readonly has: readonly AtHome[] }

/** What somebody may do alone today, and what is short: asked once for compose, growth and screens. */
export function homeGround(ctx: Context, student: StudentRecord) {
  const { practice, scope, clock } = ctx
  const { today } = clock
  const judge = judgeOf(ctx)
  const { caps, missing, within, evidence: shownToo } = beforeThem(ctx, judge, student)
  const [first] = firstFactDays(scope, [student.id]).get(student.id)?.toSorted() ?? []
  return {
    within,
    missing,
    sides: sideGaps(practice, shownToo.observations, today),
    shown: new Set(standing(drillsOf(scope, student.id)).map((d) => d.drillId)),
    /** What an alarm asks first, in words; null where there is none. */
    referral: referralIn(caps.caps.filter((c) => c.refer === 'urgent' || c.refer === 'home')),
    firstMonth: isFirstMonth(first, today),
    ways: judge.approaches(student.id),
  }
}

/** A first sheet, or one made anew. */
export function freshSheet(ctx: Context, student: StudentRecord, form: HomeForm): Answer<HomeSheet> {
  const ground = homeGround(ctx, student)
  if (ground.referral !== null) return problem(`Nothing goes home now. First: ${ground.referral}`)
  const made = composeHome(ctx.practice, askedFor(student, ground, form))
  if (!made.ok) return problem(NOTHING_OPEN)
  return withDays(ctx, student, form, made.value)
}

/** What of a sheet may still be done today; nothing where an alarm comes first. */
export function openItems(ctx: Context, student: StudentRecord, { items, has }: HomeSheet): HomeItem[] {
  const { within, referral } = homeGround(ctx, student)
  const there: ReadonlySet<AtHome> = new Set(has)
  if (referral !== null) return []
  return items.filter(({ drillId }) => {
    const drill = ctx.practice.drills.find((d) => d.id === drillId)
    return drill !== undefined && mayGoHome(drill, within, there)
  })
}

const NOTHING_OPEN =
  'Nothing may go home yet: too little of what is done alone is open, or there is too little to do it with. Talk it through in class first.'

/** The week after a sheet: each thing grows, stays or goes down by what was said of it; what is closed since leaves. */
export function nextSheet(
  ctx: Context,
  student: StudentRecord,
  last: HomePlan,
  form: HomeForm,
): Answer<HomeSheet> {
  const { practice, scope } = ctx
  const ground = homeGround(ctx, student)
  if (ground.referral !== null) return problem(`Nothing goes home now. First: ${ground.referral}`)
  const ticks = ticksOf(scope, last.id)
  const has: ReadonlySet<AtHome> = new Set(form.has)
  const by = { within: ground.within, breathS: student.breathS, firstMonth: ground.firstMonth }
  const kept = last.sheet.items
    .filter(({ drillId }) => {
      const drill = practice.drills.find((d) => d.id === drillId)
      return drill !== undefined && mayGoHome(drill, ground.within, has)
    })
    .map((item) =>
      nextDose(
        practice,
        item,
        afterWeek(
          ticks.filter((t) => t.drillId === item.drillId).map((t) => t.tick),
          last.sheet.days.length,
        ),
        by,
      ),
    )
  if (kept.length === last.sheet.items.length) return withDays(ctx, student, form, kept)
  const made = composeHome(practice, askedFor(student, ground, form))
  if (!made.ok) return kept.length > 0 ? withDays(ctx, student, form, kept) : problem(NOTHING_OPEN)
  // What left is made up for, within the minutes, by what would be asked today.
  let left = form.minutes - minutesOf(ctx, kept)
  const more = made.value.filter(({ drillId }) => {
    const { minutes } = findById(practice.drills, drillId)
    if (minutes > left || kept.some((k) => k.drillId === drillId)) return false
    left -= minutes
    return true
  })
  return withDays(ctx, student, form, [...kept, ...more].slice(0, last.sheet.items.length))
}

function minutesOf({ practice }: Context, items: readonly HomeItem[]): number {
  return items.reduce((sum, { drillId }) => sum + findById(practice.drills, drillId).minutes, 0)
}

function askedFor(
  { breathS }: StudentRecord,
  { within, missing, sides, shown }: ReturnType<typeof homeGround>,
  { minutes, has }: HomeForm,
): HomeAsked {
  return { minutes, has: new Set(has), within, missing, sides, shown, breathS }
}

function withDays(
  ctx: Context,
  { id }: StudentRecord,
  { minutes, times, has }: HomeForm,
  items: readonly HomeItem[],
): Answer<HomeSheet> {
  const { today } = ctx.clock
  const days = sessionDays(today, times, daysOfClasses(ctx, id))
  if (days.length === 0)
    return problem('No day of this week stands two days from every class: give the arms their rest.')
  return done({ minutes, days, has: [...has], items: [...items] })
}

/** Days of classes around the coming week: those already set, and their group's evening. */
function daysOfClasses({ scope, clock }: Context, studentId: string): Day[] {
  const { today } = clock
  const set = classDaysOf(scope, studentId, addDays(today, -1), addDays(today, 9))
  const evenings = listGroups(scope)
    .filter((g) => g.members.includes(studentId))
    .map((g) => nextWeekday(addDays(today, 1), g.weekday))
  return [...new Set([...set, ...evenings])]
}
