/** Joints whose endurance is modelled. */
export const JOINTS = ['shoulder', 'elbow', 'trunk', 'grip'] as const
export type Joint = (typeof JOINTS)[number]

/** Fatigue F and recovery R per second: Frey-Law, Looft & Heitsman (2012), carried over from memory of the paper. */
export const RATES: Readonly<Record<Joint, { readonly fatigue: number; readonly recovery: number }>> = {
  shoulder: { fatigue: 0.0182, recovery: 0.00168 },
  elbow: { fatigue: 0.00912, recovery: 0.00094 },
  trunk: { fatigue: 0.00755, recovery: 0.00075 },
  grip: { fatigue: 0.0098, recovery: 0.00064 },
}

/** Drive and release of motor units, per second (Xia & Frey-Law 2008). */
const DRIVE = 10
/** Recovery goes this much faster at full rest. */
const REST_MULTIPLIER = 15
/** Well under the drive's own time of 0.1 s, so that the explicit step stays stable. */
const STEP_S = 0.05

/** Shares of a muscle group's motor units: resting, active and fatigued; they sum to one. */
export type Compartments = { readonly resting: number; readonly active: number; readonly fatigued: number }

export const FRESH: Compartments = { resting: 1, active: 0, fatigued: 0 }

/** What the muscles could give now, as a share of what they give fresh. */
export function capacityNow({ resting, active }: Compartments): number {
  return resting + active
}

/**
 * The three compartments after some time at a steady demand (Xia & Frey-Law 2008).
 * @param intensity demand as a share of fresh capacity, 0 at rest
 * @returns the new state and for how long of it the demand was met, seconds
 */
export function after(
  state: Compartments,
  joint: Joint,
  intensity: number,
  seconds: number,
): { readonly state: Compartments; readonly heldS: number } {
  const { fatigue, recovery } = RATES[joint]
  const regain = intensity === 0 ? recovery * REST_MULTIPLIER : recovery
  let { resting, active, fatigued } = state
  let heldS = 0
  let holding = true
  for (let t = 0; t < seconds - 1e-9; t += STEP_S) {
    const step = Math.min(STEP_S, seconds - t)
    const missing = intensity - active
    const drive = missing > 0 ? DRIVE * Math.min(missing, resting) : DRIVE * missing
    const tire = fatigue * active
    const mend = regain * fatigued
    resting += (mend - drive) * step
    active += (drive - tire) * step
    fatigued += (tire - mend) * step
    holding = holding && resting + active >= intensity
    if (holding) heldS += step
  }
  return { state: { resting, active, fatigued }, heldS }
}

/** Holds longer than this are told as "as long as you like": what ends them then is not these muscles. */
export const LONG_HOLD_S = 1200

/**
 * Seconds until a steady demand can no longer be met from fresh. With the drive as fast as it is, the active share
 * equals the demand T, so fatigue grows as (F·T/R)·(1 − e^(−R·t)) until only T is left: a closed form.
 * @param intensity share of fresh capacity, 0…1
 * @returns seconds, or LONG_HOLD_S at most
 */
export function enduranceAt(joint: Joint, intensity: number): number {
  const { fatigue, recovery } = RATES[joint]
  if (intensity >= 1) return 0
  const part = ((1 - intensity) * recovery) / (fatigue * intensity)
  return part >= 1 ? LONG_HOLD_S : Math.min(LONG_HOLD_S, -Math.log(1 - part) / recovery)
}

/**
 * The relative intensity at which a hold of this length is all that can be given: the inverse of `enduranceAt`.
 * @returns share of fresh capacity, between the endless one and 1
 */
export function intensityFor(joint: Joint, seconds: number): number {
  const { fatigue, recovery } = RATES[joint]
  // Solved from the closed form: 1 − e^(−R·t) = (1 − T)·R / (F·T).
  const gone = 1 - Math.exp(-recovery * Math.min(seconds, LONG_HOLD_S))
  return recovery / (recovery + fatigue * gone)
}
