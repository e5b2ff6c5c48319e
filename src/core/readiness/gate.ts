import { addDays, daysBetween, type Day } from '../day'
import { WAY_OUT_CHECK } from '../practice/rule-gates'
import type { Gate, ReadinessCheck, Stage } from '../practice/schema'
import { EVIDENCE_WINDOW_DAYS, resultsOf, type Observation, type Values } from './evidence'
import { satisfies } from './favourable'
import { fallLevel } from './fall'
import { cleanOfLast } from './from-tries'
import { isEnough, pointsOf, type Points } from './points'
import type { Unsaid } from './unsaid'

export { fallLevel } from './fall'

export type GateState = 'met' | 'confirm' | 'near' | 'unmet' | 'unknown'

/** Why an entry proves nothing. */
export type NotCounted =
  'invalid' | 'void-fault' | 'aided' | 'helped' | 'help-unsaid' | 'unwatched' | 'unnamed'

export type GateResult = {
  readonly gate: Gate
  readonly state: GateState
  /** Newest clean day's value where there is one, else the best of the newest day; the weaker side where sides count. */
  readonly value: number | null
  readonly valueDay: Day | null
  readonly cleanDays: number
  readonly neededDays: number
  readonly ofDays: number
  /** Points of holds and repetitions, and how many are asked for (ruling 4); null where the days say it all. */
  readonly points?: Points | null
  /** Clean work on a harder stage that shows the value anew, where it is newer than the newest clean day. */
  readonly renewedDay: Day | null
  /** Set when the newest clean day is older than the check stays fresh. */
  readonly staleDays: number | null
  /** Why the newest entry did not count, where it did not. */
  readonly notCounted: NotCounted | null
  readonly evidenceIds: readonly string[]
  /** What tries of these weeks left unsaid that the gate asks for; null or absent where nothing is. */
  readonly unsaid?: Unsaid | null
}

/** ≥ gates are near from 80 % of the threshold, ≤ gates up to 25 % above it. */
const NEAR_BELOW = 0.8
const NEAR_ABOVE = 1.25

/** Whether the feet leave the floor: something to arrive at, and to come down from. */
export function leavesFloor(stage: Pick<Stage, 'load'>): boolean {
  return fallLevel(stage) !== 'low'
}

/** Clean days asked for, by fall level (ruling 4). */
export const DAYS_BY_FALL = {
  low: { clean: 1, of: 1 },
  medium: { clean: 2, of: 3 },
  high: { clean: 3, of: 4 },
} as const

type DayResult = {
  day: Day
  passes: boolean
  value: number
  ids: string[]
  notCounted: GateResult['notCounted']
}

/**
 * One standing gate against a person's observations as of a day.
 * Only clean days make a gate fresh, so a later poor result can never renew an old good one.
 * @param observations already folded, any check
 * @param renewed the last day of clean work on a harder stage: it makes an easier gate beneath it fresh (ruling 4)
 */
export function evaluateGate(
  gate: Gate,
  check: ReadinessCheck,
  stage: Pick<Stage, 'load'> & Partial<Pick<Stage, 'exits'>>,
  observations: readonly Observation[],
  asOf: Day,
  renewed: Day | null = null,
): GateResult {
  const rule = gate.days ?? DAYS_BY_FALL[fallLevel(stage)]
  const from = addDays(asOf, -Math.max(EVIDENCE_WINDOW_DAYS, check.freshDays))
  const recent = resultsFor(gate, observations).filter((o) => o.day >= from && leadsOut(o, stage))
  // The wrong way out of a high fall is none: there it has to be named.
  const named = gate.check === WAY_OUT_CHECK && fallLevel(stage) === 'high'
  const days = countedDays(resultsByDay(gate, check, recent, named))
  const window = days.slice(-rule.of)
  const clean = window.filter((d) => d.passes)
  const newestClean = clean.at(-1)
  const newest = days.at(-1)
  const renewedDay = newestClean && renewed !== null && renewed > newestClean.day ? renewed : null
  const staleDays = staleFor(renewedDay ?? newestClean?.day, check, asOf)
  const shown = newestClean ?? newest
  const points = pointsOf(
    gate,
    check,
    stage,
    days.filter((d) => daysBetween(d.day, asOf) <= EVIDENCE_WINDOW_DAYS),
  )
  const enough = clean.length >= rule.clean && isEnough(points)
  return {
    gate,
    state: stateOf(gate, check, window, enough, newestClean !== undefined, staleDays),
    value: shown?.value ?? null,
    valueDay: shown?.day ?? null,
    cleanDays: clean.length,
    neededDays: rule.clean,
    ofDays: rule.of,
    points,
    renewedDay,
    staleDays,
    notCounted: newestClean ? null : (newest?.notCounted ?? null),
    evidenceIds: window.flatMap((d) => d.ids),
  }
}

