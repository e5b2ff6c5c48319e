import 'server-only'
import { daysBetween, formatDay, shortDay, type Day } from '@/core/day'
import { pictureFor } from '@/core/figure/picture-of'
import type { Picture } from '@/core/figure/picture'
import { findById } from '@/core/practice/find'
import type { Family } from '@/core/practice/schema'
import { beforeGains } from '@/core/progress/before-gains'
import { measuresOf, type Measure } from '@/core/progress/measures'
import { awaysOf, stretchesOf } from '@/core/progress/path-time'
import { tooSoon, weekLoads, type WeekLoad } from '@/core/progress/week-load'
import { standing } from '@/core/readiness/drills'
import { isOpenTo } from '@/core/readiness/may'
import { foldEvidence, type Evidence } from '@/core/readiness/evidence'
import { groundOf } from '@/core/readiness/ground'
import { activeDays } from '@/core/readiness/layoff'
import { ladderOf } from '@/core/readiness/ladder'
import { turningPoints } from '@/core/readiness/replay'
import { sideGaps } from '@/core/readiness/sides'
import { pooledTrials } from '@/core/readiness/trials'
import { closesStage } from '@/core/screening/stage-limits'
import { FAMILY_NAMES } from '@/core/words/family'
import { describeForecast, describePooled, describeSideGap } from '@/core/words/next-steps'
import { describeAnswer } from '@/core/words/offer'
import {
  describeAway,
  describeBefore,
  describeGrowth,
  describeStill,
  describeStretch,
  minutes,
} from '@/core/words/progress'
import { describeAsked, shown, stageName, whyNothing } from '@/core/words/reason'
import { drillsOf } from '@/db/evidence'
import { offerTapsOf } from '@/db/offers'
import { findStudent } from '@/db/students'
import { anyBody, bodyOfStudent } from '../body'
import type { Context } from '../context'
import { remembered } from '../desk/remember'
import { BOARD } from '../desk/families'
import { judgeOf, type Judge } from '../desk/judge'
import { stillOf } from '../desk/still'

export type StretchView = {
  key: string
  name: string
  when: string
  /** Nothing is drawn of what is closed to them now. */
  picture: Picture | null
  closed: boolean
  down: boolean
  /** Width on the line, 0–1. */
  share: number
}

/** A day of a chart: what counted, what did not, and where the line goes on. */
export type ChartPoint = { at: number; counted?: number; other?: number; band?: [number, number] }

export type MeasureView = {
  id: string
  name: string
  /** What comes next asks; empty where nothing ahead does. */
  asked: string
  wanted: number | null
  unit: string
  forecast: string
  gap: string
  points: ChartPoint[]
  rows: { dayLabel: string; value: string; sides: string; counts: string }[]
}

export type WeekView = { label: string; tries: string; joints: string[]; grew: string }

export type PersonProgress = {
  id: string
  name: string
  family: Family
  families: { id: Family; name: string }[]
  stretches: StretchView[]
  aways: string[]
  answers: string[]
  still: string[]
  measures: MeasureView[]
  joints: string[]
  weeks: WeekView[]
  tooSoon: string[]
  drilled: { name: string; times: number; last: string }[]
  /** Aids tried in turns with less, over classes; drills that came before a rise. */
  helps: string[]
}

/** How far back the line of a ladder goes, days: as far as decisions are made anew. */
const LINE_DAYS = 180
/** Rows of a table beside a chart. */
const ROWS = 8

/** What came before a rise is told of so few drills: of twenty it would say nothing. */
const MOST_BEFORE = 3

/** What somebody's weeks say: the ladder over time, measures, load. */
export function personProgress(ctx: Context, id: string, family: Family): PersonProgress | null {
  return remembered(ctx, `weeks of ${id} ${family}`, () => makeProgress(ctx, id, family))
}

