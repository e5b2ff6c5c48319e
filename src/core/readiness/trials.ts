import type { Day } from '../day'
import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import type { Attempt, Evidence } from './evidence'

export type Trial = {
  /** Mean of without less with, s. */
  readonly difference: number
  readonly sure: number
  readonly pairs: number
}

/**
 * Alternate tries with and without an aid: the mean difference (without less with) and how sure its sign is, as the
 * share of sign-flips of the pairs that would give less than it.
 */
export function sideBySide(pairs: readonly { readonly with: number; readonly without: number }[]): Trial {
  const diffs = pairs.map((p) => p.without - p.with)
  const mean = (values: readonly number[]): number =>
    values.reduce((sum, v) => sum + v, 0) / Math.max(1, values.length)
  const difference = mean(diffs)
  const flips = 2 ** Math.min(12, diffs.length)
  let less = 0
  for (let mask = 0; mask < flips; mask += 1) {
    const flipped = mean(diffs.map((d, i) => ((mask >> i) & 1 ? -d : d)))
    if (Math.abs(flipped) < Math.abs(difference) - 1e-12) less += 1
  }
  return { difference, sure: diffs.length === 0 ? 0 : less / flips, pairs: diffs.length }
}

export type SetupTrial = Trial & {
  readonly stageId: string
  readonly with: string
  readonly without: string
  readonly day: Day
}

/** Pairs before a difference is worth a word. */
const LEAST_PAIRS = 3

/** The same aid over all the days on which it was taken in turns with less. */
export type PooledTrial = Trial & {
  readonly stageId: string
  readonly with: string
  readonly without: string
  readonly days: number
}

type Pair = { readonly with: number; readonly without: number }
type Compared = {
  readonly stageId: string
  readonly with: string
  readonly without: string
  readonly day: Day
  readonly pairs: readonly Pair[]
}

/**
 * Trials that were made: on one day, timed tries at one stage with a setup and with one that has less, taken in turns.
 * @param evidence already folded
 */
export function trialsOf(practice: Library, evidence: Evidence): SetupTrial[] {
  return comparedOf(practice, evidence.attempts)
    .filter(({ pairs }) => pairs.length >= LEAST_PAIRS)
    .map(({ pairs, ...rest }) => ({ ...sideBySide(pairs), ...rest }))
}

/**
 * What helps somebody, over classes: pairs are made within a day, where everything else is alike, and pooled over days.
 * @param evidence already folded
 */
export function pooledTrials(practice: Library, evidence: Evidence): PooledTrial[] {
  const all = comparedOf(practice, evidence.attempts)
  const keyOf = (c: Compared): string => `${c.stageId} ${c.with} ${c.without}`
  return [...new Set(all.map(keyOf))].flatMap((key): PooledTrial[] => {
    const mine = all.filter((c) => keyOf(c) === key)
    const [first] = mine
    const pairs = mine.flatMap((c) => c.pairs)
    if (!first || mine.length < 2 || pairs.length < LEAST_PAIRS) return []
    const { stageId, with: aided, without } = first
    return [{ ...sideBySide(pairs), stageId, with: aided, without, days: mine.length }]
  })
}

/** Tries of one day with an aid and with the next less, one beside the other in the order they were made. */
function comparedOf(practice: Library, attempts: readonly Attempt[]): Compared[] {
  const timed = attempts.filter((a) => a.seconds !== null && a.setupId !== null)
  const keys = new Set(timed.map((a) => `${a.day} ${a.stageId}`))
  return [...keys].flatMap((key) => {
    const here = timed.filter((a) => `${a.day} ${a.stageId}` === key)
    const [stage] = here
    if (!stage) return []
    const seconds = (id: string): number[] =>
      here.filter((a) => a.setupId === id).flatMap((a) => a.seconds ?? [])
    const used = [...new Set(here.flatMap((a) => a.setupId ?? []))]
    return used.flatMap((fuller) =>
      used
        .filter((barer) => findById(practice.setups, fuller).less.includes(barer))
        .map((barer): Compared => {
          const [withAid, without] = [seconds(fuller), seconds(barer)]
          const pairs = withAid
            .slice(0, without.length)
            .map((s, i) => ({ with: s, without: without[i] ?? 0 }))
          return { stageId: stage.stageId, day: stage.day, with: fuller, without: barer, pairs }
        }),
    )
  })
}
