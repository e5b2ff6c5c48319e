import { dealWaves, eyesOf, MOST_AT_ONCE, type Deal } from './deal'
import type { Model, Slot } from './model'
import { FALLS, JUST_BEFORE, KICKS_FB, KICKS_WB, partOf, TRIES, type Part } from './part'
import { needsNothing } from './options'
import { isStayed, secondsOf, turnSeconds, type Config } from './skeleton'
import { COUNTED_KINDS } from '../props/stock'
import { APART_S } from './stagger'
import { LIGHT_POINTS } from './variants'
import { WEIGHTS } from './weights'

/** Points by tier: 1 to 7 as published, 0 for what is broken. */
export type Tiers = Readonly<Float64Array>

/** How many tiers there are. */
export const TIERS = 8

/** What one block is worth by itself, and what it asks of the rest of the class. */
export type BlockValue = {
  /** By person; null waits. */
  readonly parts: readonly (Part | null)[]
  /** Waves, bays and helpers, dealt when first asked for; null where none was found. */
  readonly deal: () => Deal | null
  readonly tiers: Tiers
  readonly seconds: number
  /** Kept for starts one after the other, where several kick in a wave, s. */
  readonly startsS: number
  /** A turn, as long as the slowest needs, s. */
  readonly workS: number
  /** Getting ready before it, s: the slowest decides. */
  readonly setupS: number
  /** How many of each kind, by `COUNTED_KINDS`. */
  readonly pieces: readonly number[]
  readonly warm: number
  readonly owes: number
  readonly hasTries: boolean
  readonly falls: boolean
  /** What is kicked into from forearms or hands, as bits. */
  readonly kicks: number
  readonly justBefore: boolean
  /** Somebody is helped: the eyes of whoever helps are with them alone. */
  readonly helped: boolean
  /** Warm-ups that its loads call for, by place. */
  readonly warmList: readonly number[]
}

const KINDS = COUNTED_KINDS.length

/** So many people or fewer each have a teacher’s eyes whatever they do. */
export const FEW = 4

/**
 * What one block is worth with these versions.
 * @param isOpen whether somebody may do anything of it at all
 */
export function blockValue(
  model: Model,
  config: Config,
  parts: readonly (Part | null)[],
  isOpen: (person: number) => boolean,
): BlockValue {
  const pieces = new Array<number>(KINDS).fill(0)
  const tiers = new Float64Array(TIERS)
  let [warm, owes, heavy, setupS, marks, needS] = [0, 0, 0, 0, 0, 0]
  const does = new Map<number, number>()
  for (let p = 0; p < parts.length; p += 1) {
    const part = parts[p] ?? null
    if (part === null) {
      // Whoever may do nothing of it waits whatever is chosen: that is no reason to leave the block out.
      if (isOpen(p)) tiers[1] = (tiers[1] ?? 0) + WEIGHTS.waitsThrough
      continue
    }
    for (let t = 1; t < TIERS; t += 1) tiers[t] = (tiers[t] ?? 0) + (part.points[t] ?? 0)
    if (part.setupS > 0)
      for (let k = 0; k < KINDS; k += 1) pieces[k] = (pieces[k] ?? 0) + (part.byKind[k] ?? 0)
    if (part.setupS > setupS) setupS = part.setupS
    if (part.needS > needS) needS = part.needS
    warm |= part.warm
    owes |= part.owes
    heavy |= part.heavy
    marks |= part.marks
    does.set(part.v, (does.get(part.v) ?? 0) + 1)
  }
  tiers[5] = fewVersions(model, config, parts, does)
  let dealt: Deal | null | undefined
  const deal = (): Deal | null => {
    if (dealt === undefined)
      dealt = dealWaves(
        model,
        config,
        parts.map((p) => p?.option ?? null),
      )
    return dealt
  }
  const workS = turnSeconds(config, needS)
  return {
    ...{ parts, deal, setupS, pieces, warm, owes, tiers, warmList: bitsOf(warm) },
    hasTries: (marks & TRIES) !== 0,
    falls: (marks & FALLS) !== 0,
    kicks: marks & (KICKS_FB | KICKS_WB),
    justBefore: (marks & JUST_BEFORE) !== 0,
    helped: parts.some((part) => part?.option.helper),
    workS,
    startsS: startsSeconds(model, config, parts, workS),
    seconds: secondsOf(config, heavy !== 0, needS),
  }
}

/** What starts one after the other add to a block, at their usual distance, with kickers spread evenly over its waves. */
function startsSeconds(
  model: Model,
  { sets, waves }: Config,
  parts: readonly (Part | null)[],
  workS: number,
): number {
  const needs = parts.flatMap((part) => (part && model.variants[part.v]?.kick ? [part.needS] : []))
  if (needs.length < 2) return 0
  const last = APART_S * (Math.ceil(needs.length / waves) - 1)
  return sets * waves * Math.max(0, Math.ceil((last + Math.max(...needs) - workS) / 5) * 5)
}

/** Few versions, none for one person alone, and waves only where something is scarce. */
function fewVersions(
  model: Model,
  config: Config,
  parts: readonly (Part | null)[],
  does: ReadonlyMap<number, number>,
): number {
  const alone = parts.length > FEW && !isStayed(config) ? [...does.values()].filter((n) => n === 1).length : 0
  const idle = config.waves > 1 && !isScarce(model, parts)
  return WEIGHTS.version * does.size + WEIGHTS.alone * alone + (idle ? WEIGHTS.idleWaves : 0)
}

/** Whether anything of a block is scarce, wall, floor, pieces, hands or eyes, so that waves have a reason. */
function isScarce(model: Model, parts: readonly (Part | null)[]): boolean {
  let [points, working] = [0, 0]
  const versions = new Set<number>()
  for (const part of parts) {
    if (!part) continue
    if (!needsNothing(model.variants[part.v], part.option)) return true
    points += part.option.points
    if (part.option.points > LIGHT_POINTS && !versions.has(part.v)) working += 1
    versions.add(part.v)
  }
  return points > eyesOf(model.helpers) || working > MOST_AT_ONCE
}

function bitsOf(mask: number): number[] {
  const found: number[] = []
  for (let i = 0; mask >> i > 0; i += 1) if ((mask >> i) & 1) found.push(i)
  return found
}

const known = new WeakMap<Slot, Map<Config, (Part | undefined)[][]>>()

/** The part of one person's option in a block; worked out when first asked for. */
export function knownPart(model: Model, slot: Slot, config: Config, person: number, at: number): Part | null {
  const option = slot.options[person]?.[at]
  if (!option) return null
  const byConfig = known.get(slot) ?? new Map<Config, (Part | undefined)[][]>()
  known.set(slot, byConfig)
  const all = byConfig.get(config) ?? model.people.map((): (Part | undefined)[] => [])
  byConfig.set(config, all)
  const mine = all[person] ?? []
  const found = mine[at] ?? partOf(model, slot, config, person, option)
  mine[at] = found
  return found
}
