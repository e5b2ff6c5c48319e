import type { Brief } from '../classes/brief'
import type { Doing, Plan, PlanBlock, Together, TogetherKind, Work } from '../classes/plan'
import { turnsOf, WAITING } from '../classes/plan'
import { climbing } from './climb'
import type { Item } from './compose'
import type { Placed } from './evaluate'
import type { Found } from './first-plan'
import { onTheHope } from './hope'
import type { Model } from './model'
import { needsNothing } from './options'
import type { Config } from './skeleton'
import { staggered, type Stagger } from './stagger'
import { stepping, type Prepared } from './stepping'
import type { Variant } from './variants'
import { warningsOf } from './warnings'

/** The document of a plan: times in whole seconds from the start of the class, every id of the practice's own. */
export function writePlan(model: Model, given: Brief, { state, outcome }: Found): Plan {
  const brief = onTheHope(given)
  const { frame } = model
  // Starts one after the other come first out of what is over.
  let leftS = outcome.leftS + outcome.blocks.reduce((sum, { value }) => sum + value.startsS, 0)
  const starts = outcome.blocks.map((placed) => {
    const { sets, waves } = configOf(model, state, placed)
    const stagger = staggered(model, placed, sets * waves, leftS)
    leftS -= stagger.longerS * sets * waves
    return stagger
  })
  const more = spareFor({ ...outcome, leftS }, model.minutes)
  const prepared = {
    warm: outcome.blocks.reduce((mask, { value }) => mask | value.warm, 0),
    owes: outcome.blocks.reduce((mask, { value }) => mask | value.owes, 0),
  }
  const blocks: PlanBlock[] = []
  let at = 0
  const together = (kind: TogetherKind, seconds: number, items: readonly Item[] = []): void => {
    const block: Together = { kind, startS: at, seconds, items: items.map((i) => swapped(i, brief)) }
    blocks.push(block)
    at += seconds
  }
  together('arrive', frame.arriveS)
  together('settle', frame.settleS + more.settleS, spread(model.settled, frame.settleS + more.settleS))
  if (outcome.warm.items.length > 0)
    together('warm-up', outcome.warm.seconds + more.warmS, longer(outcome.warm.items, more.warmS))
  for (const [i, placed] of outcome.blocks.entries()) {
    if (placed.wayOut && outcome.wayOut) together('way-out', outcome.wayOut.seconds, outcome.wayOut.items)
    const block = workOf(model, brief, placed, {
      config: configOf(model, state, placed),
      startS: at,
      stagger: starts[i],
      prepared,
    })
    blocks.push(block)
    at += block.seconds
  }
  at += 30
  if (outcome.closing.items.length > 0)
    together(
      'counterpose',
      outcome.closing.seconds + more.unloadS,
      longer(outcome.closing.items, more.unloadS),
    )
  together('rest', frame.restS + more.restS)
  together('close', frame.closeS + more.closeS)
  return {
    version: 2,
    minutes: brief.minutes,
    aim: brief.aim,
    blocks,
    pull: pullOf(blocks),
    warnings: warningsOf(model, given, blocks, outcome.warm, brief.minutes * 60 - at),
    points: Object.fromEntries(
      [...outcome.tiers].map((points, tier) => [`tier-${tier}`, Math.round(points * 100) / 100]),
    ),
  }
}

/** What each part may be longer than usual at most, s (hour.md 2); what is left beyond is said. */
const MOST_MORE = { warmS: 180, unloadS: 180, restS: 240, settleS: 120, closeS: 60 } as const
/** Nothing that is done together is stretched by more, s. */
const LONGEST_MORE_S = 60
/** After attempts nobody is unloaded for less, s. */
const LEAST_UNLOAD_S = 180

type More = Readonly<Record<keyof typeof MOST_MORE, number>>

/**
 * Where spare minutes go once no block can take them, in this order: unloading to its least, joints, unloading, rest, settling,
 * the close, each within its bounds.
 */
