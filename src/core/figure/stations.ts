/**
 * How far flesh stands off the line between two joints: where along it (0 at the first joint, 1 at the second), to the
 * belly side and to the spine side, both as fractions of stature. For the eye only: nothing is computed from them.
 */
export type Station = readonly [along: number, front: number, back: number]

export const RIBCAGE: readonly Station[] = [
  [-0.06, 0.022, 0.03],
  [0, 0.04, 0.05],
  [0.3, 0.066, 0.066],
  [0.62, 0.068, 0.058],
]

/** Where ribcage and pelvis meet: its line across is the mean of both. */
export const WAIST: Station = [1, 0.053, 0.044]

export const PELVIS: readonly Station[] = [
  [0.4, 0.056, 0.049],
  [0.75, 0.055, 0.062],
  [1, 0.05, 0.062],
  [1.3, 0.03, 0.035],
]

export const THIGH: readonly Station[] = [
  [-0.2, 0.02, 0.035],
  [-0.08, 0.045, 0.062],
  [0.06, 0.052, 0.066],
  [0.2, 0.052, 0.056],
  [0.45, 0.047, 0.042],
  [0.8, 0.035, 0.031],
  [1, 0.031, 0.026],
  [1.06, 0.022, 0.018],
]

export const SHANK: readonly Station[] = [
  [-0.07, 0.02, 0.016],
  [0, 0.031, 0.024],
  [0.12, 0.024, 0.032],
  [0.3, 0.021, 0.041],
  [0.5, 0.019, 0.033],
  [0.8, 0.0155, 0.0185],
  [1, 0.017, 0.016],
]

export const UPPER_ARM: readonly Station[] = [
  [-0.17, 0.012, 0.012],
  [-0.1, 0.026, 0.028],
  [0.08, 0.033, 0.035],
  [0.3, 0.028, 0.032],
  [0.55, 0.026, 0.029],
  [0.85, 0.02, 0.023],
  [1, 0.019, 0.022],
  [1.07, 0.012, 0.015],
]

export const FOREARM: readonly Station[] = [
  [-0.1, 0.012, 0.014],
  [0, 0.02, 0.022],
  [0.2, 0.024, 0.023],
  [0.45, 0.021, 0.019],
  [0.8, 0.014, 0.013],
  [1, 0.012, 0.012],
]

export const HAND: readonly Station[] = [
  [-0.1, 0.011, 0.011],
  [0.1, 0.013, 0.013],
  [0.45, 0.013, 0.01],
  [0.8, 0.008, 0.006],
  [1, 0.003, 0.003],
]

/** From the shoulders to under the chin, along the line from shoulder to crown. */
export const NECK: readonly Station[] = [
  [-0.12, 0.03, 0.034],
  [0.1, 0.03, 0.036],
  [0.36, 0.026, 0.034],
  [0.62, 0.026, 0.034],
]

/** A disc about the hip, moved a little away from the fold. */
export const SEAT = { radius: 0.062, away: 0.006 } as const

/** A face in profile, fractions of stature: down from the crown along the head, and forward of its line. */
export const PROFILE: readonly (readonly [down: number, forward: number])[] = [
  [0, -0.004],
  [0.008, 0.026],
  [0.024, 0.043],
  [0.042, 0.049],
  [0.052, 0.046],
  [0.072, 0.062],
  [0.079, 0.05],
  [0.09, 0.053],
  [0.099, 0.047],
  [0.117, 0.05],
  [0.128, 0.04],
  [0.124, 0.014],
  [0.122, -0.026],
  [0.1, -0.046],
  [0.062, -0.061],
  [0.026, -0.051],
  [0.006, -0.03],
]

/** The middle of the skull, down from the crown: a head that is lifted or bowed turns about it. */
export const SKULL_DOWN = 0.062

/** A shut eye, as a short line in the profile. */
export const EYE: readonly (readonly [down: number, forward: number])[] = [
  [0.055, 0.026],
  [0.0585, 0.034],
  [0.056, 0.04],
]

/** A foot from the side, as fractions of its length: along the sole from the heel, and up from it. */
export const FOOT_TOP: readonly (readonly [along: number, up: number])[] = [
  [-0.02, 0.1],
  [0.06, 0.26],
  [0.25, 0.36],
  [0.4, 0.27],
  [0.56, 0.17],
]
/** Toes, along from the ball of the foot. */
export const TOES: readonly (readonly [along: number, up: number])[] = [
  [0.14, 0.085],
  [0.25, 0.05],
  [0.27, 0.015],
  [0.2, 0],
]
export const FOOT_SOLE: readonly (readonly [along: number, up: number])[] = [
  [0.7, 0],
  [0.4, 0.02],
  [0.1, 0],
  [0, 0.02],
]
