import { daysBetween, type Day } from '../day'
import type { Gate, ReadinessCheck } from '../practice/schema'
import type { Observation } from './evidence'
import { cleanDays, type CleanDay } from './gate'

/** How a result has been going, and when it may reach a threshold: always a range, never a date. */
export type Forecast =
  | { readonly code: 'not-enough'; readonly days: number; readonly needed: number }
  /** Nothing shown lately: the last result is so many days old. */
  | { readonly code: 'old'; readonly days: number }
  | { readonly code: 'there'; readonly value: number }
  | { readonly code: 'flat'; readonly weeks: number; readonly value: number }
  | { readonly code: 'weeks'; readonly from: number; readonly to: number; readonly perWeek: number }

/** A trend wants at least this many clean days. */
const LEAST_DAYS = 4
/** Only the last ten weeks tell of the rate. */
const LOOKS_BACK_DAYS = 70
/** A line is not drawn on past this many days after the last result. */
const SILENT_DAYS = 14
/** So many of the last clean days at the mark before somebody is said to be there. */
const THERE_DAYS = 2
/** Further than this is no forecast, weeks. */
const FURTHEST_WEEKS = 26
/** The middle of pairwise slopes that is kept as the range: a nominal 80 %. */
const RANGE = { from: 0.1, to: 0.9 } as const

/**
 * From clean results to when a ≥ or ≤ gate is reached at this rate: the median of all pairwise slopes (Theil–Sen), with
 * the spread of the slopes as its range.
 */
export function forecastGate(
  gate: Gate,
  check: ReadinessCheck,
  observations: readonly Observation[],
  asOf: Day,
): Forecast {
  const all = cleanDays(gate, check, observations).filter((d) => d.day <= asOf)
  const last = all.at(-1)
  const silentDays = last ? daysBetween(last.day, asOf) : 0
  if (silentDays > SILENT_DAYS) return { code: 'old', days: silentDays }
  // What was long ago says nothing of the rate now.
  const days = all.filter((d) => daysBetween(d.day, asOf) <= LOOKS_BACK_DAYS)
  if (!last || days.length < LEAST_DAYS) return { code: 'not-enough', days: days.length, needed: LEAST_DAYS }
  // The line is read where it was last seen, and no further.
  const trend = theilSen(days, last.day)
  const wanted = gate.value ?? 0
  const sign = gate.op === '<=' ? -1 : 1
  const now = trend.at(0)
  const reached = days.slice(-THERE_DAYS).every((d) => sign * d.value >= sign * wanted)
  if (reached && sign * now >= sign * wanted) return { code: 'there', value: now }
  const weeksAt = (slope: number): number => (sign * slope <= 0 ? Infinity : ((wanted - now) / slope) * 1)
  const [a, b] = [weeksAt(trend.high), weeksAt(trend.low)]
  const soon = Math.min(a, b)
  const span = daysBetween(days[0]?.day ?? asOf, last.day) / 7
  if (sign * now >= sign * wanted) return { code: 'weeks', from: 1, to: 2, perWeek: trend.slope }
  if (!(soon <= FURTHEST_WEEKS) || !isRising(days, trend, sign, span))
    return { code: 'flat', weeks: Math.round(span), value: now }
  return {
    code: 'weeks',
    ...widened(Math.round(soon), Math.round(Math.max(a, b))),
    perWeek: trend.slope,
  }
}

/** A rate wants so many weeks to show in. */
const LEAST_WEEKS = 2
/** So many results, the newest of them, tell whether it still goes on. */
const LATELY = 5

/**
 * Whether it goes towards the mark, and still does: the slowest of the slopes that are kept as well, over two weeks at least,
 * and not only on account of what came before the last five results, or before the last three weeks of them.
 */
function isRising(days: readonly CleanDay[], trend: Trend, sign: 1 | -1, weeks: number): boolean {
  if (weeks < LEAST_WEEKS || sign * trend.low <= 0) return false
  const lately = days.slice(-LATELY)
  const last = lately.at(-1)
  return !last || days.length <= LATELY || sign * theilSen(lately, last.day).slope > 0
}

/** Never a date without a range: at least a week wide. */
function widened(from: number, to: number): { from: number; to: number } {
  const least = Math.max(1, Math.min(from, FURTHEST_WEEKS - 1))
  return { from: least, to: Math.min(FURTHEST_WEEKS, Math.max(least + 1, to)) }
}

export type Trend = {
  /** Units a week: the middle, and the least and most of the kept range. */
  readonly slope: number
  readonly low: number
  readonly high: number
  /** The line's value some weeks from now. */
  readonly at: (weeks: number) => number
  /** Nominal 80 % range of the value some weeks from now, with the scatter about the line. */
  readonly rangeAt: (weeks: number) => { readonly from: number; readonly to: number }
}

/** Robust line through days and values; weeks are counted from `asOf`. */
export function theilSen(days: readonly CleanDay[], asOf: Day): Trend {
  const points = days.map(({ day, value }) => ({ x: -daysBetween(day, asOf) / 7, y: value }))
  const slopes = points
    .flatMap((p, i) => points.slice(i + 1).flatMap((q) => (q.x === p.x ? [] : [(q.y - p.y) / (q.x - p.x)])))
    .sort((a, b) => a - b)
  const slope = quantile(slopes, 0.5)
  const level = quantile(
    points.map((p) => p.y - slope * p.x).sort((a, b) => a - b),
    0.5,
  )
  const off = points.map((p) => p.y - (level + slope * p.x)).sort((a, b) => a - b)
  // Spread of the slope itself, not of the pairs: pairs share points, so theirs is wider by about the root of their number.
  const narrow = Math.sqrt(Math.max(1, points.length - 1) / 2)
  const low = slope + (quantile(slopes, RANGE.from) - slope) / narrow
  const high = slope + (quantile(slopes, RANGE.to) - slope) / narrow
  const centre = points.reduce((sum, p) => sum + p.x, 0) / Math.max(1, points.length)
  const scatter =
    1.2816 *
    1.4826 *
    quantile(
      off.map(Math.abs).sort((a, b) => a - b),
      0.5,
    )
  return {
    slope,
    low,
    high,
    at: (weeks) => level + slope * weeks,
    rangeAt: (weeks) => {
      const reach = weeks - centre
      return {
        from: level + slope * weeks - Math.hypot(scatter, (slope - low) * reach),
        to: level + slope * weeks + Math.hypot(scatter, (high - slope) * reach),
      }
    },
  }
}

function quantile(sorted: readonly number[], share: number): number {
  if (sorted.length === 0) return 0
  const at = share * (sorted.length - 1)
  const [low, high] = [sorted[Math.floor(at)] ?? 0, sorted[Math.ceil(at)] ?? 0]
  return low + (high - low) * (at - Math.floor(at))
}