/** How long ago it was last clean, where that is longer than the check stays fresh; null where it is not. */
function staleFor(lastClean: Day | undefined, { freshDays }: ReadinessCheck, asOf: Day): number | null {
  const age = lastClean === undefined ? 0 : daysBetween(lastClean, asOf)
  return age > freshDays ? age : null
}

/** What proves nothing is no day at all, neither good nor poor (ruling 4); it is told where there is nothing else. */
function countedDays(all: readonly DayResult[]): readonly DayResult[] {
  const counted = all.filter((d) => !provesNothing(d))
  return counted.length > 0 ? counted : all
}

const PROVES_NOTHING: readonly NotCounted[] = ['unwatched', 'helped', 'help-unsaid', 'aided', 'unnamed']

function provesNothing({ notCounted }: DayResult): boolean {
  return notCounted !== null && PROVES_NOTHING.includes(notCounted)
}

/** A day with a result that counts, and its value. */
export type CleanDay = { readonly day: Day; readonly value: number }

/** Days with a valid, watched result for a gate's check, whatever its threshold, oldest first. */
export function cleanDays(
  gate: Gate,
  check: ReadinessCheck,
  observations: readonly Observation[],
): CleanDay[] {
  return resultsByDay(gate, check, resultsFor(gate, observations))
    .filter((d) => d.notCounted === null)
    .map(({ day, value }) => ({ day, value }))
}

function stateOf(
  gate: Gate,
  check: ReadinessCheck,
  days: readonly DayResult[],
  enoughDays: boolean,
  anyClean: boolean,
  staleDays: number | null,
): GateState {
  if (days.length === 0) return 'unknown'
  if (enoughDays && staleDays === null) return 'met'
  if (anyClean) return 'confirm'
  return days.some((d) => d.notCounted === null && isNear(gate, check, d.value)) ? 'near' : 'unmet'
}

/** A way out that was rehearsed by name speaks for the stages that are left by it. */
function leadsOut({ exitId }: Observation, stage: Partial<Pick<Stage, 'exits'>>): boolean {
  if (exitId === undefined || exitId === null) return true
  return stage.exits === undefined || stage.exits.includes(exitId)
}

/** Results that speak of a gate: of its check, and where a try showed them, of its own stages. */
function resultsFor({ check, shownBy }: Gate, observations: readonly Observation[]): readonly Observation[] {
  const all = resultsOf(observations, check)
  return shownBy ? all.filter(({ stageId }) => stageId === undefined || shownBy.includes(stageId)) : all
}

