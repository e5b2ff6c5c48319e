import type { Point } from '../mechanics/point'
import type { Contour } from './contour'
import type { Station } from './stations'

/** The belly side of a line from one joint to the next, as a unit vector. */
export function beside(from: Point, to: Point, facing: number): { along: Point; front: Point } {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1
  const along = { x: (to.x - from.x) / length, y: (to.y - from.y) / length }
  return { along, front: { x: -along.y * facing, y: along.x * facing } }
}

/** Both sides of one limb. @param scale cm for one unit of the table @param facing which side is the belly's */
export function limb(
  from: Point,
  to: Point,
  stations: readonly Station[],
  scale: number,
  facing: number,
): Contour {
  const { front } = beside(from, to, facing)
  const [ahead, behind] = [[] as Point[], [] as Point[]]
  for (const [t, f, b] of stations) {
    const x = from.x + t * (to.x - from.x)
    const y = from.y + t * (to.y - from.y)
    ahead.push({ x: x + front.x * f * scale, y: y + front.y * f * scale })
    behind.unshift({ x: x - front.x * b * scale, y: y - front.y * b * scale })
  }
  return [...ahead, ...behind]
}
