import type { Body } from '../body/estimate'
import { direction, rise, tiltOf, type Point } from './point'
import { crownInLine, footInAir, RIBCAGE_FRACTION, straightWaist, type Leg, type Skeleton } from './skeleton'

/** Which side the back is on, looking along the trunk from shoulder to hip: 1 to the right (face down or upside down with the back to the wall), −1 to the left. */
export type Facing = 1 | -1

export type Trunk = Pick<Skeleton, 'shoulder' | 'waist' | 'hip' | 'crown'> & {
  /** Direction of the pelvis, as a tilt from the vertical. */
  readonly pelvisTiltDeg: number
}

/**
 * Ribcage and pelvis from the shoulder.
 * @param tiltDeg of the ribcage from the vertical, towards the wall positive (180: hips below the shoulders)
 * @param waistDeg bend between the two, backwards (arch) positive, forwards (rounding) negative
 */
export function trunkFrom(
  body: Body,
  shoulder: Point,
  tiltDeg: number,
  waistDeg: number,
  facing: Facing,
): Trunk {
  const length = body.length.trunk.valueCm
  const pelvisTiltDeg = tiltDeg + facing * waistDeg
  const waist = rise(shoulder, RIBCAGE_FRACTION * length, tiltDeg)
  const hip = rise(waist, (1 - RIBCAGE_FRACTION) * length, pelvisTiltDeg)
  return { shoulder, waist, hip, crown: crownInLine(body, shoulder, waist), pelvisTiltDeg }
}

/** A straight trunk between two joints that are already placed. */
export function trunkBetween(body: Body, shoulder: Point, hip: Point): Trunk {
  const waist = straightWaist(shoulder, hip)
  return {
    shoulder,
    waist,
    hip,
    crown: crownInLine(body, shoulder, waist),
    pelvisTiltDeg: (Math.atan2(hip.x - shoulder.x, hip.y - shoulder.y) * 180) / Math.PI,
  }
}

export type LegAngles = {
  /** Thigh against the pelvis: 0 in line, positive folds forward, negative reaches back. */
  readonly hipFlexionDeg: number
  readonly kneeBendDeg: number
}

/** A leg in the air from the hip. */
export function legFrom(
  body: Body,
  trunk: Trunk,
  { hipFlexionDeg, kneeBendDeg }: LegAngles,
  facing: Facing,
): Leg {
  const thighTilt = trunk.pelvisTiltDeg - facing * hipFlexionDeg
  return legAlong(body, trunk.hip, thighTilt, kneeBendDeg, facing)
}

/** A leg in the air from the tilt of its thigh. */
export function legAlong(
  body: Body,
  hip: Point,
  thighTiltDeg: number,
  kneeBendDeg: number,
  facing: Facing,
): Leg {
  const knee = rise(hip, body.length.thigh.valueCm, thighTiltDeg)
  const ankle = rise(knee, body.length.shank.valueCm, thighTiltDeg + facing * kneeBendDeg)
  return { knee, ...footInAir(body, ankle, direction(knee, ankle), facing === 1 ? -1 : 1) }
}

/** The elbow joint lies this high when the elbow rests on the floor, as a fraction of stature; the wrist lower. */
export const ELBOW_HEIGHT = 0.018
export const WRIST_HEIGHT = 0.012

/** Elbow joint to the foot of the plumb line through the wrist, of a forearm that rests on the floor, cm. */
function forearmAlongFloor(body: Body): number {
  return Math.sqrt(body.length.forearm.valueCm ** 2 - ((ELBOW_HEIGHT - WRIST_HEIGHT) * body.statureCm) ** 2)
}

/** Elbow, wrist and fingertip of forearms that rest on the floor. @param pointing 1 with the fingers towards the wall */
export function restingForearms(
  body: Body,
  pointing: Facing = 1,
): Pick<Skeleton, 'elbow' | 'wrist' | 'fingertip'> {
  const along = forearmAlongFloor(body)
  const y = WRIST_HEIGHT * body.statureCm
  return {
    elbow: { x: 0, y: ELBOW_HEIGHT * body.statureCm },
    wrist: { x: pointing * along, y },
    fingertip: { x: pointing * (along + body.length.hand.valueCm), y },
  }
}

/**
 * Forearms on the floor, elbow over the origin, shoulder over it with a lean towards the wall.
 * @param forearmTiltDeg where they do not rest on the floor: 0 is straight up a wall
 */
export function armsOnForearms(
  body: Body,
  shoulderLeanDeg: number,
  forearmTiltDeg?: number,
): Pick<Skeleton, 'elbow' | 'wrist' | 'fingertip' | 'shoulder'> {
  const resting = restingForearms(body)
  const { elbow } = resting
  const shoulder = rise(elbow, body.length.upperArm.valueCm, shoulderLeanDeg)
  if (forearmTiltDeg === undefined) return { ...resting, shoulder }
  const wrist = rise(elbow, body.length.forearm.valueCm, forearmTiltDeg)
  return { elbow, wrist, fingertip: rise(wrist, body.length.hand.valueCm, forearmTiltDeg), shoulder }
}

/** Straight arms on flat hands, wrist crease at the origin. */
export function straightArms(
  body: Body,
  shoulderLeanDeg: number,
): Pick<Skeleton, 'elbow' | 'wrist' | 'fingertip' | 'shoulder'> {
  const { upperArm, forearm, hand } = body.length
  const wrist = { x: 0, y: 0 }
  const elbow = rise(wrist, forearm.valueCm, shoulderLeanDeg)
  return {
    wrist,
    elbow,
    fingertip: { x: hand.valueCm, y: 0 },
    shoulder: rise(elbow, upperArm.valueCm, shoulderLeanDeg),
  }
}

/** Length of a straight arm, wrist crease to shoulder, cm. */
export function armLength(body: Body): number {
  return body.length.upperArm.valueCm + body.length.forearm.valueCm
}

/** Length of a straight leg, hip to ankle, cm. */
export function legLength(body: Body): number {
  return body.length.thigh.valueCm + body.length.shank.valueCm
}

/** The crown of a head lifted out of the line of the ribs, towards the back. */
export function headLifted(body: Body, shoulder: Point, waist: Point, liftDeg: number): Point {
  return rise(shoulder, body.length.headNeck.valueCm, tiltOf(waist, shoulder) - liftDeg)
}

/** How near a hanging head comes to the wall, as a fraction of stature. */
const HEAD_FROM_WALL = 0.006

/** The crown in line with the ribs; where the wall is in the way the head hangs, as it does between the arms. */
export function headBeforeWall(body: Body, { shoulder, crown }: Trunk, wallX: number | null): Point {
  const reach = wallX === null ? Infinity : wallX - HEAD_FROM_WALL * body.statureCm - shoulder.x
  if (crown.x - shoulder.x <= reach) return crown
  const length = body.length.headNeck.valueCm
  const ahead = Math.max(0, reach)
  return { x: shoulder.x + ahead, y: shoulder.y - Math.sqrt(length ** 2 - ahead ** 2) }
}

/** All joints together. @param crown where the head does not follow the ribs */
export function skeletonOf(
  { elbow, wrist, fingertip }: Pick<Skeleton, 'elbow' | 'wrist' | 'fingertip'>,
  { shoulder, waist, hip, crown }: Trunk,
  legs: Skeleton['legs'],
  head: Point = crown,
): Skeleton {
  return { elbow, wrist, fingertip, shoulder, waist, hip, crown: head, legs }
}
