import type { Point } from '../mechanics/point'
import type { Contour } from './contour'

/**
 * Closed lines as the `d` of an SVG path, y turned over, in whole steps from point to point: short, and quick to
 * write. Whoever paints it scales it by `1 / perCm`.
 * @param perCm steps in a centimetre: 1 or 2 for a drawing an inch high, 10 for a large one
 * @param asideCm how far to the right all of it is drawn
 */
export function pathOf(contours: readonly Contour[], perCm: number, asideCm = 0): string {
  return contours.map((contour) => `${lineOf(contour, perCm, asideCm)}z`).join('')
}

/** An open line as the `d` of an SVG path. */
export function lineOf(points: readonly Point[], perCm: number, asideCm = 0): string {
  const parts: string[] = []
  let [lastX, lastY] = [0, 0]
  for (const point of points) {
    const x = Math.round((point.x + asideCm) * perCm)
    const y = Math.round(-point.y * perCm)
    if (parts.length === 0) parts.push(`M${x} ${y}l`)
    else if (x !== lastX || y !== lastY) {
      const [dx, dy] = [x - lastX, y - lastY]
      // A minus sign parts two numbers as well as a space does.
      parts.push(parts.length === 1 || dx < 0 ? '' : ' ', String(dx), dy < 0 ? '' : ' ', String(dy))
    }
    ;[lastX, lastY] = [x, y]
  }
  return parts.join('')
}
