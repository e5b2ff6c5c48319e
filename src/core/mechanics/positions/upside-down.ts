import type { Body } from '../../body/estimate'
import { parameter } from '../parameters'
import { headLifted, legFrom, skeletonOf, trunkFrom, type LegAngles } from '../pose'
import { radians, type Point } from '../point'
import { centreOfMass, type Skeleton } from '../skeleton'
import { armSupport, type ArmKind } from '../surfaces'

const { deg } = parameter

export const LEAN = deg('leanDeg', 'Whole body towards the wall', -25, 35, 0)
/** Looking ahead of the hands lifts the head out of the line of the ribs; 0 looks between them, neck long. */
export const GAZE = deg('gazeDeg', 'Head lifted to look ahead', 0, 45, 0)
export const SHOULDERS = deg('shoulderLeanDeg', 'Shoulders ahead of the support', -20, 30, 0)

/** Lean of arms, ribs and legs of a body upside down, and how each leg is folded. */
type Upside = {
  readonly armLeanDeg: number
  readonly ribLeanDeg: number
  readonly waistDeg: number
  readonly legs: readonly [LegAngles, LegAngles]
  readonly gazeDeg?: number
}

/** A body upside down on hands or forearms, fingers towards the wall, back to the wall. */
export function upsideDown(
  body: Body,
  kind: ArmKind,
  { armLeanDeg, ribLeanDeg, waistDeg, legs, gazeDeg = 0 }: Upside,
): Skeleton {
  const { arms } = armSupport(body, kind, armLeanDeg)
  const trunk = trunkFrom(body, arms.shoulder, ribLeanDeg, waistDeg, 1)
  const [a, b] = legs
  const first = legFrom(body, trunk, a, 1)
  const head = headLifted(body, trunk.shoulder, trunk.waist, gazeDeg)
  return skeletonOf(arms, trunk, [first, a === b ? first : legFrom(body, trunk, b, 1)], head)
}

export const STRAIGHT: LegAngles = { hipFlexionDeg: 0, kneeBendDeg: 0 }
export const both = (leg: LegAngles): readonly [LegAngles, LegAngles] => [leg, leg]

/** What a body upside down turns about: the wrists, or the elbow joints a little above the floor. */
export function pivotOf({ elbow, wrist }: Skeleton, kind: ArmKind): Point {
  return kind === 'hands' ? wrist : elbow
}

/** The x of a place, seen from what it turns about, after a tilt towards the wall. */
export function turnedX({ x, y }: Point, tiltDeg: number): number {
  const tilt = radians(tiltDeg)
  return x * Math.cos(tilt) + y * Math.sin(tilt)
}

/** How far the shoulders lean past what carries them, degrees; positive towards the wall. */
export function skeletonLean(skeleton: Skeleton, kind: ArmKind): number {
  const from = pivotOf(skeleton, kind)
  const { shoulder } = skeleton
  return (Math.atan2(shoulder.x - from.x, shoulder.y - from.y) * 180) / Math.PI
}

/** Height of the centre of mass when stacked straight over the support: what a kick has to reach. */
export function uprightCentreHeight(body: Body, kind: ArmKind): number {
  return centreOfMass(
    body,
    upsideDown(body, kind, { armLeanDeg: 0, ribLeanDeg: 0, waistDeg: 0, legs: both(STRAIGHT) }),
  ).y
}
