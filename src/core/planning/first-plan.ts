import { dealt, evaluator, type Outcome } from './evaluate'
import { fillSlot } from './fill'
import type { Model, Slot } from './model'
import { secondsOf, type Config } from './skeleton'
import { withoutRepeats } from './repeats'
import { withSlot, type State } from './state'

/** A state with what it comes to. */
export type Found = { readonly state: State; readonly outcome: Outcome }

/** Skeletons judged in full. */
const JUDGED = 50

type Filled = {
  readonly config: number
  readonly option: readonly number[]
  readonly worth: number
  readonly seconds: number
}

/**
 * First plans at once: every way of running every block is filled by itself, every combination that fits the minutes is
 * added up, and the best are judged in full.
 * @returns the best first, at most `keep` of them
 */
export function firstPlans(model: Model, keep = 10): Found[] {
  const { evaluate, valueOf } = evaluator(model)
  const off = model.people.map(() => -1)
  const empty: State = { config: model.slots.map(() => -1), option: model.slots.map(() => off) }
  const waysWith = (fill: Fill): Filled[][] => model.slots.map((slot, i) => waysOf(slot, i, fill))
  const waysOf = (slot: Slot, i: number, fill: Fill): Filled[] => {
    const filled = slot.configs.map((config, c): Filled => {
      const option = fill(slot, config)
      const state = withSlot(empty, i, c, option)
      const value = valueOf(state, i)
      const lacks = model.people.reduce((sum, person, p) => {
        const shares = model.shares[p] ?? []
        const covered = (value.parts[p]?.covers ?? []).reduce((n, part, c) => n + part * (shares[c] ?? 0), 0)
        return sum + 20 * person.weight * Math.min(1, covered)
      }, 0)
      return {
        ...{ config: c, option },
        worth: value.tiers.reduce((sum, t) => sum + t, 0) + lacks,
        seconds: secondsOf(config, false) + Math.max(30, value.setupS),
      }
    })
    return slot.purpose.needed ? filled : [{ config: -1, option: off, worth: 0, seconds: 0 }, ...filled]
  }
  const { frame } = model
  const room = model.minutes * 60 - frame.arriveS - frame.settleS - frame.restS - frame.closeS - 30
  const judge = (fill: Fill): Found[] =>
    combinations(model, waysWith(fill), room)
      .map((combination) => {
        const state: State = {
          config: combination.map((f) => f.config),
          option: combination.map((f) => f.option),
        }
        return { state, outcome: dealt(evaluate(state)) }
      })
      .sort((a, b) => b.outcome.points - a.outcome.points)
      .slice(0, keep)
  // Blocks filled each by itself have people do the same thing twice: each is tried once more for the others' sake.
  const varied = (found: Found): Found => {
    const state = withoutRepeats(model, found.state)
    const outcome = dealt(evaluate(state))
    return outcome.points > found.outcome.points ? { state, outcome } : found
  }
  const full = judge((slot, config) => fillSlot(model, slot, config))
    .map(varied)
    .sort((a, b) => b.outcome.points - a.outcome.points)
  if (full.some((f) => f.outcome.isLegal)) return full
  // What breaks a rule is often mended into the best there is; a legal class stands last, whatever comes of that.
  for (const fill of plainerFills(model, off)) {
    const legal = judge(fill).find((f) => f.outcome.isLegal)
    if (legal) return [...full, legal]
  }
  return full
}

type Fill = (slot: Slot, config: Config) => readonly number[]

/**
 * Plainer ways to fill a block, for when blocks filled each for itself break what holds between them, a drill just before
 * tries above all: only what may stand beside any other block; then nothing, so that everybody waits.
 */
function plainerFills(model: Model, off: readonly number[]): Fill[] {
  const isPlain = (v: number): boolean => {
    const variant = model.variants[v]
    return variant !== undefined && variant.tries === 0 && !variant.justBefore
  }
  return [(slot, config) => fillSlot(model, slot, config, { may: isPlain }), () => off]
}

/** The best combinations by what their blocks are worth by themselves, within the minutes. */
function combinations(model: Model, ways: readonly (readonly Filled[])[], roomS: number): Filled[][] {
  const found: { worth: number; parts: Filled[] }[] = []
  const least = roomS * 0.2
  const walk = (i: number, parts: Filled[], worth: number, seconds: number, trained: number): void => {
    if (seconds > roomS - least) return
    const slot = model.slots[i]
    if (!slot) {
      found.push({ worth, parts: [...parts] })
      if (found.length > 6 * JUDGED) {
        found.sort((a, b) => b.worth - a.worth)
        found.length = 2 * JUDGED
      }
      return
    }
    for (const way of ways[i] ?? []) {
      const isTrain = slot.purpose.kind === 'train' && way.config >= 0
      if (isTrain && trained + 1 > model.mostTrained) continue
      parts.push(way)
      walk(i + 1, parts, worth + way.worth, seconds + way.seconds, trained + (isTrain ? 1 : 0))
      parts.pop()
    }
  }
  walk(0, [], 0, 0, 0)
  if (found.length === 0) found.push({ worth: 0, parts: ways.map((w) => shortest(w)) })
  found.sort((a, b) => b.worth - a.worth)
  return found.slice(0, JUDGED).map((f) => f.parts)
}

function shortest(ways: readonly Filled[]): Filled {
  return ways.reduce((a, b) => (b.seconds < a.seconds ? b : a))
}
