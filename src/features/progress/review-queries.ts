import 'server-only'
import { levelOf, reaches } from '@/core/access/roles'
import { wentWithout } from '@/core/classes/without'
import { addDays, daysBetween, formatDay } from '@/core/day'
import { soreAgain } from '@/core/progress/sore'
import { findById } from '@/core/practice/find'
import type { Decision } from '@/core/readiness/decide'
import { foldEvidence, NO_EVIDENCE } from '@/core/readiness/evidence'
import { forecastGate } from '@/core/readiness/forecast'
import { count, list } from '@/core/words/number'
import { describeStill } from '@/core/words/progress'
import { stageName } from '@/core/words/reason'
import { classLines, comingSince, findClass } from '@/db/classes'
import { decisionsOf } from '@/db/decisions'
import { lastFactDays, resultsSince } from '@/db/evidence'
import { readHealth } from '@/db/health'
import { listNames } from '@/db/students'
import type { Context } from '../context'
import { toldPlan } from '../desk/class-brief'
import { remembered } from '../desk/remember'
import { judgeOf } from '../desk/judge'
import { standings } from '../desk/standing'
import { stillOf } from '../desk/still'

/** A person with a sentence, and where to go on. */
export type Line = { readonly id: string; readonly name: string; readonly text: string }

/** The studio's week on one page. */
export type Review = {
  /** The first of its seven days, in words. */
  readonly from: string
  readonly taught: number
  readonly moved: readonly Line[]
  readonly still: readonly Line[]
  readonly away: readonly Line[]
  readonly short: readonly Line[]
  /** Null where the health notes are shut. */
  readonly sore: readonly Line[] | null
}

/** Who came lately: nobody else can stand still, go short or be sore again, days. */
const LATELY_DAYS = 28
/** Not seen for longer than this is worth a word; much longer is no news, days. */
const AWAY_FROM = 21
const AWAY_TO = 120
/** Times short of what others had before it is said. */
const SHORT_TIMES = 2
/** Classes read back for who went short. */
const CLASSES_READ = 12

/**
 * What this week says about everybody who comes.
 * @param members of one group alone; null for the whole studio
 */
export function studioReview(ctx: Context, members: ReadonlySet<string> | null = null): Review {
  const of = members === null ? 'everybody' : [...members].toSorted().join(' ')
  return remembered(ctx, `review ${of}`, () => makeReview(ctx, members))
}

/** The same on a page that others than teachers open too: null for whoever may not open the week's own. */
export function reviewForTeachers(ctx: Context): Review | null {
  return reaches(ctx.actor.role, levelOf('/progress')) ? studioReview(ctx) : null
}

function makeReview(ctx: Context, members: ReadonlySet<string> | null): Review {
  const { scope, clock, privacy } = ctx
  const { today } = clock
  const names = new Map(
    listNames(scope).flatMap((s) => (members && !members.has(s.id) ? [] : [[s.id, s.name] as const])),
  )
  const line = (id: string, text: string): Line[] => {
    const name = names.get(id)
    return name === undefined ? [] : [{ id, name, text }]
  }
  const lately = [...comingSince(scope, addDays(today, -LATELY_DAYS), today)].filter((id) => names.has(id))
  const byName = (a: Line, b: Line): number => a.name.localeCompare(b.name)
  const from = addDays(today, -6)
  const ended = classLines(scope, addDays(today, 1), CLASSES_READ).lines.filter((c) => c.state === 'ended')
  const thisWeek = ended.filter((c) => c.day >= from)
  return {
    from: formatDay(from),
    taught: thisWeek.length,
    moved: movedIn(ctx, thisWeek, line).sort(byName),
    still: stillNow(ctx, lately, line),
    away: awayNow(ctx, [...names.keys()], line),
    short: shortIn(ctx, ended, line),
    sore: privacy.notesOpen ? soreNow(ctx, lately, line).sort(byName) : null,
  }
}

type Say = (id: string, text: string) => Line[]
type Ended = readonly { readonly id: string }[]

/** Whose step became another one in the week's classes. */
function movedIn({ scope, practice }: Context, classes: Ended, line: Say): Line[] {
  return classes
    .flatMap((c) => decisionsOf(scope, c.id))
    .flatMap(({ studentId, before, after }) => {
      const [from, to] = [before.standing?.stageId ?? null, after.standing?.stageId ?? null]
      return to === null || from === to ? [] : line(studentId, `now at ${stageName(practice, to)}`)
    })
}