/** @param named whether a result counts only where it says what was shown */
function resultsByDay(
  gate: Gate,
  check: ReadinessCheck,
  observations: readonly Observation[],
  named = false,
): DayResult[] {
  if (gate.last !== undefined)
    return cleanOfLast(
      observations.filter((o) => o.stageId !== undefined),
      gate.last,
    ).map(({ day, value, ids }) => ({
      ...{ day, value, ids: [...ids] },
      passes: satisfies(gate, value),
      notCounted: null,
    }))
  const byDay = new Map<Day, Observation[]>()
  for (const o of observations) byDay.set(o.day, [...(byDay.get(o.day) ?? []), o])
  return [...byDay.entries()]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([day, entries]) => {
      const tries = entries.flatMap((o) => {
        const value = gateValue(gate, check, o.values)
        if (value === null) return []
        // With spent arms a poor result is no verdict: it neither counts for nor against (ruling 7).
        if (o.arms === 'spent' && !satisfies(gate, value)) return []
        return [{ value, id: o.id, notCounted: whyNot(gate, check, o, named) }]
      })
      const counted = tries.filter((t) => t.notCounted === null)
      const best = gate.tries
        ? nthBest(counted, gate.tries)
        : (bestOf(gate, check, counted) ?? bestOf(gate, check, tries))
      if (!best) return []
      const passes = counted.length > 0 && satisfies(gate, best.value)
      return [{ day, passes, value: best.value, ids: tries.map((t) => t.id), notCounted: best.notCounted }]
    })
}

/** Why a result proves nothing whatever it is asked for; null where it does. An aid is for the gate to judge. */
export function whyNotCounted(
  { voids }: Pick<ReadinessCheck, 'voids'>,
  o: Observation,
): Exclude<NotCounted, 'aided' | 'unnamed'> | null {
  if (!o.valid) return 'invalid'
  if (o.faults.some((fault) => voids.includes(fault))) return 'void-fault'
  if (!o.watched) return 'unwatched'
  if (o.help === 'not-said') return 'help-unsaid'
  return o.help === 'alone' ? null : 'helped'
}

function whyNot(gate: Gate, check: ReadinessCheck, o: Observation, named: boolean): NotCounted | null {
  const why = whyNotCounted(check, o) ?? (o.aided && !gate.aidedOk ? 'aided' : null)
  return why ?? (named && (o.exitId ?? null) === null ? 'unnamed' : null)
}

function bestOf<T extends { value: number }>(
  gate: Gate,
  check: ReadinessCheck,
  tries: readonly T[],
): T | undefined {
  // A rule gate asks what is so now: the newest try of the day counts, not the best.
  if (gate.rule) return tries.at(-1)
  const sign = check.betterIs === 'less' || gate.side === 'gap' ? -1 : 1
  return tries.reduce<T | undefined>(
    (best, t) => (best && sign * best.value >= sign * t.value ? best : t),
    undefined,
  )
}

/** What so many of the last tries of a day reached; nothing where there were not so many. */
function nthBest<T extends { value: number }>(
  tries: readonly T[],
  { least, of }: { readonly least: number; readonly of: number },
): T | undefined {
  return tries
    .slice(-of)
    .toSorted((a, b) => b.value - a.value)
    .at(least - 1)
}

/** The value a gate looks at: the weaker side where each side counts, the better one where either will do. */
function gateValue(gate: Gate, check: ReadinessCheck, values: Values): number | null {
  if (gate.side === 'gap')
    return values.left === undefined || values.right === undefined
      ? null
      : Math.abs(values.left - values.right)
  if (gate.side === 'single') return values.single ?? ofSides(check, values, 'weaker')
  return ofSides(check, values, gate.side === 'either' ? 'better' : 'weaker')
}

function ofSides(check: ReadinessCheck, { left, right }: Values, want: 'weaker' | 'better'): number | null {
  if (left === undefined || right === undefined) return null
  const least = (check.betterIs === 'less') === (want === 'better')
  return least ? Math.min(left, right) : Math.max(left, right)
}

function isNear(gate: Gate, check: ReadinessCheck, value: number): boolean {
  if (gate.op === 'yes' || gate.op === 'recorded' || gate.value === undefined) return false
  if (check.kind === 'level') return value === gate.value - 1
  return gate.op === '>=' ? value >= gate.value * NEAR_BELOW : value <= gate.value * NEAR_ABOVE
}
