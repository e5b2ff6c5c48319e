import type { Brief } from '../classes/brief'
import type { Doing, Plan, PlanBlock, Together, TogetherKind, Work } from '../classes/plan'
import { turnsOf, WAITING } from '../classes/plan'
import type { Item } from './compose'
import type { Placed } from './evaluate'
import type { Found } from './first-plan'
import type { Model } from './model'
import type { Config } from './skeleton'
import type { Variant } from './variants'
import { warningsOf } from './warnings'

/** Spare minutes go into the rest so far, s; what is left beyond is said. */
const LONGER_REST_S = 180
/** The document of a plan: times in whole seconds from the start of the class, every id of the practice's own. */
export function writePlan(model: Model, brief: Brief, { state, outcome }: Found): Plan {
  const { frame } = model
  const blocks: PlanBlock[] = []
  let at = 0
  const together = (kind: TogetherKind, seconds: number, items: readonly Item[] = []): void => {
    const block: Together = { kind, startS: at, seconds, items: items.map((i) => swapped(i, brief)) }
    blocks.push(block)
    at += seconds
  }
  together('arrive', frame.arriveS)
  together('settle', frame.settleS, spread(model.settled, frame.settleS))
  if (outcome.warm.items.length > 0) together('warm-up', outcome.warm.seconds, outcome.warm.items)
  for (const placed of outcome.blocks) {
    if (placed.wayOut && outcome.wayOut) together('way-out', outcome.wayOut.seconds, outcome.wayOut.items)
    const block = workOf(model, brief, placed, state.config[placed.slot] ?? -1, at)
    blocks.push(block)
    at += block.seconds
  }
  const longer = Math.min(LONGER_REST_S, Math.max(0, Math.floor(outcome.leftS / 30) * 30))
  at += 30
  if (outcome.closing.items.length > 0)
    together('counterpose', outcome.closing.seconds, outcome.closing.items)
  together('rest', frame.restS + longer)
  together('close', frame.closeS)
  return {
    version: 2,
    minutes: brief.minutes,
    aim: brief.aim,
    blocks,
    pull: pullOf(blocks),
    warnings: warningsOf(model, brief, blocks, outcome.warm, brief.minutes * 60 - at),
    points: Object.fromEntries(
      [...outcome.tiers].map((points, tier) => [`tier-${tier}`, Math.round(points * 100) / 100]),
    ),
  }
}

function swapped(item: Item, { fixed }: Brief): { id: string; seconds: number } {
  return { id: fixed.swaps[item.id] ?? item.id, seconds: item.seconds }
}

function spread(ids: readonly string[], seconds: number): Item[] {
  const each = Math.floor(seconds / Math.max(1, ids.length))
  return ids.map((id) => ({ id, seconds: each }))
}

function workOf(model: Model, brief: Brief, placed: Placed, configAt: number, startS: number): Work {
  const { slot, value, setupS } = placed
  const { purpose, configs } = model.slots[slot] ?? {}
  const config: Config = configs?.[configAt] ?? { sets: 1, waves: 1, workS: 40, gapS: 30, heavyGapS: 30 }
  const cycles = config.sets * config.waves
  const people = value.parts.map((part, i): Doing => doingOf(model, brief, placed, part, i))
  return {
    kind: purpose?.kind ?? 'skill',
    purpose: purpose?.id ?? '',
    startS,
    seconds: setupS + value.seconds,
    setupS,
    sets: config.sets,
    waves: config.waves,
    workS: config.workS,
    gapS: Math.round(value.seconds / cycles) - config.workS,
    people: withMats(brief, people, model),
  }
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
  const { holdS, reps, sideMore, override, change, inPlace } = option
  return {
    ...{ studentId, wave, waiting, turns, holdS, reps, sideMore, override, change, inPlace },
    ...whereOf(brief, variant, deal, i),
    ...{ variantId: variant.id, setupId: variant.setupId, tries: variant.tries, sides: variant.sides },
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
