import type { Point } from './point'
import { centreOf, particles, type Particle } from './skeleton'
import type { Position } from './position'

/** What a helper's hands carry in an assist, as shares of body weight. */
export type HelperForce = {
  readonly assistId: string
  readonly at: Point
  /** Upwards. */
  readonly share: number
  /** Along the floor, either way. */
  readonly horizontalShare: number
  /** What the figure depends on. */
  readonly per: 'held-leg' | 'tilt-held' | 'catch' | 'unloading' | 'pelvis-held'
}

/** A body held this far off its balance by the hips; kicks arrive with about as much to spare. */
const HELD_TILT_DEG = 5
/** A helper who catches a kick brings it to rest over about this way of the hips, cm. */
const CATCH_WAY_CM = 15
/** Part of the thigh's length from the hip at which a leg is held: round the lower thigh. */
const LOWER_THIGH = 0.75
/** What firm palms under the blades take over while the feet step up (a light but real share). */
const BLADES_SHARE = 0.1

/** Assists in which nobody carries anything. */
const NO_FORCE: ReadonlySet<string> = new Set(['AS-none', 'AS-scapula-check', 'AS-spot-head'])

/**
 * Contact force of an assist on a position: statics of the part that is held.
 * @param assistId as in the practice
 * @returns null for assists by voice, eye or a touch that adds no force
 */
export function helperForce(assistId: string, position: Position): HelperForce | null {
  if (NO_FORCE.has(assistId)) return null
  const { skeleton, body, centreOfMassCm: centre } = position
  const parts = particles(body, skeleton)
  switch (assistId) {
    case 'AS-leg-lift': {
      const leg = oneLeg(parts)
      const [, lifted] = skeleton.legs
      const held = along(skeleton.hip, lifted.knee, LOWER_THIGH)
      // The hip carries the near end like a hinge, so the hands carry what turns about it.
      const share = ratio(leg.mass * (leg.at.x - skeleton.hip.x), held.x - skeleton.hip.x)
      return {
        assistId,
        at: held,
        share: Math.min(leg.mass, Math.max(0, share)),
        horizontalShare: 0,
        per: 'held-leg',
      }
    }
    case 'AS-knee-guide': {
      const leg = oneLeg(parts)
      const share = ratio(
        2 * leg.mass * (leg.at.x - skeleton.hip.x),
        skeleton.legs[0].knee.x - skeleton.hip.x,
      )
      return {
        assistId,
        at: skeleton.legs[0].knee,
        share: Math.min(0.2, Math.max(0, share)),
        horizontalShare: 0,
        per: 'held-leg',
      }
    }
    case 'AS-hips-steady':
    case 'AS-chair-steady': {
      // A tilt moves the plumb line by its height times the angle; a level push at the hips brings it back.
      const offCm = centre.y * Math.tan((HELD_TILT_DEG * Math.PI) / 180)
      return {
        assistId,
        at: skeleton.hip,
        share: 0,
        horizontalShare: offCm / skeleton.hip.y,
        per: 'tilt-held',
      }
    }
    case 'AS-kick-catch': {
      const rise = position.rise?.riseCm ?? 0
      // What a kick brings too much of is stopped over a short way: force × way = weight × surplus height.
      const surplusCm = SURPLUS * rise
      return { assistId, at: skeleton.hip, share: 0, horizontalShare: surplusCm / CATCH_WAY_CM, per: 'catch' }
    }
    case 'AS-blades-dog':
    case 'AS-blades-l': {
      const at = along(skeleton.shoulder, skeleton.waist, 0.35)
      return { assistId, at, share: BLADES_SHARE, horizontalShare: BLADES_SHARE / 2, per: 'unloading' }
    }
    case 'AS-slide-off':
    case 'AS-prop-slide': {
      // The pelvis end of a trunk that rests on its shoulders: a beam on two ends.
      const trunk = parts.filter(
        (p) => p.segment !== 'head' && p.segment !== 'forearm' && p.segment !== 'hand',
      )
      const mass = trunk.reduce((sum, p) => sum + p.mass, 0)
      const share = ratio(
        mass * (centreOf(trunk).x - skeleton.shoulder.x),
        skeleton.hip.x - skeleton.shoulder.x,
      )
      return {
        assistId,
        at: skeleton.hip,
        share: Math.min(mass, Math.max(0, share)),
        horizontalShare: 0,
        per: 'pelvis-held',
      }
    }
    default:
      return null
  }
}

/** A kick that just arrives too fast has about this much more height in it than it needed. */
const SURPLUS = 0.3

function oneLeg(parts: readonly Particle[]): Pick<Particle, 'at' | 'mass'> {
  const leg = parts.slice(-3)
  return { at: centreOf(leg), mass: leg.reduce((sum, p) => sum + p.mass, 0) }
}

function along(from: Point, to: Point, part: number): Point {
  return { x: from.x + (to.x - from.x) * part, y: from.y + (to.y - from.y) * part }
}

/** A quotient that is 0 where the lever vanishes: a leg hanging straight over the hip needs no holding. */
function ratio(moment: number, leverCm: number): number {
  return Math.abs(leverCm) < 1 ? 0 : moment / leverCm
}