function makeProgress(ctx: Context, id: string, family: Family): PersonProgress | null {
  const { scope, practice, clock, studio } = ctx
  const { today } = clock
  const student = findStudent(scope, id)
  if (!student) return null
  const judge = judgeOf(ctx)
  const ladder = ladderOf(practice, family)
  const folded = foldEvidence(judge.evidence(id), today)
  const shownToo = groundOf(practice, judge.evidence(id), today).evidence
  const decision = judge.decide(id, family)
  const drills = standing(drillsOf(scope, id))
  const gaps = new Map(sideGaps(practice, shownToo.observations, today).map((g) => [g.checkId, g]))
  const loads = weekLoads(practice, folded.attempts, drills, today)
  const measures = measuresOf(
    practice,
    shownToo.observations,
    decision.missing.map((m) => m.gate),
    today,
  )
  const limits = judge.tonight(id)
  const joints = [...new Set(loads.flatMap((w) => Object.keys(w.seconds)))].sort()
  return {
    ...{ id, name: student.name, family },
    families: BOARD.map((f) => ({ id: f, name: FAMILY_NAMES[f] })),
    stretches: stretchViews(ctx, judge, { id, family, today }),
    aways: awaysOf(activeDays(ladder, folded), today)
      .filter((a) => daysBetween(a.from, today) <= LINE_DAYS)
      .map(describeAway),
    answers: offerTapsOf(scope, [id])
      .filter((tap) => ladder.order(tap.stageId) >= 0)
      .toSorted((a, b) => b.atMs - a.atMs)
      .map((tap) => `${stageName(practice, tap.stageId)}: ${describeAnswer(tap, studio.timeZone)}.`),
    still: stillOf(ctx, judge, decision).map((s) => describeStill(practice, s, studio)),
    measures: measures.map((m) => {
      const gap = gaps.get(m.checkId)
      return measureView(ctx, m, gap?.told ? describeSideGap(practice, gap) : '')
    }),
    joints,
    weeks: loads.map((w) => weekView(w, joints)),
    tooSoon: tooSoon(practice, folded.attempts, drills).slice(-3).map(formatDay),
    drilled: drilledOf(ctx, drills),
    helps: [
      ...pooledTrials(practice, inLadder(folded, ladder))
        .filter((t) => !closesStage(practice, limits, findById(practice.stages, t.stageId)))
        .map((t) => describePooled(practice, t)),
      ...beforeGains(practice, measures, drills)
        .filter((b) => isOpenTo(limits, findById(practice.drills, b.drillId).load))
        .toSorted((a, b) => b.before - a.before)
        .slice(0, MOST_BEFORE)
        .map((b) => describeBefore(practice, b)),
    ],
  }
}

function inLadder(evidence: Evidence, ladder: ReturnType<typeof ladderOf>): Evidence {
  return { ...evidence, attempts: evidence.attempts.filter((a) => ladder.order(a.stageId) >= 0) }
}

function stretchViews(
  { practice, scope }: Context,
  judge: Judge,
  { id, family, today }: { id: string; family: Family; today: Day },
): StretchView[] {
  const ladder = ladderOf(practice, family)
  const body = bodyOfStudent(findStudent(scope, id) ?? undefined) ?? anyBody()
  const turnings = turningPoints(judge.evidence(id), today, (asOf) => judge.decide(id, family, { asOf }))
  const stretches = stretchesOf(turnings, ladder.order)
  const limits = judge.tonight(id)
  const days = (s: (typeof stretches)[number]): number => Math.max(1, daysBetween(s.from, s.to ?? today))
  const all = stretches.reduce((sum, s) => sum + days(s), 0)
  return stretches.map((s) => {
    const stage = practice.stages.find((x) => x.id === s.stageId)
    const closed = stage !== undefined && closesStage(practice, limits, stage)
    return {
      key: s.from,
      name: stage?.name ?? 'Before the first step',
      when: describeStretch(s),
      picture: stage && !closed ? pictureFor(practice, stage.id, body) : null,
      closed,
      down: s.began === 'down',
      share: days(s) / all,
    }
  })
}

function measureView({ practice, studio }: Context, measure: Measure, gap: string): MeasureView {
  const check = findById(practice.checks, measure.checkId)
  const { gate, forecast, days, band } = measure
  const at = (day: Day): number => Date.parse(`${day}T12:00:00Z`)
  const said = (value: number): string => shown(check, value, studio)
  return {
    id: check.id,
    name: check.name,
    asked: gate ? describeAsked(gate, check, studio) : '',
    wanted: gate?.value ?? null,
    unit: check.unit,
    forecast: forecast ? describeForecast(check, forecast, studio) : '',
    gap,
    points: [
      ...days.map((d) => ({ at: at(d.day), [d.notCounted === null ? 'counted' : 'other']: d.value })),
      ...band.map((b): ChartPoint => ({ at: at(b.day), band: [b.from, b.to] })),
    ].toSorted((a, b) => a.at - b.at),
    rows: days
      .slice(-ROWS)
      .reverse()
      .map((d) => ({
        dayLabel: formatDay(d.day),
        value: said(d.value),
        sides: d.left === null || d.right === null ? '' : `${said(d.left)} · ${said(d.right)}`,
        counts: d.notCounted === null ? 'counts' : whyNothing(d.notCounted),
      })),
  }
}

function weekView(week: WeekLoad, joints: readonly string[]): WeekView {
  return {
    label: shortDay(week.week),
    tries: week.hops === 0 ? '–' : String(week.hops),
    joints: joints.map((joint) => minutes(week.seconds[joint] ?? 0)),
    grew: describeGrowth(week),
  }
}

function drilledOf({ practice }: Context, drills: ReturnType<typeof standing>): PersonProgress['drilled'] {
  return practice.drills
    .flatMap(({ id, name }) => {
      const mine = drills.filter((d) => d.drillId === id)
      const last = mine.at(-1)
      return last ? [{ name, times: mine.length, last: formatDay(last.day), day: last.day }] : []
    })
    .toSorted((a, b) => (a.day < b.day ? 1 : -1))
    .map(({ name, times, last }) => ({ name, times, last }))
}
