import { degrees } from './point'

/**
 * The turn that brings a place to a wanted x. Whatever turns rigidly about a joint, with all that merely rides on it,
 * moves its centre of mass as A + B·cos t + C·sin t, so three looks fix the curve and no search is needed.
 * @param xAt where the place lies after a turn, degrees; called at 0, 90 and 180
 * @returns the turn between `low` and `high`, or null where none of them does it
 */
export function turnFor(
  xAt: (deg: number) => number,
  wanted: number,
  low: number,
  high: number,
): number | null {
  const [x0, x90, x180] = [xAt(0), xAt(90), xAt(180)]
  const middle = (x0 + x180) / 2
  const [cos, sin] = [(x0 - x180) / 2, x90 - middle]
  const reach = Math.hypot(cos, sin)
  const part = (wanted - middle) / reach
  if (!(Math.abs(part) <= 1)) return null
  const phase = Math.atan2(cos, sin)
  for (const turn of [Math.asin(part) - phase, Math.PI - Math.asin(part) - phase]) {
    const deg = degrees(turn)
    const near = deg - 360 * Math.round((deg - (low + high) / 2) / 360)
    if (near >= low && near <= high) return near
  }
  return null
}
