import type { Cm } from '../units'

/** Width of a straight-line place at the wall, cm (props.md 6). */
export const BAY_WIDTH_CM = 120
/** More bays than this are never in sight of one teacher. */
const MOST_BAYS = 12

/** How many people a clear wall takes side by side. */
export function baysIn(wallCm: Cm): number {
  return Math.min(MOST_BAYS, Math.floor(wallCm / BAY_WIDTH_CM))
}
