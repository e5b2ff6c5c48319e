import { ok, refused, type Result } from '../result'
import { add, direction, distance, radians, type Point } from './point'

export type ReachRefusal =
  | { code: 'too-far'; neededCm: number; reachCm: number }
  | { code: 'too-near'; neededCm: number; leastCm: number }

/**
 * The joint between two rigid links whose far ends are fixed: where two circles meet.
 * @param from centre of the first link, with its length `fromLength` cm
 * @param to centre of the second link, with its length `toLength` cm
 * @param side which of the two meeting points: the higher, lower, nearer the wall (`front`) or further from it (`back`),
 *   or the one to the `right` looking from the first end to the second, which turning the whole does not change
 * @returns the joint, or by how much the ends are too far apart or too close
 */
export function joinLinks(
  from: Point,
  fromLength: number,
  to: Point,
  toLength: number,
  side: 'up' | 'down' | 'front' | 'back' | 'right',
): Result<Point, ReachRefusal> {
  const apart = distance(from, to)
  if (apart > fromLength + toLength)
    return refused({ code: 'too-far', neededCm: apart, reachCm: fromLength + toLength })
  const least = Math.abs(fromLength - toLength)
  if (apart < least) return refused({ code: 'too-near', neededCm: apart, leastCm: least })
  const along = (fromLength ** 2 - toLength ** 2 + apart ** 2) / (2 * apart)
  const off = Math.sqrt(Math.max(0, fromLength ** 2 - along ** 2))
  const axis = direction(from, to)
  const foot = add(from, { x: axis.x * along, y: axis.y * along })
  const left: Point = { x: foot.x - axis.y * off, y: foot.y + axis.x * off }
  const right: Point = { x: foot.x + axis.y * off, y: foot.y - axis.x * off }
  if (side === 'right') return ok(right)
  const axisOf = side === 'up' || side === 'down' ? 'y' : 'x'
  const [less, more] = left[axisOf] <= right[axisOf] ? [left, right] : [right, left]
  return ok(side === 'up' || side === 'front' ? more : less)
}

/** Straight distance across two links with an inner angle between them (180° is straight). */
export function spanAcross(first: number, second: number, innerDeg: number): number {
  return Math.sqrt(first ** 2 + second ** 2 - 2 * first * second * Math.cos(radians(innerDeg)))
}
