/** A place in the side view: x along the floor towards the wall, y up, both cm. The support is at x = 0. */
export type Point = { readonly x: number; readonly y: number }

/** Sum of two vectors. */
export function add(a: Point, b: Point): Point {
  return { x: a.x + b.x, y: a.y + b.y }
}

/** Vector from `b` to `a`. */
export function subtract(a: Point, b: Point): Point {
  return { x: a.x - b.x, y: a.y - b.y }
}

/** The point a fraction of the way from `a` to `b`. */
export function between(a: Point, b: Point, fraction: number): Point {
  return { x: a.x + (b.x - a.x) * fraction, y: a.y + (b.y - a.y) * fraction }
}

/** Distance, cm. */
export function distance(a: Point, b: Point): number {
  return Math.hypot(a.x - b.x, a.y - b.y)
}

/** Unit vector from `a` to `b`. */
export function direction(a: Point, b: Point): Point {
  const length = distance(a, b)
  return { x: (b.x - a.x) / length, y: (b.y - a.y) / length }
}

/** A step of `length` along a tilt from the vertical, degrees; positive tilts towards the wall. */
export function rise(from: Point, length: number, tiltDeg: number): Point {
  const tilt = radians(tiltDeg)
  return { x: from.x + length * Math.sin(tilt), y: from.y + length * Math.cos(tilt) }
}

/** Angle at `vertex` between the arms to `a` and `b`, 0…180°. */
export function angleAt(vertex: Point, a: Point, b: Point): number {
  const u = subtract(a, vertex)
  const v = subtract(b, vertex)
  return degrees(Math.abs(Math.atan2(u.x * v.y - u.y * v.x, u.x * v.x + u.y * v.y)))
}

/** Degrees to radians. */
export function radians(deg: number): number {
  return (deg * Math.PI) / 180
}

/** Radians to degrees. */
export function degrees(rad: number): number {
  return (rad * 180) / Math.PI
}

/** Tilt from the vertical of the way from `a` to `b`, degrees, −180…180; positive leans towards the wall. */
export function tiltOf(a: Point, b: Point): number {
  return degrees(Math.atan2(b.x - a.x, b.y - a.y))
}

/** The turn from one tilt to another, degrees, between −180 and 180. */
export function turnBetween(fromDeg: number, toDeg: number): number {
  const deg = toDeg - fromDeg
  return deg - 360 * Math.round(deg / 360)
}
