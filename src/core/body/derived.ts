import type { Cm } from '../units'
import { DIRECT_RATIO, LENGTH_RATIO, SD_FRACTION, TAPE_SD_CM, type DirectMeasure } from './anthropometry'
import type { Body, Reading } from './estimate'

/** Flesh of one forearm, inner edge to inner edge of the bone line; props.md 2.2 gives 8 cm [6–11]. */
const FOREARM_THICKNESS_CM = 8
/** Where an elbow loop lies; props.md 5.2 gives 9 cm [7–14] at any height. */
const UPPER_ARM_THICKNESS_CM = 9
/** 1.5 cm of thickness either way moves a loop by about 5 cm. */
const UPPER_ARM_THICKNESS_SD_CM = 1.5
/** What is left over to pull by once a loop is closed; props.md 5.2. */
const STRAP_TAIL_CM = 25

/** Lengths that setups need and that follow from the segments or were taken directly. cm, one standard deviation. */
export type DerivedLengths = Readonly<Record<DirectMeasure, Reading>> & {
  /** Hands and knees with the soles on the wall: shin, foot height and trunk (M9). */
  readonly handsAndKnees: Reading
  /** Hip joint above the floor when upside down on straight arms (M10). */
  readonly invertedHip: Reading
  /** Between the forearms just below the elbow crease, at joint width (props.md 2.2). */
  readonly innerForearmGap: Reading
  /** Round both upper arms at joint width, without the tail (props.md 5.2). */
  readonly elbowLoop: Reading
  readonly strapNeeded: Cm
}

/** Combined lengths of a body; errors add in quadrature since segments scatter independently. */
export function derivedLengths(body: Body): DerivedLengths {
  const { length } = body
  const seatedLeg = seatedLegOf(body)
  const jointWidth = jointWidthOf(body)
  const armGirth = own(body, 'armGirth', {
    valueCm: Math.PI * UPPER_ARM_THICKNESS_CM,
    sdCm: Math.PI * UPPER_ARM_THICKNESS_SD_CM,
    source: 'estimated',
  })
  const elbowLoop: Reading = {
    valueCm: 2 * jointWidth.valueCm + armGirth.valueCm,
    sdCm: Math.hypot(2 * jointWidth.sdCm, armGirth.sdCm),
    source: jointWidth.source,
  }
  return {
    jointWidth,
    elbowToFingertip: own(body, 'elbowToFingertip', sum(length.forearm, length.hand)),
    seatedLeg,
    innerLeg: innerLegOf(body),
    armReach: own(body, 'armReach', sum(length.upperArm, length.forearm, length.hand)),
    thumb: own(body, 'thumb', scaled(length.hand, DIRECT_RATIO.thumb / LENGTH_RATIO.hand)),
    handBreadth: own(body, 'handBreadth', scaled(length.hand, DIRECT_RATIO.handBreadth / LENGTH_RATIO.hand)),
    armGirth,
    headWidth: byStature(body, 'headWidth'),
    handsAndKnees: sum(length.shank, length.ankleHeight, length.trunk),
    invertedHip: sum(length.upperArm, length.forearm, length.trunk),
    innerForearmGap: { ...jointWidth, valueCm: jointWidth.valueCm - FOREARM_THICKNESS_CM },
    elbowLoop,
    strapNeeded: elbowLoop.valueCm + STRAP_TAIL_CM,
  }
}

/** Sole to hip joint, sitting tall (M3). */
export function seatedLegOf(body: Body): Reading {
  const { thigh, shank, ankleHeight } = body.length
  return own(body, 'seatedLeg', sum(thigh, shank, ankleHeight))
}

/** The groin lies a fixed part of the leg below the hip joint, so a long leg measured either way counts for both (M7). */
export function innerLegOf(body: Body): Reading {
  return own(body, 'innerLeg', scaled(seatedLegOf(body), DIRECT_RATIO.innerLeg / DIRECT_RATIO.seatedLeg))
}

/** Shoulder joint to shoulder joint (M1): follows a measured outer breadth in proportion, otherwise stature. */
export function jointWidthOf(body: Body): Reading {
  const outer = body.length.shoulderBreadth
  return own(body, 'jointWidth', {
    ...scaled(outer, DIRECT_RATIO.jointWidth / LENGTH_RATIO.shoulderBreadth),
    sdCm: outer.sdCm,
  })
}

function own(body: Body, name: DirectMeasure, otherwise: Reading): Reading {
  const taken = body.direct[name]
  return taken === undefined ? otherwise : { valueCm: taken, sdCm: TAPE_SD_CM, source: 'measured' }
}

function byStature(body: Body, name: DirectMeasure): Reading {
  const valueCm = DIRECT_RATIO[name] * body.statureCm
  return own(body, name, { valueCm, sdCm: valueCm * SD_FRACTION, source: 'estimated' })
}

function scaled(reading: Reading, by: number): Reading {
  return { valueCm: reading.valueCm * by, sdCm: reading.sdCm * by, source: reading.source }
}

function sum(...parts: Reading[]): Reading {
  let valueCm = 0
  let variance = 0
  for (const part of parts) {
    valueCm += part.valueCm
    variance += part.sdCm ** 2
  }
  return {
    valueCm,
    sdCm: Math.sqrt(variance),
    source: parts.every((part) => part.source === 'measured') ? 'measured' : 'estimated',
  }
}
