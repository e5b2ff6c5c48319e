import { composeClosing, composeWarmUp, composeWayOut } from './compose'
import { dealt, evaluator, type Outcome } from './evaluate'
import { fillSlot } from './fill'
import { mended } from './mend'
import type { Model, Slot } from './model'
import { usualSeconds, type Config } from './skeleton'
import { withoutRepeats } from './repeats'
import { withSlot, type State } from './state'
import { WEIGHTS } from './weights'

/** A state with what it comes to. */
export type Found = { readonly state: State; readonly outcome: Outcome }

/** Skeletons judged in full. */
const JUDGED = 50

/** So many of the best are mended where none keeps all rules. */
const MENDED = 3

type Filled = {
  readonly config: number
  readonly option: readonly number[]
  readonly worth: number
  readonly seconds: number
  /** What it asks of the rest of the class: warm-ups and counterposes as bits, a way out, what is kicked into. */
  readonly asks: Asks
}

type Asks = {
  readonly warm: number
  readonly owes: number
  readonly falls: boolean
  readonly kicks: number
}

const NOTHING_ASKED: Asks = { warm: 0, owes: 0, falls: false, kicks: 0 }

/** Seconds that preparing, leaving and unloading take beside the blocks; remembered, since few sets of loads come together. */
function besideBlocks(model: Model): (asks: Asks) => number {
  const known = new Map<string, number>()
  return ({ warm, owes, falls, kicks }) => {
    const key = `${warm}|${owes}|${falls}|${kicks}`
    const found = known.get(key)
    if (found !== undefined) return found
    const seconds =
      composeWarmUp(model, warm).seconds +
      composeClosing(model, owes).seconds +
      (falls ? composeWayOut(model, kicks).seconds : 0)
    known.set(key, seconds)
    return seconds
  }
}

function both(a: Asks, b: Asks): Asks {
  return {
    warm: a.warm | b.warm,
    owes: a.owes | b.owes,
    falls: a.falls || b.falls,
    kicks: a.kicks | b.kicks,
  }
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
        seconds: value.seconds + Math.max(30, value.setupS),
        asks: { warm: value.warm, owes: value.owes, falls: value.falls, kicks: value.kicks },
      }
    })
    const worthwhile = undominated(filled)
    return slot.purpose.needed
      ? worthwhile
      : [{ config: -1, option: off, worth: 0, seconds: 0, asks: NOTHING_ASKED }, ...worthwhile]
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
      .sort(better)
      .slice(0, keep)
  // Blocks filled each by itself have people do the same thing twice: each is tried once more for the others' sake.
  const varied = (found: Found): Found => {
    const state = withoutRepeats(model, found.state)
    const outcome = dealt(evaluate(state))
    const other = { state, outcome }
    return better(other, found) < 0 ? other : found
  }
  const full = judge((slot, config) => fillSlot(model, slot, config))
    .map(varied)
    .sort(better)
  if (full.some((f) => f.outcome.isLegal)) return full
  const saved = full
    .slice(0, MENDED)
    .map((f) => mended(model, f, evaluate))
    .filter((f) => f.outcome.isLegal)
  if (saved.length > 0) return [...saved.sort(better), ...full].slice(0, keep)
  // What breaks a rule is often mended into the best there is; a legal class stands last, whatever comes of that.
  for (const fill of plainerFills(model, off)) {
    const legal = judge(fill).find((f) => f.outcome.isLegal)
    if (legal) return [...full, legal]
  }
  return full
}

/** A way of running a block is worth so much more, points, before the minutes it takes longer are looked at: unused ones cost. */
const A_MINUTE = -WEIGHTS.unusedMinute / 60

/** Ways of running a block without those for which another is worth as much, takes no longer and asks for no more. */
function undominated(ways: readonly Filled[]): Filled[] {
  const beats = (a: Filled, b: Filled): boolean =>
    a.worth >= b.worth + A_MINUTE * Math.max(0, b.seconds - a.seconds) &&
    a.seconds <= b.seconds &&
    (a.asks.warm & ~b.asks.warm) === 0 &&
    (a.asks.owes & ~b.asks.owes) === 0 &&
    (a.asks.kicks & ~b.asks.kicks) === 0 &&
    (!a.asks.falls || b.asks.falls)
  return ways.filter((b, i) => !ways.some((a, k) => k !== i && beats(a, b) && (!beats(b, a) || k < i)))
}

/** What keeps the rules before what does not, then by points: the first of them is what somebody is shown. */
function better(a: Found, b: Found): number {
  return Number(b.outcome.isLegal) - Number(a.outcome.isLegal) || b.outcome.points - a.outcome.points
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

/**
 * The best combinations by what their blocks are worth by themselves, within the minutes that they, what prepares them, the
 * way out and what is owed afterwards take together; the shortest where none fits.
 */
function combinations(model: Model, ways: readonly (readonly Filled[])[], roomS: number): Filled[][] {
  const found: { worth: number; parts: Filled[] }[] = []
  const beside = besideBlocks(model)
  let closest: { over: number; parts: Filled[] } | null = null
  const walk = (
    i: number,
    parts: Filled[],
    sum: Omit<Filled, 'config' | 'option'>,
    trained: { readonly blocks: number; readonly seconds: number },
  ): void => {
    if (sum.seconds > roomS) return
    const slot = model.slots[i]
    if (!slot) {
      const over = sum.seconds + beside(sum.asks) - roomS
      if (over > 0) {
        if (closest === null || over < closest.over) closest = { over, parts: [...parts] }
        return
      }
      found.push({ worth: sum.worth, parts: [...parts] })
      if (found.length > 6 * JUDGED) {
        found.sort((a, b) => b.worth - a.worth)
        found.length = 2 * JUDGED
      }
      return
    }
    for (const way of ways[i] ?? []) {
      const isTrain = slot.purpose.kind === 'train' && way.config >= 0
      const config = isTrain ? slot.configs[way.config] : undefined
      const now = {
        blocks: trained.blocks + Number(isTrain),
        seconds: trained.seconds + (config ? usualSeconds(config) : 0),
      }
      if (now.blocks > model.mostTrained || now.seconds > model.trainMostS + 1) continue
      parts.push(way)
      walk(
        i + 1,
        parts,
        {
          worth: sum.worth + way.worth,
          seconds: sum.seconds + way.seconds,
          asks: both(sum.asks, way.asks),
        },
        now,
      )
      parts.pop()
    }
  }
  walk(0, [], { worth: 0, seconds: 0, asks: NOTHING_ASKED }, { blocks: 0, seconds: 0 })
  if (found.length === 0) found.push({ worth: 0, parts: closestOf(closest) ?? ways.map((w) => shortest(w)) })
  found.sort((a, b) => b.worth - a.worth)
  return found.slice(0, JUDGED).map((f) => f.parts)
}

function closestOf(closest: { readonly parts: Filled[] } | null): Filled[] | null {
  return closest?.parts ?? null
}

function shortest(ways: readonly Filled[]): Filled {
  return ways.reduce((a, b) => (b.seconds < a.seconds ? b : a))
}
