import 'server-only'
import type { LinkClosed } from '@/core/words/private-link'
import { formatDay, shortDay, type Day } from '@/core/day'
import type { Picture } from '@/core/figure/picture'
import { pictureFor } from '@/core/figure/picture-of'
import { afterWeek, nextDose } from '@/core/home/grow'
import { mayGoHome } from '@/core/home/compose'
import { AT_HOME, type AtHome, type HomeItem, type Tick } from '@/core/home/home'
import { findById } from '@/core/practice/find'
import { LOAD_TAGS, type Drill } from '@/core/practice/schema'
import { count } from '@/core/words/number'
import { describeHomeDose } from '@/core/words/home'
import { weakerFirst } from '@/core/words/next-steps'
import { homePlansOf, openLinkOf, studentOfLink, ticksOf, type HomePlan } from '@/db/home'
import { findStudent, type StudentRecord } from '@/db/students'
import { anyBody, bodyOfStudent } from '../body'
import type { Context } from '../context'
import { ownNumbers } from '../desk/hand-numbers'
import { homeGround } from './sheet'
import { openLink } from '../private-link'

export type HomeItemView = {
  id: string
  name: string
  dose: string
  do: string
  lookFor: string
  side: string
  /** Where hands and props go on this body; empty where nothing is placed. */
  numbers: string
  /** Whether nobody has shown it to them in class yet. */
  isNew: boolean
  /** Closed since the sheet was made: it is left out until they have talked. */
  closed: boolean
  picture: Picture | null
}

/** A week at home, as whoever does it reads it. */
export type HomeSheetView = {
  planId: string
  madeDay: Day
  madeLabel: string
  minutes: number
  days: { day: Day; label: string }[]
  items: HomeItemView[]
  /** What may stand in for what is not there, and what never. */
  instead: string[]
  /** By `drill day`. */
  ticks: Record<string, Tick>
}

export type HomeView = {
  id: string
  name: string
  sheet: HomeSheetView | null
  form: { minutes: number; times: number; has: AtHome[] }
  /** What was said of this week, and so what the next one does with each. */
  after: string[]
  /** Until when a private link is open; empty where none is. */
  linkUntil: string
  /** What comes first where nothing may go home; empty otherwise. */
  first: string
}

/** What is there where nobody has said. */
const USUAL_HOME: readonly AtHome[] = ['wall', 'strap', 'block', 'blanket']
const USUAL = { minutes: 15, times: 2 } as const

/** Somebody's home practice: this week's sheet, what came of it, what next. */
export function homeView(ctx: Context, id: string): HomeView | null {
  const { scope, clock, privacy } = ctx
  const student = findStudent(scope, id)
  if (!student) return null
  const [last] = homePlansOf(scope, id)
  const ground = homeGround(ctx, student)
  const link = openLinkOf(scope, id, clock.today)
  return {
    ...{ id, name: student.name },
    sheet: last ? sheetView(ctx, student, last, ground) : null,
    form: last
      ? { minutes: last.sheet.minutes, times: last.sheet.days.length, has: last.sheet.has }
      : { ...USUAL, has: [...USUAL_HOME] },
    after: last ? afterLines(ctx, student, last, ground) : [],
    linkUntil: link ? formatDay(link.expires) : '',
    first:
      ground.referral === null
        ? ''
        : privacy.hidden
          ? 'Talk with them before anything else.'
          : ground.referral,
  }
}

/** The sheet that a private link leads to: a first name, what to do, and nothing else of anybody. */
export function homeByToken(
  ctx: Context,
  token: string,
): { name: string; sheet: HomeSheetView } | { closed: LinkClosed } {
  return openLink(token, (tokenHash) => {
    const studentId = studentOfLink(ctx.scope, tokenHash, ctx.clock.today)
    const student = studentId === null ? null : findStudent(ctx.scope, studentId)
    const [last] = student ? homePlansOf(ctx.scope, student.id) : []
    if (!student || !last) return null
    return {
      name: student.name.split(' ')[0] ?? '',
      sheet: sheetView(ctx, student, last, homeGround(ctx, student)),
    }
  })
}

function sheetView(
  ctx: Context,
  student: StudentRecord,
  { id, day, sheet }: HomePlan,
  { within, shown, ways, referral }: ReturnType<typeof homeGround>,
): HomeSheetView {
  const { practice, scope } = ctx
  const own = bodyOfStudent(student)
  const has = new Set(sheet.has)
  const wanted = new Set<string>()
  const items = sheet.items.map((item): HomeItemView => {
    const drill = findById(practice.drills, item.drillId)
    for (const thing of [...drill.props, drill.place]) wanted.add(thing)
    return {
      ...{ id: drill.id, name: drill.name, do: drill.do, lookFor: drill.lookFor },
      dose: describeHomeDose(item, student.breathS),
      side: weakerFirst(item.weaker),
      numbers: ownNumbers(ctx, own, drill.setups[0] ?? null, ways),
      isNew: !shown.has(drill.id) && isWork(drill),
      // An alarm closes everything: first what it asks for.
      closed: referral !== null || !mayGoHome(drill, within, has),
      picture: pictureFor(practice, drill.id, own ?? anyBody()),
    }
  })
  return {
    ...{ planId: id, madeDay: day, madeLabel: formatDay(day), minutes: sheet.minutes },
    days: sheet.days.map((d) => ({ day: d, label: shortDay(d) })),
    items,
    instead: practice.substitutes.flatMap((s) =>
      AT_HOME.some((thing) => thing === s.for) && wanted.has(s.for)
        ? [`For a ${s.for}: ${s.use}; never ${s.never}.`]
        : [],
    ),
    ticks: Object.fromEntries(ticksOf(scope, id).map((t) => [`${t.drillId} ${t.day}`, t.tick])),
  }
}

/** Real work wants to be seen once before it goes home; a wrist roll or a breath does not. */
function isWork({ load }: Drill): boolean {
  return LOAD_TAGS.some((tag) => (load[tag] ?? 0) >= 2)
}

/** What this week's ticks do to each thing next week, as the next sheet will have it. */
function afterLines(
  { practice, scope }: Context,
  { breathS }: StudentRecord,
  { id, sheet }: HomePlan,
  { within, firstMonth }: ReturnType<typeof homeGround>,
): string[] {
  const ticks = ticksOf(scope, id)
  if (ticks.length === 0) return []
  return sheet.items.map((item) => {
    const mine = ticks.filter((t) => t.drillId === item.drillId)
    const times = mine.filter((t) => t.tick === 'done').length
    const after = afterWeek(
      mine.map((t) => t.tick),
      sheet.days.length,
    )
    const next = nextDose(practice, item, after, { within, breathS, firstMonth })
    const work = ({ sets, reps, holdS }: HomeItem): number => sets * (reps ?? 1) * (holdS ?? 1)
    const change = Math.sign(work(next) - work(item))
    const then = change > 0 ? 'a little more next week' : change < 0 ? 'less next week' : 'the same next week'
    return `${findById(practice.drills, item.drillId).name}: done ${count(times, 'time')} of ${sheet.days.length}; ${then}.`
  })
}
