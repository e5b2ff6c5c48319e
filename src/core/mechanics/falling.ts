import { GRAVITY } from './moments'
import type { Position } from './position'

/** A rigid body tipping about the edge of its base: all that its fall depends on. */
export type Tipping = {
  /** m², per kg of body, about the pivot. */
  readonly inertiaM2: number
  /** Pivot to centre of mass, m. */
  readonly radiusM: number
}

export type FallSample = {
  readonly tiltDeg: number
  readonly timeS: number
  /** Vertical load on the pivot over body weight; below 0 the base would be pulled off the floor. */
  readonly loadShare: number
}

export type Fall = {
  readonly samples: readonly FallSample[]
  /** Where the base is lightest. */
  readonly lightest: FallSample
  /** How long the load stays under the asked share: the moment to move the hands. */
  readonly lightForS: number
  readonly lightFromDeg: number
  readonly lightToDeg: number
}

/** A uniform rod standing on its end: the textbook check. */
export function rod(lengthM: number): Tipping {
  return { inertiaM2: lengthM ** 2 / 3, radiusM: lengthM / 2 }
}

/** A balanced position tipping as one piece about the end of its base towards the wall (or away from it). */
export function tippingOf(position: Position, towards: 'wall' | 'room' = 'wall'): Tipping {
  const { base, centreOfMassCm: centre, inertiaM2 } = position
  const pivotX = towards === 'wall' ? base.toCm : base.fromCm
  // Parallel axes: from the plumb point to the centre of mass, and from there to the pivot.
  const away2 = ((centre.x - pivotX) ** 2 + centre.y ** 2) / 1e4
  return { inertiaM2: inertiaM2 - (centre.y / 100) ** 2 + away2, radiusM: Math.sqrt(away2) }
}

/**
 * Vertical load on the pivot of a body falling from rest. With k = r²/I, energy gives ω² and the torque gives α, so
 * N/(mg) = 1 − k·(sin²θ + 2·cosθ·(cosθ₀ − cosθ)). For a rod that is ((1 − 3·cosθ)/2)² from upright: zero at cosθ = 1/3.
 * `tiltDeg` is taken from upright, `fromDeg` is where it was let go.
 */
export function pivotLoad({ inertiaM2, radiusM }: Tipping, tiltDeg: number, fromDeg: number): number {
  const [tilt, from] = [(tiltDeg * Math.PI) / 180, (fromDeg * Math.PI) / 180]
  const k = radiusM ** 2 / inertiaM2
  return 1 - k * (Math.sin(tilt) ** 2 + 2 * Math.cos(tilt) * (Math.cos(from) - Math.cos(tilt)))
}

/** Angular speed at a tilt, rad/s. */
function speedAt({ inertiaM2, radiusM }: Tipping, tilt: number, from: number): number {
  return Math.sqrt(Math.max(0, (2 * GRAVITY * radiusM * (Math.cos(from) - Math.cos(tilt))) / inertiaM2))
}

/** Step of the integration, degrees; halving it moves the times by under a thousandth. */
const STEP_DEG = 0.25

/**
 * Load against tilt and time for a body let go at a small tilt, as one rigid piece, from rest.
 * @param fromDeg where it is let go; nothing falls from exactly upright
 * @param lightShare below this the hands can slide
 */
export function fallFrom(tipping: Tipping, fromDeg: number, lightShare = 0.25, toDeg = 90): Fall {
  const samples: FallSample[] = [
    { tiltDeg: fromDeg, timeS: 0, loadShare: pivotLoad(tipping, fromDeg, fromDeg) },
  ]
  const from = (fromDeg * Math.PI) / 180
  const step = (STEP_DEG * Math.PI) / 180
  // Out of rest the first step takes √(2·Δθ/α); after it the mean of both speeds serves.
  const start = (GRAVITY * tipping.radiusM * Math.sin(from)) / tipping.inertiaM2
  let time = Math.sqrt((2 * step) / start)
  for (let tilt = from + step; tilt <= (toDeg * Math.PI) / 180; tilt += step) {
    if (samples.length > 1)
      time += (2 * step) / (speedAt(tipping, tilt - step, from) + speedAt(tipping, tilt, from))
    const tiltDeg = (tilt * 180) / Math.PI
    samples.push({ tiltDeg, timeS: time, loadShare: pivotLoad(tipping, tiltDeg, fromDeg) })
  }
  const light = samples.filter((s) => s.loadShare < lightShare)
  const lightest = samples.reduce((a, b) => (b.loadShare < a.loadShare ? b : a))
  const [first, last] = [light[0] ?? lightest, light.at(-1) ?? lightest]
  return {
    samples,
    lightest,
    lightForS: last.timeS - first.timeS,
    lightFromDeg: first.tiltDeg,
    lightToDeg: last.tiltDeg,
  }
}