function spareFor({ leftS, warm, closing, blocks }: Found['outcome'], minutes: number): More {
  let left = Math.max(0, Math.floor(leftS / 5) * 5)
  const take = (most: number): number => {
    const taken = Math.max(0, Math.min(left, Math.floor(most / 5) * 5))
    left -= taken
    return taken
  }
  const tried = blocks.some(({ value }) => value.hasTries)
  const owed = closing.items.length > 0 && tried ? take(LEAST_UNLOAD_S - closing.seconds) : 0
  // A third of the class at most is warming up (ruling 12).
  const room = minutes * 20 - warm.seconds
  const warmS = take(Math.min(MOST_MORE.warmS, room, LONGEST_MORE_S * warm.items.length))
  const unloadS = owed + take(Math.min(MOST_MORE.unloadS, LONGEST_MORE_S * closing.items.length) - owed)
  const restS = take(MOST_MORE.restS)
  const settleS = take(MOST_MORE.settleS)
  return { warmS, unloadS, restS, settleS, closeS: take(MOST_MORE.closeS) }
}

/** The same things, each a little longer, in whole five seconds as far as they go round. */
function longer(items: readonly Item[], moreS: number): Item[] {
  const each = Math.floor(moreS / items.length / 5) * 5
  const over = moreS - each * items.length
  return items.map((item, i) => ({ ...item, seconds: item.seconds + each + (i === 0 ? over : 0) }))
}

function swapped(item: Item, { fixed }: Brief): { id: string; seconds: number } {
  return { id: fixed.swaps[item.id] ?? item.id, seconds: item.seconds }
}

function spread(ids: readonly string[], seconds: number): Item[] {
  const each = Math.floor(seconds / Math.max(1, ids.length))
  return ids.map((id) => ({ id, seconds: each }))
}

function configOf({ slots }: Model, { config }: Found['state'], { slot }: Placed): Config {
  const found = slots[slot]?.configs[config[slot] ?? -1]
  if (!found) throw new Error('a block that is not run is not written')
  return found
}

type Run = {
  readonly config: Config
  readonly startS: number
  readonly stagger: Stagger | undefined
  readonly prepared: Prepared
}

function workOf(
  model: Model,
  brief: Brief,
  placed: Placed,
  { config, startS, stagger, prepared }: Run,
): Work {
  const { slot, value, setupS } = placed
  const { purpose } = model.slots[slot] ?? {}
  const longerS = stagger?.longerS ?? 0
  const cycles = config.sets * config.waves
  const gapS = Math.round(value.seconds / cycles) - value.workS
  const people = value.parts.map((part, i): Doing => {
    const doing = { ...doingOf(model, brief, placed, part, i), after: stagger?.after[i] ?? 0 }
    return goesOn(model, config, { workS: value.workS, gapS }, part) && !value.helped
      ? {
          ...doing,
          every: true,
          waiting: null,
          turns: Math.min(doing.turns, Math.floor(MOST_TURNS / config.waves)),
        }
      : doing
  })
  const kind = purpose?.kind ?? 'skill'
  const workS = value.workS + longerS
  const onto = stepping(model, brief, withMats(brief, people, model), prepared)
  return {
    kind,
    purpose: purpose?.id ?? '',
    startS,
    seconds: setupS + value.seconds + longerS * cycles,
    setupS,
    sets: config.sets,
    waves: config.waves,
    workS,
    gapS,
    people: climbing(model, brief, { kind, workS, waves: config.waves }, onto),
  }
}

/** More turns than this of one thing are drudgery. */
const MOST_TURNS = 10
/** Rest between turns that are no attempts, s. */
const FLOOR_REST_S = 30

/**
 * Whether somebody goes on in every wave: what they do takes no wall, no prop and no eyes, no limit changes it, and it leaves
 * them a rest before the next turn. Waves are for what is scarce; nobody waits for nothing.
 */
