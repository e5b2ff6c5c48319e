import type { WorkKind } from '../classes/fixed'
import { blockValue, knownPart, TIERS, type BlockValue, type Tiers } from './block-value'
import { composeClosing, composeWarmUp, composeWayOut, type Composed, withoutStrength } from './compose'
import type { Model } from './model'
import { HEAD, NAPE, TRIES } from './part'
import { spentAfter } from './spent'
import { CHANGE_S, HEAVY_REST_S, usualSeconds } from './skeleton'
import { runSlots, type State } from './state'
import { SPENT_SHARE } from '../fatigue/class-work'
import { OWN_WORK, WARM_FOR_S, WEIGHTS } from './weights'

/** A block in its place in the class. */
export type Placed = {
  readonly slot: number
  readonly kind: WorkKind
  readonly value: BlockValue
  readonly startS: number
  readonly setupS: number
  /** The way out is rehearsed just before it. */
  readonly wayOut: boolean
}

/** A whole class with its points. */
export type Outcome = {
  readonly points: number
  readonly tiers: Tiers
  /** Seconds left over; below nought it does not fit. */
  readonly leftS: number
  readonly warm: Composed
  readonly wayOut: Composed | null
  readonly closing: Composed
  readonly blocks: readonly Placed[]
  /** Whether no hard rule is broken, but for waves that cannot be dealt: `dealt` tells of those. */
  readonly isLegal: boolean
}

/** A whole class with what waves that cannot be dealt cost it. */
export function dealt(outcome: Outcome): Outcome {
  const broken = outcome.blocks.filter(({ value }) => value.deal() === null).length
  if (broken === 0) return outcome
  const tiers = outcome.tiers.map((t, i) => (i === 0 ? t + broken * WEIGHTS.broken : t))
  return { ...outcome, tiers, points: outcome.points + broken * WEIGHTS.broken, isLegal: false }
}

/** More blocks than any class has. */
const SLOTS = 64

