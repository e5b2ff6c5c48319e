import type { Aim } from '../classes/aim'
import type { WorkKind } from '../classes/fixed'

/** Getting from one block to the next, s, at least. */
export const CHANGE_S = 30
/** Rest between blocks that tire the same joint most, s. */
export const HEAVY_REST_S = 60

/** Sets and waves of a working block, with the time of a turn and of the gap after it, s. */
export type Config = {
  readonly sets: number
  readonly waves: number
  readonly workS: number
  readonly gapS: number
  /** The gap where somebody's work tires a joint most. */
  readonly heavyGapS: number
  /**
   * Whether what is done is built, entered once and stayed in (ruling 24): by everybody as long as the block lasts, or by each
   * as long as they stay; null for sets and turns.
   */
  readonly stays: 'all' | 'own' | null
}

/** Parts of a class whose length follows from its own, s (class-craft.md 3). */
export type Frame = {
  readonly arriveS: number
  readonly settleS: number
  readonly restS: number
  readonly closeS: number
}

/** Minutes at 20, 60, 75 and 90 of class. */
const TABLE: Readonly<Record<keyof Frame, readonly [number, number, number, number]>> = {
  arriveS: [1, 4, 5, 6],
  settleS: [1, 3, 4, 5],
  restS: [3, 6, 7, 8],
  closeS: [1, 2, 3, 4],
}
const AT = [20, 60, 75, 90] as const

/** The frame of a class; in between and beyond the table along straight lines, in half minutes. */
export function frameOf(minutes: number): Frame {
  const at = ([a, b, c, d]: readonly [number, number, number, number]): number => {
    const value =
      minutes <= AT[1]
        ? along(minutes, [AT[0], a], [AT[1], b])
        : minutes <= AT[2]
          ? along(minutes, [AT[1], b], [AT[2], c])
          : along(minutes, [AT[2], c], [AT[3], d])
    return Math.max(30, Math.floor(value * 2) * 30)
  }
  return {
    arriveS: at(TABLE.arriveS),
    settleS: at(TABLE.settleS),
    restS: at(TABLE.restS),
    closeS: at(TABLE.closeS),
  }
}

function along(x: number, [x0, y0]: readonly [number, number], [x1, y1]: readonly [number, number]): number {
  return y0 + ((x - x0) / (x1 - x0)) * (y1 - y0)
}

/** How long a kind of block lasts at least and at most, as shares of the class (class-craft.md 3, rounded to whole sets). */
const SHARE: Readonly<Record<WorkKind, readonly [number, number]>> = {
  skill: [0.05, 0.17],
  support: [0.03, 0.14],
  peak: [0.13, 0.32],
  stay: [0.03, 0.24],
  train: [0, 0.2],
  ease: [0.05, 0.2],
}

/** A class of this length or longer has both a skill block and turns at the wall. */
export const BOTH_FROM_MIN = 40

/** Seconds that a kind of block may take at most, all blocks of that kind together. */
export function mostSeconds(kind: WorkKind, { kind: aim }: Aim, minutes: number): number {
  const [, most] = SHARE[kind]
  const more = aim === 'workshop' && kind === 'peak' ? 2 : aim === 'strength' && kind !== 'peak' ? 3 : 1
  return Math.max(kind === 'peak' ? 240 : 180, most * more * minutes * 60)
}

/** Seconds that one block of a kind takes at least. */
function leastSeconds(kind: WorkKind, minutes: number): number {
  return Math.min(120, SHARE[kind][0] * minutes * 60)
}

/** How long a block counts for the minutes of its kind, s: by its usual turns, however short they become. */
export function usualSeconds({ sets, waves, workS, gapS }: Config): number {
  return sets * waves * (workS + gapS)
}

/** Every way of running a block of a kind that its limits leave. */
export function configsOf(kind: WorkKind, aim: Aim, minutes: number): Config[] {
  const found: Config[] = []
  const add = (sets: number, waves: number, workS: number, gaps: readonly [number, number]): void => {
    const stays = kind === 'ease' ? 'all' : kind === 'stay' ? 'own' : null
    const config: Config = { sets, waves, workS, gapS: gaps[0], heavyGapS: gaps[1], stays }
    const seconds = usualSeconds(config)
    if (seconds >= leastSeconds(kind, minutes) && seconds <= mostSeconds(kind, aim, minutes))
      found.push(config)
  }
  switch (kind) {
    case 'skill':
      for (const sets of [1, 2, 3, 4, 5, 6]) add(sets, 1, 40, [30, 50])
      for (const sets of [2, 3, 4]) add(sets, 2, 40, [20, 20])
      break
    case 'support':
    case 'train':
      for (const sets of [2, 3, 4, 5]) add(sets, 1, 40, [30, 50])
      for (const sets of [2, 3]) add(sets, 2, 40, [20, 20])
      break
    case 'peak':
      for (const sets of [1, 2, 3, 4, 5, 6]) {
        add(sets, 1, 60, [60, 60])
        for (const waves of [2, 3, 4]) add(sets, waves, 60, [20, 20])
      }
      break
    case 'stay':
      // Leaving, and where the wall or the cupboard wants it building once more for whoever comes after.
      for (const workS of [90, 180, 300, 420]) {
        add(1, 1, workS, [30, 30])
        for (const waves of [2, 3]) add(1, waves, workS, [60, 60])
      }
      break
    case 'ease':
      for (const workS of [120, 180, 240, 300, 420, 540]) add(1, 1, workS, [30, 30])
  }
  return found
}

/** No turn is called shorter, s: people have to get into what they do. */
const LEAST_TURN_S = 30

/** Whether people build something and stay in it. */
export function isStayed({ stays }: Pick<Config, 'stays'>): boolean {
  return stays !== null
}

/** How long a turn is where the slowest is at work so long, s: what nobody needs is nobody's idle time. */
export function turnSeconds({ workS, stays }: Pick<Config, 'workS' | 'stays'>, needS: number): number {
  if (stays === 'all') return workS
  return Math.min(workS, Math.max(LEAST_TURN_S, Math.ceil(needS / 5) * 5))
}

/**
 * How long a block takes, without fetching its props.
 * @param needS at work in a turn, the slowest of them; the whole turn where nothing is said
 */
export function secondsOf(config: Config, heavy: boolean, needS: number = config.workS): number {
  const { sets, waves, gapS, heavyGapS } = config
  return sets * waves * (turnSeconds(config, needS) + (heavy ? heavyGapS : gapS))
}
