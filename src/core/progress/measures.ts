import type { Day } from '../day'
import { addDays } from '../day'
import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import type { Gate, ReadinessCheck } from '../practice/schema'
import { weakerValue, type Observation } from '../readiness/evidence'
import { forecastGate, theilSen, type Forecast } from '../readiness/forecast'
import { cleanDays, whyNotCounted, type NotCounted } from '../readiness/gate'

/** One day of a measure: the best result that counted, else the best that did not and why. */
export type MeasureDay = {
  readonly day: Day
  /** The weaker side where sides are told apart. */
  readonly value: number
  readonly left: number | null
  readonly right: number | null
  /** Why it proves nothing; null where it counts. */
  readonly notCounted: NotCounted | null
}

/** Where a line would go on from the last counted day: a nominal 80 % range, some weeks ahead. */
export type BandPoint = { readonly day: Day; readonly from: number; readonly to: number }

/** One check over time, against the gate that comes next. */
export type Measure = {
  readonly checkId: string
  /** What is asked of it next; null where nothing that is ahead asks for it. */
  readonly gate: Gate | null
  readonly days: readonly MeasureDay[]
  readonly forecast: Forecast | null
  /** Empty where there is no forecast in weeks: a line is not drawn on where it is not said. */
  readonly band: readonly BandPoint[]
}

/** How far a line is drawn on, weeks. */
const AHEAD_WEEKS = 4
/** A trend wants at least two days to be a line at all. */
const LEAST_DAYS = 2

/**
 * Every standing measure that was taken on two days or more, those that are asked for next first.
 * @param observations folded, with what follows from tries
 * @param asked gates that stand between somebody and what comes next
 */
export function measuresOf(
  practice: Library,
  observations: readonly Observation[],
  asked: readonly Gate[],
  asOf: Day,
): Measure[] {
  const known = new Set(observations.map((o) => o.checkId))
  return [...known]
    .flatMap((checkId): Measure[] => {
      const check = findById(practice.checks, checkId)
      if (check.life !== 'standing' || check.kind === 'yes-no' || check.kind === 'scale') return []
      const mine = observations.filter((o) => o.checkId === checkId && o.day <= asOf)
      const days = daysOf(check, mine)
      if (days.length < LEAST_DAYS) return []
      const gate = asked.find((g) => g.check === checkId && (g.op === '>=' || g.op === '<=')) ?? null
      return [{ checkId, gate, days, ...ahead(gate, check, mine, asOf) }]
    })
    .toSorted((a, b) => Number(b.gate !== null) - Number(a.gate !== null) || (a.checkId < b.checkId ? -1 : 1))
}

function daysOf(check: ReadinessCheck, observations: readonly Observation[]): MeasureDay[] {
  const sign = check.betterIs === 'less' ? -1 : 1
  const byDay = new Map<Day, MeasureDay>()
  for (const o of observations) {
    const found: MeasureDay = {
      day: o.day,
      value: weakerOf(o, check),
      left: o.values.left ?? null,
      right: o.values.right ?? null,
      notCounted: whyNotCounted(check, o),
    }
    const best = byDay.get(o.day)
    if (!best || isBetter(found, best, sign)) byDay.set(o.day, found)
  }
  return [...byDay.values()].sort((a, b) => (a.day < b.day ? -1 : 1))
}

/** What counts is better than what does not, whatever it reads. */
function isBetter(a: MeasureDay, b: MeasureDay, sign: number): boolean {
  const counts = Number(a.notCounted === null) - Number(b.notCounted === null)
  return counts !== 0 ? counts > 0 : sign * a.value > sign * b.value
}

function weakerOf({ values }: Observation, check: ReadinessCheck): number {
  return values.single ?? weakerValue(values, check.betterIs === 'less')
}

function ahead(
  gate: Gate | null,
  check: ReadinessCheck,
  observations: readonly Observation[],
  asOf: Day,
): Pick<Measure, 'forecast' | 'band'> {
  if (!gate) return { forecast: null, band: [] }
  const forecast = forecastGate(gate, check, observations, asOf)
  if (forecast.code !== 'weeks') return { forecast, band: [] }
  const days = cleanDays(gate, check, observations)
  const last = days.at(-1)
  if (!last) return { forecast, band: [] }
  const trend = theilSen(days, last.day)
  const band = Array.from({ length: AHEAD_WEEKS + 1 }, (_, weeks): BandPoint => {
    const { from, to } = trend.rangeAt(weeks)
    // Nothing is held for less than no time, and no check reads beyond what it can.
    const within = (value: number): number => Math.min(check.max, Math.max(check.min, value))
    return { day: addDays(last.day, 7 * weeks), from: within(from), to: within(to) }
  })
  return { forecast, band }
}
