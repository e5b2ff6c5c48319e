import { GRAVITY } from './moments'
import type { Point } from './point'
import type { Particle } from './skeleton'

/**
 * Moment of inertia about a point, per kg of body: every segment as a thin rod, L²/12 about its own middle, moved by the
 * parallel-axis theorem. Leaving the rods' own part out would lower a straight body's by about 2 %.
 * @returns m²
 */
export function inertiaAbout(parts: readonly Particle[], about: Point): number {
  let sum = 0
  for (const { at, mass, rodCm } of parts)
    sum += mass * ((at.x - about.x) ** 2 + (at.y - about.y) ** 2 + (rodCm * rodCm) / 12)
  return sum / 1e4
}

/**
 * √(I / (m g h)): an inverted pendulum's tilt grows by a factor e in this time while it is small.
 * @param heightCm centre of mass above the support
 * @returns seconds
 */
export function timeConstant(inertiaM2: number, heightCm: number): number {
  return Math.sqrt(inertiaM2 / ((GRAVITY * heightCm) / 100))
}