/** Who works at something that does not move, the longest first. */
function stillNow(ctx: Context, ids: readonly string[], line: Say): Line[] {
  return ids
    .flatMap((id) => {
      const worst = remembered(ctx, `still ${id}`, () => longestStill(ctx, id))
      return worst ? line(id, worst.text).map((said) => ({ said, weeks: worst.weeks })) : []
    })
    .toSorted((a, b) => b.weeks - a.weeks || a.said.name.localeCompare(b.said.name))
    .map(({ said }) => said)
}

function longestStill(ctx: Context, id: string): { readonly text: string; readonly weeks: number } | null {
  const judge = judgeOf(ctx)
  const open = (standings(ctx, [id]).get(id)?.decisions ?? []).filter((d) => d.missing.length > 0)
  const all = flatIn(ctx, open).flatMap((d) => stillOf(ctx, judge, d))
  const worst = all.toSorted((a, b) => b.weeks - a.weeks)[0]
  return worst ? { text: describeStill(ctx.practice, worst, ctx.studio), weeks: worst.weeks } : null
}

/** A trend looks back so far: what is older tells nothing of it, days. */
const TREND_DAYS = 70

/**
 * Decisions in which some result that is asked for next has not moved, from its own last rows: only for them is all of
 * somebody's evidence read. What is read from tries has a page of its own.
 */
function flatIn(ctx: Context, decisions: readonly Decision[]): Decision[] {
  const { scope, practice, clock } = ctx
  const [first] = decisions
  if (!first) return []
  const results = resultsSince(scope, first.studentId, addDays(clock.today, -TREND_DAYS))
  const { observations } = foldEvidence({ ...NO_EVIDENCE, observations: results }, clock.today)
  return decisions.filter(({ missing }) =>
    missing.some(({ gate, state }) => {
      const check = findById(practice.checks, gate.check)
      const isAsked = state !== 'unknown' && (gate.op === '>=' || gate.op === '<=')
      if (!isAsked || check.shownOn !== undefined) return false
      return forecastGate(gate, check, observations, clock.today).code === 'flat'
    }),
  )
}

function awayNow({ scope, clock }: Context, ids: readonly string[], line: Say): Line[] {
  const last = lastFactDays(scope, ids)
  return ids
    .flatMap((id) => {
      const day = last.get(id)
      const days = day === undefined ? 0 : daysBetween(day, clock.today)
      return day === undefined || days <= AWAY_FROM || days > AWAY_TO ? [] : [{ id, day, days }]
    })
    .toSorted((a, b) => a.days - b.days)
    .flatMap(({ id, day, days }) =>
      line(id, `last seen ${formatDay(day)}, ${count(Math.round(days / 7), 'week')} ago`),
    )
}

/** Who had no turn at the wall, or nobody beside them, more than once while others had. */
function shortIn(ctx: Context, classes: Ended, line: Say): Line[] {
  const times = new Map<string, { wall: number; help: number }>()
  for (const { id } of classes) {
    const record = findClass(ctx.scope, id)
    const planned = record && toldPlan(ctx, record)
    if (!planned) continue
    const { wall, help } = wentWithout(planned.plan, planned.brief)
    for (const [who, what] of [
      [wall, 'wall'],
      [help, 'help'],
    ] as const)
      for (const student of who) {
        const sofar = times.get(student) ?? { wall: 0, help: 0 }
        times.set(student, { ...sofar, [what]: sofar[what] + 1 })
      }
  }
  return [...times].flatMap(([id, { wall, help }]) => {
    const parts = [
      ...(wall >= SHORT_TIMES ? [`no turn at the wall in ${count(wall, 'class', 'classes')}`] : []),
      ...(help >= SHORT_TIMES ? [`nobody beside them in ${count(help, 'class', 'classes')}`] : []),
    ]
    return parts.length === 0 ? [] : line(id, `${list(parts)} while others had`)
  })
}

function soreNow(ctx: Context, ids: readonly string[], line: Say): Line[] {
  return ids.flatMap((id) =>
    remembered(ctx, `sore ${id}`, () =>
      soreAgain(readHealth(ctx.scope, ctx.health.key, id).checkIns, ctx.clock.today),
    ).flatMap(({ region, days }) =>
      line(id, `${region} sore on ${list(days.map(formatDay))}: ask what they did before it`),
    ),
  )
}