/** Judges states of one model; what was worked out once is remembered. */
export function evaluator(model: Model): {
  evaluate: (state: State) => Outcome
  valueOf: (state: State, slot: number) => BlockValue
} {
  const values = new Map<string, BlockValue>()
  const same = new WeakMap<readonly number[], Map<number, BlockValue>>()
  const orders = new Map<number, readonly number[]>()
  const warms = new Map<number, Composed>()
  const closings = new Map<number, Composed>()
  const waysOut = new Map<number, Composed>()
  const kinds = model.slots.map((s) => s.purpose.kind)
  const remembered = <K, V>(map: Map<K, V>, key: K, make: () => V): V => {
    const found = map.get(key)
    if (found !== undefined) return found
    if (map.size > 60_000) map.clear()
    const made = make()
    map.set(key, made)
    return made
  }
  const valueOf = (state: State, i: number): BlockValue => {
    const options = state.option[i] ?? []
    const config = state.config[i] ?? -1
    // A move changes one slot: the others are the very arrays of the state before.
    const quick = same.get(options)
    const known = quick?.get(config * SLOTS + i)
    if (known) return known
    const made = remembered(values, `${i}|${state.config[i] ?? -1}|${options.join(',')}`, () => {
      const slot = model.slots[i]
      const run = slot?.configs[config]
      if (!slot || !run) throw new Error('a slot that is not run has no value')
      return blockValue(
        model,
        run,
        options.map((o, p) => knownPart(model, slot, run, p, o)),
        (p) => (slot.options[p] ?? []).length > 0,
      )
    })
    if (quick) quick.set(config * SLOTS + i, made)
    else same.set(options, new Map([[config * SLOTS + i, made]]))
    return made
  }
  const evaluate = (state: State): Outcome => {
    const mask = state.config.reduce((bits, c, i) => (c >= 0 ? bits | (1 << i) : bits), 0)
    const order = remembered(orders, mask, () => runSlots(model, state))
    const used = order.map((slot) => ({ slot, value: valueOf(state, slot) }))
    const warmMask = used.reduce((mask, u) => mask | u.value.warm, 0)
    const warm = remembered(warms, warmMask, () => composeWarmUp(model, warmMask))
    const closingMask = used.reduce((mask, u) => mask | u.value.owes, 0)
    const closing = remembered(closings, closingMask, () => composeClosing(model, closingMask))
    const falling = used.findIndex((u) => u.value.falls)
    const kicks = used.reduce((mask, u) => mask | u.value.kicks, 0)
    const wayOut = remembered(waysOut, kicks, () => composeWayOut(model, kicks))
    const placed: Placed[] = []
    const tiers = new Float64Array(TIERS)
    const add = (tier: number, points: number): void => void (tiers[tier] = (tiers[tier] ?? 0) + points)
    const { frame } = model
    let at = frame.arriveS + frame.settleS + warm.seconds
    const warmEnd = at
    used.forEach(({ slot, value }, k) => {
      const before = used[k - 1]?.value
      const isWayOut = k === falling
      if (isWayOut) at += wayOut.seconds
      const kept = before ? keptPieces(before, value) : 0
      const heavy = before && !isWayOut && heavyTwice(before, value)
      const setupS = Math.max(CHANGE_S, heavy ? HEAVY_REST_S : 0, value.setupS)
      placed.push({ slot, kind: kinds[slot] ?? 'skill', value, startS: at, setupS, wayOut: isWayOut })
      at += setupS + value.seconds + value.startsS
      for (let t = 0; t < tiers.length; t += 1) tiers[t] = (tiers[t] ?? 0) + (value.tiers[t] ?? 0)
      add(4, WEIGHTS.keptPiece * kept)
      add(7, (WEIGHTS.changeoverMinute * setupS) / 60)
      if (!value.justBefore) return
      const next = used[k + 1]?.value
      if (next?.hasTries && falling !== k + 1) add(0, WEIGHTS.broken)
    })
    at += CHANGE_S + closing.seconds + frame.restS + frame.closeS
    const leftS = model.minutes * 60 - at
    acrossBlocks(model, placed, add)
    // Bought twice: strength that everybody has warmed up with, and that nothing else prepares for.
    const strength = strengthIn(model, placed)
    const items = warm.items.some((i) => strength.has(i.id))
      ? withoutStrength(model, warmMask, warm.items, strength)
      : warm.items
    add(7, WEIGHTS.warmedAlready * items.filter((i) => strength.has(i.id)).length)
    keepsWarm(placed, warmEnd, add)
    if (leftS < 0) add(0, (WEIGHTS.overMinute * -leftS) / 60 + WEIGHTS.broken / 4)
    add(7, (WEIGHTS.unusedMinute * Math.max(0, leftS - 120)) / 60)
    add(7, (-2 * Math.max(0, warm.wantedS - warm.seconds)) / 60)
    unusedNeeds(model, state, add)
    const points = tiers.reduce((sum, t) => sum + t, 0)
    return {
      ...{ points, leftS, warm: { ...warm, items }, closing, blocks: placed },
      tiers,
      wayOut: falling >= 0 ? wayOut : null,
      isLegal: (tiers[0] ?? 0) > -1e-9,
    }
  }
  return { evaluate, valueOf }
}

type Add = (tier: number, points: number) => void

/** What blocks owe each other for each person: lacks covered, nothing twice, neck after head, arms not spent. */
function acrossBlocks(model: Model, placed: readonly Placed[], add: Add): void {
  let [lacks, twice, broken, unnamed] = [0, 0, 0, 0]
  for (let i = 0; i < model.people.length; i += 1) {
    const person = model.people[i]
    if (!person) continue
    lacks += WEIGHTS.lacks * person.weight * covered(model.shares[i] ?? [], placed, i)
    let neck = 0
    let [tries, mostTries] = [0, Infinity]
    let named = model.named.length > 0 ? 0 : person.named
    for (let k = 0; k < placed.length; k += 1) {
      const part = placed[k]?.value.parts[i]
      if (!part) continue
      if (part.tries > 0) {
        tries += part.tries
        mostTries = Math.min(mostTries, part.option.mostTries)
      }
      if (part.turns > 1 || placed[k]?.kind === 'stay') named |= model.named[part.v] ?? 0
      broken += neckBroken(part.marks, neck, person.firstMonth)
      neck |= part.marks
      if (part.marks & TRIES && spentBefore(placed, i, k)) broken += 0.5
      const again = againPoints(placed, i, k, part.v)
      if (again === 'broken') broken += 1
      else twice += again
    }
    // Stays are tries as well: all of a class count.
    if (tries > mostTries) broken += 0.5
    unnamed += ones(person.named & ~named)
  }
  add(1, twice + WEIGHTS.unnamed * unnamed)
  add(2, lacks)
  add(0, WEIGHTS.broken * broken)
}