function goesOn(
  model: Model,
  { waves }: Config,
  { workS, gapS }: { readonly workS: number; readonly gapS: number },
  part: Placed['value']['parts'][number],
): boolean {
  if (waves < 2 || !part) return false
  const variant = model.variants[part.v]
  return (
    variant?.gentle === true &&
    needsNothing(variant, part.option) &&
    part.option.change === null &&
    part.shoulder <= 1 &&
    workS + gapS - part.needS >= FLOOR_REST_S
  )
}

function doingOf(
  model: Model,
  brief: Brief,
  { value, kind }: Placed,
  part: Placed['value']['parts'][number],
  i: number,
): Doing {
  const { studentId = '', weaker = {}, meanwhile = [] } = model.people[i] ?? {}
  const deal = value.deal()
  // Neighbours get different tasks, so that nobody copies the wrong one.
  const task = kind === 'ease' ? undefined : meanwhile[i % Math.min(2, Math.max(1, meanwhile.length))]
  const wave = Math.max(0, deal?.wave[i] ?? 0) + 1
  const waiting = task ?? null
  const variant = part ? model.variants[part.v] : undefined
  if (!part || !variant) return { ...WAITING, studentId, wave, waiting }
  const { option, turns } = part
  const { reps, sideMore, override, change, inPlace } = option
  // Whoever would stay longer than the block lasts leaves with it.
  const holdS = kind === 'stay' && option.holdS !== null ? Math.min(option.holdS, value.workS) : option.holdS
  return {
    ...{ studentId, wave, waiting, turns, holdS, reps, sideMore, override, change, inPlace },
    ...whereOf(brief, variant, deal, i),
    ...{ variantId: variant.id, setupId: variant.setupId, tries: variant.tries, sides: variant.sides },
    every: false,
    after: 0,
    climb: [],
    then: null,
    sideFirst: weaker[variant.id] ?? null,
    props: [...variant.bill],
  }
}

function whereOf(
  { room }: Brief,
  { stands }: Variant,
  deal: ReturnType<Placed['value']['deal']>,
  i: number,
): Pick<Doing, 'place' | 'helper'> {
  const bay = room.bays[deal?.bay[i] ?? -1]?.id
  return { place: bay ?? (stands === 'open' ? 'open' : null), helper: deal?.helper[i] ?? null }
}

/** Whoever is at no wall has their own mat, the same in every block; only where somebody may fall onto it another. */
function withMats({ room }: Brief, people: readonly Doing[], model: Model): Doing[] {
  if (room.mats === null) return [...people]
  const kicks = new Set(people.flatMap((p) => (p.place && fallsFrom(model, p) ? [p.place] : [])))
  const isFree = (at: number): boolean => !room.mats?.[at]?.inFall.some((bay) => kicks.has(bay))
  const own = people.map((p, i) => p.place === null && i < (room.mats?.length ?? 0) && isFree(i))
  const others = room.mats.filter((_, i) => isFree(i) && !own[i])
  return people.map((p, i) => {
    if (p.place !== null) return p
    return { ...p, place: (own[i] ? room.mats?.[i] : others.shift())?.id ?? null }
  })
}

function fallsFrom(model: Model, { variantId }: Doing): boolean {
  return model.variants.some((v) => v.id === variantId && v.kick)
}

/** The most of each kind that is out at once: of every wave what is up in it, and rigs all block long. */
function pullOf(blocks: readonly PlanBlock[]): Plan['pull'] {
  const most = new Map<string, number>()
  for (const block of blocks) {
    if (!('people' in block)) continue
    for (const turn of turnsOf(block)) {
      const out = new Map<string, number>()
      for (const { props } of turn.up)
        for (const { kind, count } of props) out.set(kind, (out.get(kind) ?? 0) + count)
      for (const [kind, n] of out) most.set(kind, Math.max(most.get(kind) ?? 0, n))
    }
  }
  return [...most].sort((a, b) => (a[0] < b[0] ? -1 : 1)).map(([kind, count]) => ({ kind, count }))
}
