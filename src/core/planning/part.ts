import type { WorkKind } from '../classes/fixed'
import type { Model, Slot } from './model'
import type { Option } from './option'
import { secondsOf, type Config } from './skeleton'
import { kicksFrom } from '../practice/ask'
import { COUNTED_KINDS } from '../props/stock'
import { workSeconds, type Variant } from './variants'
import { FLOOR_DOSE, PEAK_DOSE, WANTED_REST_S, WEIGHTS } from './weights'

/**
 * What bears on other blocks, as bits: work on the nape, weight on the head, tries, falls, what never stands just before
 * tries, and what is kicked into from forearms or hands.
 */
export const [NAPE, HEAD, TRIES, FALLS, JUST_BEFORE, KICKS_FB, KICKS_WB] = [1, 2, 4, 8, 16, 32, 64] as const

/** What one person's version brings to a block and asks of it: worked out once, since it does not depend on the others. */
export type Part = {
  readonly option: Option
  readonly v: number
  readonly turns: number
  /** 0 to 1.1, for what is short. */
  readonly dose: number
  /** Tries in all their turns. */
  readonly tries: number
  /** Seconds at work in all their turns. */
  readonly workS: number
  /** Seconds that one of their turns takes, getting in and out of tries with it. */
  readonly needS: number
  /** Points of tiers 0 to 7: same purpose, practice, fair share, moves, variety; in one typed row, since it is summed often. */
  readonly points: Float64Array
  /** How many of each kind, by `COUNTED_KINDS`. */
  readonly byKind: readonly number[]
  readonly setupS: number
  readonly warm: number
  readonly owes: number
  /** Joints that it tires most, as bits. */
  readonly heavy: number
  readonly shoulder: number
  readonly marks: number
  /** What it covers of each of their lacks, in the order of their list. */
  readonly covers: readonly number[]
}

/** From what it is kicked into, as a bit. */
export function kickMark(variant: Pick<Variant, 'family' | 'load'>): number {
  const from = kicksFrom(variant)
  return from === null ? 0 : from === 'FB' ? KICKS_FB : KICKS_WB
}

/** Stepping up, kicking and coming down again, for each try, s. */
const TRY_S = 10

/** What is stayed in so long has done all it does, s. */
const FULL_EASE_S = 360

/** How much of what a version does for somebody a block gives: by its turns, or by how long it is stayed in. */
function doseOf(kind: WorkKind, { workS }: Config, { holdS }: Option, turns: number): number {
  if (kind === 'ease') return Math.min(1, workS / FULL_EASE_S)
  if (kind === 'stay') return Math.min(1, workS / (holdS ?? FULL_EASE_S))
  const table = kind === 'peak' ? PEAK_DOSE : FLOOR_DOSE
  return table[Math.min(turns, table.length - 1)] ?? 0
}

/** Blocks in which minutes at work count; at the peak it is turns at one's own step, however long others take at the wall. */
const COUNTS_MINUTES: ReadonlySet<WorkKind> = new Set(['skill', 'support', 'train'])

/** What a minute of something far below one's own work counts as one of it. */
const FAR_MINUTE = 0.2

/** How far a minute of it is a minute of one's own work. */
function nearness({ fit }: Option): number {
  return FAR_MINUTE + (1 - FAR_MINUTE) * Math.min(1, fit)
}

/** What one version brings. */
export function partOf(model: Model, slot: Slot, config: Config, person: number, option: Option): Part {
  const { kind } = slot.purpose
  const variant = model.variants[option.v]
  const someone = model.people[person]
  if (!variant || !someone) throw new Error('an option of nobody')
  const turns = Math.min(config.sets, option.mostTurns)
  const dose = doseOf(kind, config, option, turns)
  const idle = secondsOf(config, false) - turns * (config.workS + WANTED_REST_S)
  const pieces = variant.bill.reduce((sum, b) => sum + b.count, 0)
  const atWall = kind === 'peak' && option.bays > 0 && !variant.rig
  const flag = (on: boolean, bit: number): number => (on ? bit : 0)
  const ownS = turns * Math.min(config.workS, workSeconds(variant, option))
  return {
    ...{ option, v: option.v, turns, dose, warm: variant.warm, owes: variant.owes },
    tries: turns * variant.tries,
    workS: ownS,
    needS: Math.min(config.workS, workSeconds(variant, option) + TRY_S * variant.tries),
    points: Float64Array.of(
      0,
      ((kind === 'stay' ? WEIGHTS.waitingToStay : WEIGHTS.waitingMinute) * Math.max(0, idle)) / 60 -
        option.outside,
      WEIGHTS[kind] * someone.weight * option.fit * dose +
        (option.first ? WEIGHTS.firstTry : 0) +
        (COUNTS_MINUTES.has(kind) ? (WEIGHTS.ownMinute * nearness(option) * ownS) / 60 : 0),
      (atWall ? WEIGHTS.wallTurn + WEIGHTS.wallDebt * someone.waited.wall : 0) +
        (option.helper ? WEIGHTS.helpDebt * someone.waited.help : 0),
      WEIGHTS.piece * pieces + (variant.rig ? WEIGHTS.rig : 0),
      0,
      variant.kind === 'stage' ? 0 : WEIGHTS.again * option.again,
      0,
    ),
    byKind: COUNTED_KINDS.map((k) => variant.bill.reduce((sum, b) => sum + (b.kind === k ? b.count : 0), 0)),
    setupS: 10 * pieces + (variant.rig ? 60 : 0),
    heavy: variant.tires.reduce((mask, t, j) => (t >= 3 ? mask | (1 << j) : mask), 0),
    shoulder: variant.tires[0] ?? 0,
    marks:
      flag((variant.load.NF ?? 0) >= 2, NAPE) |
      flag((variant.load.HB ?? 0) >= 1, HEAD) |
      flag(variant.tries > 0, TRIES) |
      flag((variant.load.FR ?? 0) >= 2, FALLS) |
      kickMark(variant) |
      flag(variant.justBefore, JUST_BEFORE),
    covers: Object.keys(someone.lacks).map(
      (c) => ((variant.trains[c as keyof typeof variant.trains] ?? 0) / 3) * dose,
    ),
  }
}