/** How many bits are set. */
function ones(mask: number): number {
  let n = 0
  for (let m = mask; m > 0; m &= m - 1) n += 1
  return n
}

/** Drills that come as strength. */
function strengthIn(model: Model, placed: readonly Placed[]): ReadonlySet<string> {
  return new Set(
    placed.flatMap(({ kind, value }) =>
      kind === 'train' ? value.parts.flatMap((part) => (part ? (model.variants[part.v]?.id ?? []) : [])) : [],
    ),
  )
}

/** Nape before head never; both in somebody's first month never. */
function neckBroken(now: number, before: number, firstMonth: boolean): number {
  const order = now & HEAD && before & NAPE ? 1 : 0
  const all = now | before
  return order + (firstMonth && all & HEAD && all & NAPE ? 1 : 0)
}

/** What it costs that somebody did the same version in an earlier block: a drill of strength never, the rest at a price. */
function againPoints(placed: readonly Placed[], person: number, at: number, v: number): number | 'broken' {
  const kind = placed[at]?.kind
  for (let j = 0; j < at; j += 1) {
    if (placed[j]?.value.parts[person]?.v !== v) continue
    if (kind === 'train') return 'broken'
    if (kind === 'ease') return WEIGHTS.restAgain
    if (OWN_WORK.has(kind ?? '') && OWN_WORK.has(placed[j]?.kind ?? '')) return WEIGHTS.sameTwice
  }
  return 0
}

/** The share of what somebody lacks that the class covers, each lack at most whole. */
function covered(shares: readonly number[], placed: readonly Placed[], person: number): number {
  let sum = 0
  for (let c = 0; c < shares.length; c += 1) {
    let part = 0
    for (const { value } of placed) part += value.parts[person]?.covers[c] ?? 0
    sum += (shares[c] ?? 0) * Math.min(1, part)
  }
  return sum
}

function spentBefore(placed: readonly Placed[], person: number, at: number): boolean {
  return at > 0 && spentAfter(placed, at, person) > SPENT_SHARE - 0.03
}

function heavyTwice(before: BlockValue, now: BlockValue): boolean {
  for (let i = 0; i < now.parts.length; i += 1)
    if ((now.parts[i]?.heavy ?? 0) & (before.parts[i]?.heavy ?? 0)) return true
  return false
}

function keptPieces(before: BlockValue, now: BlockValue): number {
  let kept = 0
  for (let k = 0; k < now.pieces.length; k += 1) kept += Math.min(now.pieces[k] ?? 0, before.pieces[k] ?? 0)
  return kept
}

/** What was warmed is still warm: work on the same load keeps it so (ruling 12). */
function keepsWarm(placed: readonly Placed[], warmEnd: number, add: Add): void {
  const end = placed.at(-1)
  if (!end || end.startS - warmEnd < WARM_FOR_S / 2) return
  const last = new Map<number, number>()
  for (const { value, startS, setupS } of placed) {
    for (const w of value.warmList) {
      const warmAt = last.get(w) ?? warmEnd
      if (startS + setupS - warmAt > WARM_FOR_S) add(0, WEIGHTS.broken / 2)
      last.set(w, startS + setupS + value.seconds)
    }
  }
}

/** Blocks that a class of this length has; two conditioning blocks at most, within their minutes. */
function unusedNeeds(model: Model, state: State, add: Add): void {
  let trained = 0
  let trainS = 0
  model.slots.forEach(({ purpose, configs }, i) => {
    const config = configs[state.config[i] ?? -1]
    if (!config && purpose.needed) add(0, WEIGHTS.broken)
    if (config && purpose.kind === 'train') {
      trained += 1
      trainS += usualSeconds(config)
    }
  })
  if (trained > model.mostTrained) add(0, WEIGHTS.broken)
  if (trainS > model.trainMostS + 1) add(0, WEIGHTS.broken / 2)
}
