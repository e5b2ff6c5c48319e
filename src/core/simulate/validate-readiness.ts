import { daysBetween, type Day } from '../day'
import { findById } from '../practice/find'
import { type Library } from '../practice/library'
import type { Gate } from '../practice/schema'
import { theilSen } from '../readiness/forecast'
import { cleanDays, evaluateGate } from '../readiness/gate'
import type { Observation } from '../readiness/evidence'
import { normal, seeded } from '../random'
import { simulatedStudent, STATED_NOISE, type SimulatedNoise, type SimulatedStudent } from './students'

/** How one way of deciding did over many simulated students. */
export type Score = {
  readonly offers: number
  /** First offers on a day on which true ability was below the threshold. */
  readonly falseOffers: number
  readonly falseShare: number
  /** From the lasting crossing to the first offer, weeks: the median over those who crossed. */
  readonly medianDelayWeeks: number
}

export type Validation = {
  readonly engine: Score
  /** An offer that wants a hold and a leg lift on each side, as a kick does: all three must be there. */
  readonly whole: Score
  readonly wholeBestEver: Score
  readonly bestEver: Score
  readonly lastOnly: Score
  /** Share of values four weeks ahead that fell into the nominal 80 % range. */
  readonly forecastCoverage: number
}

/** The threshold that everybody works towards, s: in the middle of the abilities. */
const THRESHOLD_S = 30
const START: Day = '2026-01-05'
const AHEAD_WEEKS = 4

type Decide = (student: SimulatedStudent, upTo: number) => boolean

/** Engine beside the two baselines on the same students, at some noise and height of fall. */
export function validateReadiness(
  practice: Library,
  students: number,
  fall: 1 | 2 | 3,
  noise: SimulatedNoise = STATED_NOISE,
): Validation {
  const check = findById(practice.checks, 'CK-dolphin-hold')
  const gate: Gate = {
    check: check.id,
    op: '>=',
    value: THRESHOLD_S,
    side: 'single',
    aidedOk: false,
    life: 'standing',
  }
  const all = Array.from({ length: students }, (_, i) => simulatedStudent(i + 1, START, noise))
  const value = (s: SimulatedStudent, i: number): number => s.observations[i]?.values.single ?? 0
  const engine: Decide = (s, i) =>
    evaluateGate(gate, check, { load: { FR: fall } }, s.observations.slice(0, i + 1), s.days[i] ?? START)
      .state === 'met'
  const both = all.map(liftingToo)
  const lift: Gate = { ...gate, check: LIFT, value: LIFT_SHARE * THRESHOLD_S, side: 'each' }
  const liftCheck = findById(practice.checks, LIFT)
  const met = (g: Gate, c: typeof check, s: SimulatedStudent, i: number): boolean => {
    const day = s.days[i] ?? START
    const seen = s.observations.filter((o) => o.day <= day)
    return evaluateGate(g, c, { load: { FR: fall } }, seen, day).state === 'met'
  }
  return {
    engine: score(all, engine),
    whole: score(both, (s, i) => met(gate, check, s, i) && met(lift, liftCheck, s, i)),
    wholeBestEver: score(both, (s, i) => everReached(s, s.days[i] ?? START)),
    bestEver: score(all, (s, i) => s.observations.slice(0, i + 1).some((_, k) => value(s, k) >= THRESHOLD_S)),
    lastOnly: score(all, (s, i) => value(s, i) >= THRESHOLD_S),
    forecastCoverage: coverage(all, (s, i) => cleanDays(gate, check, s.observations.slice(0, i + 1))),
  }
}

/** The lift that goes with a hold, each side a share of it, with its own form and reading on the same day. */
const LIFT = 'CK-leg-lift-forearm'
const LIFT_SHARE = 25 / 45

function liftingToo(student: SimulatedStudent, index: number): SimulatedStudent {
  const random = seeded(90_000 + index)
  const lifts = student.observations.map((o): Observation => {
    const side = (): number => {
      const form = Math.max(0.3, 1 + normal(random, 0, STATED_NOISE.dayShare))
      return Math.round(LIFT_SHARE * (o.values.single ?? 0) * form * 10) / 10
    }
    return { ...o, id: `${o.id}-lift`, checkId: LIFT, values: { left: side(), right: side() } }
  })
  return { ...student, observations: student.observations.flatMap((o, i) => [o, lifts[i] ?? o]) }
}

/** The best of each so far reaches its mark: what a teacher's memory would go by. */
function everReached({ observations }: SimulatedStudent, day: Day): boolean {
  const seen = observations.filter((o) => o.day <= day)
  const least = (o: Observation): number =>
    o.values.single ?? Math.min(o.values.left ?? 0, o.values.right ?? 0)
  const best = (checkId: string): number =>
    Math.max(0, ...seen.filter((o) => o.checkId === checkId).map(least))
  return best('CK-dolphin-hold') >= THRESHOLD_S && best(LIFT) >= LIFT_SHARE * THRESHOLD_S
}

function score(all: readonly SimulatedStudent[], decide: Decide): Score {
  let offers = 0
  let falseOffers = 0
  const delays: number[] = []
  for (const student of all) {
    const first = student.days.findIndex((_, i) => decide(student, i))
    const crossed = student.days.findIndex((day) => student.ability(day) >= THRESHOLD_S)
    const day = student.days[first]
    if (day !== undefined) {
      offers += 1
      if (student.ability(day) < THRESHOLD_S) falseOffers += 1
    }
    const from = student.days[crossed]
    if (from !== undefined)
      delays.push(day === undefined ? Infinity : Math.max(0, daysBetween(from, day) / 7))
  }
  delays.sort((a, b) => a - b)
  return {
    offers,
    falseOffers,
    falseShare: falseOffers / Math.max(1, offers),
    medianDelayWeeks: delays[Math.floor(delays.length / 2)] ?? 0,
  }
}

function coverage(
  all: readonly SimulatedStudent[],
  results: (student: SimulatedStudent, upTo: number) => ReturnType<typeof cleanDays>,
): number {
  let inside = 0
  let asked = 0
  for (const student of all)
    student.days.forEach((day, i) => {
      const later = student.days.findIndex((d) => daysBetween(day, d) >= 7 * AHEAD_WEEKS)
      const came = student.observations[later]
      const shown = results(student, i)
      if (shown.length < 4 || !came) return
      const weeks = daysBetween(day, came.day) / 7
      if (weeks > AHEAD_WEEKS + 1) return
      const { from, to } = theilSen(shown, day).rangeAt(weeks)
      asked += 1
      if ((came.values.single ?? 0) >= from && (came.values.single ?? 0) <= to) inside += 1
    })
  return inside / Math.max(1, asked)
}
