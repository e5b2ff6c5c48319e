import type { Work } from '../classes/plan'
import type { Moment } from './class-run'

/** Where a turn is in the group's own breath. */
export type Breathing = {
  readonly breath: number
  readonly of: number
  readonly half: 'in' | 'out'
  readonly halfS: number
}

/** A turn shorter than this many breaths is not counted in them. */
const LEAST_BREATHS = 2

/** The breath of a group, s: the middle one, so that neither the quickest nor the slowest sets the pace. */
export function groupBreath(breaths: readonly number[]): number | null {
  const sorted = breaths.toSorted((a, b) => a - b)
  return sorted[Math.floor((sorted.length - 1) / 2)] ?? null
}

/**
 * The breath that is on while people are up: counted from the start of the turn, half of it in and half of it out.
 * @param breathS of the group
 * @returns null between turns, and where a turn has no two whole breaths
 */
export function breathingAt(
  block: Pick<Work, 'workS'>,
  { turn }: Moment,
  breathS: number | null,
): Breathing | null {
  if (turn?.phase !== 'up' || breathS === null) return null
  const of = Math.floor(block.workS / breathS)
  const at = (block.workS - turn.leftS) / breathS
  if (of < LEAST_BREATHS || at < 0) return null
  return {
    breath: Math.min(of, Math.floor(at) + 1),
    of,
    half: at % 1 < 0.5 ? 'in' : 'out',
    halfS: breathS / 2,
  }
}
