import type { Placement } from './setup'

/** Half of a folded mat's thickness: nobody lays less than this, and what is nearer touches, cm. */
const LEAST_CM = 0.3

/** Said by the step where it is nothing: what touches, and what lies on the middle. */
const NOTHING_AT_ZERO: ReadonlySet<string> = new Set(['support-off-chair', 'mid-line'])

/**
 * Whether a placement is a number to read out for one body. A support of no height is nothing to fetch; the metre of free
 * floor round a mat is the same for everybody, and is looked for once, with the room.
 */
export function isOwnNumber({ key, line, valueCm }: Placement): boolean {
  if ((line === 'prop-top' || NOTHING_AT_ZERO.has(key)) && Math.abs(valueCm) < LEAST_CM) return false
  return key !== 'clear-side'
}
