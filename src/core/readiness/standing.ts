import { daysBetween, type Day } from '../day'
import { afterSatisfied, answersTo, namesIn } from '../practice/after'
import { EVIDENCE_WINDOW_DAYS, PLACEMENT_DAYS, type Attempt, type Evidence } from './evidence'
import { isCleanWork } from './favourable'
import { DAYS_BY_FALL, fallLevel } from './gate'
import { stepsBelow, type Ladder } from './ladder'
import { activeDays, longestGap, rungsFor } from './layoff'
import type { Stage } from '../practice/schema'

export type Standing = {
  readonly stageId: string
  readonly by: 'clean-days' | 'placement'
  readonly day: Day
  readonly evidenceIds: readonly string[]
  /** What was held before a time away that is over; the rungs are shown again from here. */
  readonly before: { readonly stageId: string; readonly daysAway: number } | null
}

export type Layoff = {
  readonly code: 'layoff'
  readonly daysAway: number
  readonly rungs: 0 | 1 | 2
  readonly lastDay: Day
}

export type Base = {
  readonly stageId: string
  /** Where it was shown, before the rungs that times away took. */
  readonly shownAt: string
  readonly by: Standing['by']
}

export type Footing = {
  /** The highest stage held, after the rungs that earlier times away took. */
  readonly standing: Standing | null
  /** Stages held or placed, each after the rungs that times away took, today's included. */
  readonly bases: readonly Base[]
  /** The base of the standing itself; null without one. */
  readonly topId: string | null
  /** A time away that still goes on. */
  readonly layoff: Layoff | null
}

type Held = Omit<Standing, 'before'>

/**
 * What somebody stands on: every stage that was clean on its days, or placed by eye in the last 28 days, less the rungs
 * that times away took. One time away counts, the longest since: two short ones are no worse than one long one.
 * @param evidence already folded
 */
export function footingOf(ladder: Ladder, evidence: Evidence, asOf: Day): Footing {
  const held = [
    ...ladder.stages
      .flatMap((stage) => heldByCleanDays(stage, evidence.attempts) ?? [])
      .filter((h) => !isSteppedOnto(ladder, evidence, h)),
    ...placed(ladder, evidence, asOf),
  ]
  if (held.length === 0) return { standing: null, bases: [], topId: null, layoff: null }
  const active = activeDays(ladder, evidence)
  const lastDay = active.at(-1) ?? asOf
  const awayNow = daysBetween(lastDay, asOf)
  const at = held.map((h) => {
    const past = longestGap(active, h.day, asOf)
    const [was, now] = [rungsFor(past), rungsFor(Math.max(past, awayNow))]
    return {
      base: { stageId: stepsBelow(ladder.stages, h.stageId, now), shownAt: h.stageId, by: h.by },
      rungs: (now - was) as Layoff['rungs'],
      standing: {
        ...h,
        stageId: stepsBelow(ladder.stages, h.stageId, was),
        before: was > 0 ? { stageId: h.stageId, daysAway: past } : null,
      },
    }
  })
  // The highest; of two on one stage the one that tells of a time away, then the one shown by work.
  const rank = ({ standing }: (typeof at)[number]): number =>
    4 * (1000 * ladder.rung(standing.stageId) + ladder.order(standing.stageId)) +
    (standing.before ? 2 : 0) +
    (standing.by === 'clean-days' ? 1 : 0)
  const top = at.reduce((a, b) => (rank(b) > rank(a) ? b : a))
  return {
    standing: top.standing,
    bases: at.map((h) => h.base),
    topId: top.base.stageId,
    layoff: rungsFor(awayNow) > 0 ? { code: 'layoff', daysAway: awayNow, rungs: top.rungs, lastDay } : null,
  }
}

/**
 * Held once it was clean on its days: some run of days within the window satisfied the rule. Later poor days do not take
 * the standing away by themselves; stepping back has its own reasons (ruling 7).
 */
function heldByCleanDays(stage: Stage, attempts: readonly Attempt[]): Held | null {
  const mine = attempts.filter((a) => a.stageId === stage.id)
  if (mine.length === 0) return null
  const rule = DAYS_BY_FALL[isGrave(stage) ? higher(fallLevel(stage)) : fallLevel(stage)]
  const days = [...new Set(mine.map((a) => a.day))].sort()
  const isClean = (day: Day): boolean => mine.some((a) => a.day === day && isCleanWork(a))
  for (let i = days.length - 1; i >= 0; i -= 1) {
    const run = days
      .slice(Math.max(0, i + 1 - rule.of), i + 1)
      .filter((day) => daysBetween(day, days[i] ?? day) <= EVIDENCE_WINDOW_DAYS && isClean(day))
    const newest = run.at(-1)
    if (newest !== undefined && run.length >= rule.clean)
      return {
        stageId: stage.id,
        by: 'clean-days',
        day: newest,
        evidenceIds: mine.filter((a) => run.includes(a.day) && isCleanWork(a)).map((a) => a.id),
      }
  }
  return null
}

/**
 * Whether something was clean on no night but the one on which what it follows on was first clean itself: what is stepped onto
 * is a day of evidence, never a standing (ruling 21).
 */
function isSteppedOnto(ladder: Ladder, { attempts, placements }: Evidence, { stageId, day }: Held): boolean {
  const stage = ladder.stages.find((s) => s.id === stageId)
  const names = stage ? namesIn(stage.after) : []
  const clean = attempts.filter(isCleanWork)
  if (!stage || !clean.some((a) => a.day === day && names.some((name) => answersTo(a.stageId, name))))
    return false
  const known = [
    ...clean.filter((a) => a.day < day).map((a) => a.stageId),
    ...placements.filter((p) => p.day <= day).map((p) => p.stageId),
  ]
  const before = new Set(known.flatMap((id) => (id === null ? [] : [...ladder.credits(id)])))
  return !afterSatisfied(stage, before)
}

/** Weight on the head or the bent neck is proven on more than one day, however low the fall. */
function isGrave({ load: { HB = 0, NF = 0 } }: Stage): boolean {
  return HB >= 3 || NF >= 3
}

function higher(level: ReturnType<typeof fallLevel>): ReturnType<typeof fallLevel> {
  return level === 'low' ? 'medium' : level
}

function placed({ order }: Ladder, evidence: Evidence, asOf: Day): Held[] {
  const newest = evidence.placements.filter((p) => p.stageId === null || order(p.stageId) >= 0).at(-1)
  if (!newest?.stageId || daysBetween(newest.day, asOf) > PLACEMENT_DAYS) return []
  return [{ stageId: newest.stageId, by: 'placement', day: newest.day, evidenceIds: [newest.id] }]
}
