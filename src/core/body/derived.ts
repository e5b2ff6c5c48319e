import type { Cm } from '../units'
import type { Body, Reading } from './estimate'

/** Flesh of one forearm, inner edge to inner edge of the bone line; props.md 2.2 gives 8 cm [6–11]. */
const FOREARM_THICKNESS_CM = 8
/** Upper-arm thickness where an elbow loop lies; props.md 5.2 gives 9 cm [7–14]. */
const UPPER_ARM_THICKNESS_CM = 9
/** Shoulder joint to shoulder joint as a fraction of stature: "joint width" of props.md M1. */
const JOINT_WIDTH_RATIO = 0.2
/** What is left over to pull by once a loop is closed; props.md 5.2. */
const STRAP_TAIL_CM = 25

/** Lengths that setups need and that follow from the segments. All in cm with one standard deviation. */
export type DerivedLengths = {
  /** Shoulder joint to shoulder joint: what elbow and hand widths follow. */
  jointWidth: Reading
  /** Elbow point to fingertip (M11). */
  elbowToFingertip: Reading
  /** Sole to hip joint when sitting tall (M3). */
  seatedLeg: Reading
  /** Shoulder to fingertip (M4). */
  armReach: Reading
  /** Between the forearms just below the elbow crease, at joint width (props.md 2.2). */
  innerForearmGap: Reading
  /** Round both upper arms at joint width, without the tail (props.md 5.2). */
  elbowLoop: Reading
  strapNeeded: Cm
}

/** Combined lengths of a body; errors add in quadrature since segments scatter independently. */
export function derivedLengths(body: Body): DerivedLengths {
  const { length } = body
  const jointWidth = scaledBreadth(body)
  const elbowLoop: Reading = {
    valueCm: 2 * jointWidth.valueCm + Math.PI * UPPER_ARM_THICKNESS_CM,
    // Arm girth is not measured; 1.5 cm of thickness either way moves the loop by about 5 cm.
    sdCm: Math.hypot(2 * jointWidth.sdCm, Math.PI * 1.5),
    source: jointWidth.source,
  }
  return {
    jointWidth,
    elbowToFingertip: sum(length.forearm, length.hand),
    seatedLeg: sum(length.thigh, length.shank, length.ankleHeight),
    armReach: sum(length.upperArm, length.forearm, length.hand),
    innerForearmGap: { ...jointWidth, valueCm: jointWidth.valueCm - FOREARM_THICKNESS_CM },
    elbowLoop,
    strapNeeded: elbowLoop.valueCm + STRAP_TAIL_CM,
  }
}

/** Joint width follows a measured outer breadth in proportion; otherwise the ratio to stature. */
function scaledBreadth(body: Body): Reading {
  const outer = body.length.shoulderBreadth
  if (outer.source === 'estimated') {
    const valueCm = JOINT_WIDTH_RATIO * body.statureCm
    return { valueCm, sdCm: outer.sdCm, source: 'estimated' }
  }
  // Outer breadth carries about 6 % of stature of flesh and deltoid beyond the joints.
  return { valueCm: (outer.valueCm * JOINT_WIDTH_RATIO) / 0.259, sdCm: outer.sdCm, source: 'measured' }
}

function sum(...parts: Reading[]): Reading {
  return {
    valueCm: parts.reduce((total, part) => total + part.valueCm, 0),
    sdCm: Math.hypot(...parts.map((part) => part.sdCm)),
    source: parts.every((part) => part.source === 'measured') ? 'measured' : 'estimated',
  }
}
