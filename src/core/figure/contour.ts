import type { Point } from '../mechanics/point'

/** A closed line; the last point joins the first. */
export type Contour = readonly Point[]

/** What stops a body: nothing lies below the floor or beyond the wall, cm. */
export type Limits = { readonly floorY: number; readonly wallX: number | null }

/**
 * A smooth closed line through every point given: a uniform Catmull–Rom spline, sampled evenly.
 * @param parts straight pieces drawn between two points
 */
export function smooth(points: Contour, parts: number): Contour {
  const n = points.length
  const line: Point[] = []
  for (let i = 0; i < n; i++) {
    const [p0, p1, p2, p3] = [at(points, i - 1), at(points, i), at(points, i + 1), at(points, i + 2)]
    for (let k = 0; k < parts; k++) {
      const t = k / parts
      line.push({ x: catmullRom(p0.x, p1.x, p2.x, p3.x, t), y: catmullRom(p0.y, p1.y, p2.y, p3.y, t) })
    }
  }
  return line
}

function at(points: Contour, i: number): Point {
  const found = points[(i + points.length) % points.length]
  if (!found) throw new RangeError('a contour needs points')
  return found
}

function catmullRom(a: number, b: number, c: number, d: number, t: number): number {
  return b + 0.5 * t * (c - a + t * (2 * a - 5 * b + 4 * c - d + t * (3 * (b - c) + d - a)))
}

/** Flesh flattens where it is pressed: the contour cut at floor and wall. Empty where nothing is left of it. */
export function flattened(contour: Contour, { floorY, wallX }: Limits): Contour {
  const above = cut(contour, (p) => p.y - floorY)
  return wallX === null ? above : cut(above, (p) => wallX - p.x)
}

/** The part of a contour where `inside` is not negative (Sutherland and Hodgman, one line). */
function cut(contour: Contour, inside: (p: Point) => number): Contour {
  const kept: Point[] = []
  let [before, depthBefore] = [contour.at(-1), 0]
  if (!before) return kept
  depthBefore = inside(before)
  for (const point of contour) {
    const depth = inside(point)
    if (depth < 0 !== depthBefore < 0) {
      const t = depthBefore / (depthBefore - depth)
      kept.push({ x: before.x + t * (point.x - before.x), y: before.y + t * (point.y - before.y) })
    }
    if (depth >= 0) kept.push(point)
    ;[before, depthBefore] = [point, depth]
  }
  return kept
}

/** Twice the area that a contour encloses, cm²; its sign tells which way round it goes. */
export function signedArea(contour: Contour): number {
  return contour.reduce((sum, p, i) => {
    const q = at(contour, i + 1)
    return sum + p.x * q.y - q.x * p.y
  }, 0)
}

/** All one way round, so that overlapping pieces fill as one. */
export function oneWayRound(contour: Contour): Contour {
  return signedArea(contour) < 0 ? contour.toReversed() : contour
}
