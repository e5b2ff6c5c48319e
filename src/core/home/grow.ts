import { changeOn } from '../classes/change'
import { fitDose, lessBy } from '../practice/dose'
import type { Library } from '../practice/library'
import type { Dose } from '../practice/schema'
import type { Within } from '../readiness/within'
import type { HomeItem, Tick } from './home'

/** A week grows by no more than a fifth (A38; class-craft.md 12). */
const MOST_GROWTH = 1.2
/** What was too much goes down by a fifth. */
const LESS = 0.8
/** Done in this share of its sessions it was a full week. */
const FULL_WEEK = 2 / 3

/** What a week's ticks say of one thing: more, the same, or less. */
export function afterWeek(ticks: readonly Tick[], sessions: number): 'more' | 'same' | 'less' {
  if (ticks.includes('too-much')) return 'less'
  return ticks.filter((t) => t === 'done').length >= FULL_WEEK * sessions ? 'more' : 'same'
}

type By = { readonly within: Within; readonly breathS: number; readonly firstMonth: boolean }

/**
 * Next week's dose of one thing. It grows by the drill's own rule where it has one, else by a fifth at most, rounded
 * down, up to the usual dose and never past what limits leave; what was too much goes down, never under one. A count is
 * rounded from what it has grown to over the weeks.
 */
export function nextDose(
  practice: Pick<Library, 'drills'>,
  item: HomeItem,
  after: ReturnType<typeof afterWeek>,
  by: By,
): HomeItem {
  const drill = practice.drills.find((d) => d.id === item.drillId)
  if (!drill) return item
  const change = changeOn(drill, by.within)
  const limitS = change?.mostSeconds ?? Infinity
  const most = lessBy(
    fitDose(drill.dose, { breathS: by.breathS, mostSeconds: change?.mostSeconds ?? null }),
    change?.share ?? 1,
  )
  const step = (now: number, bound: number): number => {
    const wanted =
      after === 'more' ? Math.floor(now * MOST_GROWTH) : after === 'less' ? Math.floor(now * LESS) : now
    return Math.max(1, Math.min(wanted, Math.max(bound, 1)))
  }
  const held = (now: number): number => {
    const { growth } = drill.dose
    const bound = boundOf(drill.dose, most.holdS ?? now, limitS, by.firstMonth)
    // The drill's own seconds a week, within the fifth that no week passes.
    if (after === 'more' && growth)
      return Math.max(1, Math.min(now + growth.weeklyS, Math.floor(now * MOST_GROWTH), bound))
    return step(now, bound)
  }
  const sets = Math.min(item.sets, most.sets)
  if (item.reps === null || item.holdS !== null)
    return {
      ...{ ...item, sets, holdS: item.holdS === null ? null : held(item.holdS) },
      // Seconds grow where there are any: both at once would be more than a fifth.
      reps: item.reps === null ? null : Math.min(item.reps, most.reps ?? item.reps),
    }
  const times = { more: MOST_GROWTH, same: 1, less: LESS }[after]
  const level = Math.max(1, Math.min((item.level ?? item.reps) * times, Math.max(1, most.reps ?? item.reps)))
  return { ...item, sets, level, reps: Math.floor(level + 1e-9) }
}

/** How long a hold may get: where its own growth leads, else the usual dose; a first month has its own end, a limit the last word. */
function boundOf({ growth }: Dose, usual: number, limitS: number, firstMonth: boolean): number {
  const to = growth ? (firstMonth ? (growth.firstMonthS ?? growth.toS) : growth.toS) : usual
  return Math.min(limitS, Math.max(usual, to))
}
