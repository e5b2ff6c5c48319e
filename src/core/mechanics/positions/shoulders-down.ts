import type { Body } from '../../body/estimate'
import { parameter, type Parameter } from '../parameters'
import { degrees, direction, type Point } from '../point'
import { trunkFrom, type Facing, type Trunk } from '../pose'
import type { Skeleton } from '../skeleton'
import type { PatchPair } from '../contacts'
import { patchAround, pointPatch } from '../surfaces'
import { HEAD_HALF_DEPTH, SHOULDER_DEPTH } from './supine'

const { cm, deg } = parameter

/** Middle of an upper arm that lies on the floor, as a fraction of stature. */
export const ARM_HALF = 0.018

/** Half the length on which the tops of the shoulders carry, as a fraction of stature. */
export const SHOULDER_HALF = 0.025

/** Shoulders and upper arms share like a beam that comes down a fifth of the way to the elbows, where nothing else says. */
export const TO_ELBOWS = 1 / 5

export const PLATFORM = cm('platformHeightCm', 'Platform under the shoulders', 0, 15, 7.5)
export const TRUNK = (usual: number): Parameter => deg('trunkDeg', 'Trunk above the floor', 20, 95, usual)

export const HIP = (usual: number | ((body: Body) => number)): Parameter =>
  deg('hipFlexionDeg', 'Hip fold', -15, 130, usual)

/** Shoulder joint over the edge (x = 0) of a platform, head beyond the edge towards the wall side of `facing`. */
export function shoulderAt(body: Body, platformCm: number): Point {
  return { x: 0, y: platformCm + SHOULDER_DEPTH * body.statureCm }
}

/** The trunk from the shoulders. Facing −1: head and folded legs towards the wall; 1: hips and legs towards it. */
export function trunkUp(body: Body, shoulder: Point, trunkDeg: number, facing: Facing): Trunk {
  return trunkFrom(body, shoulder, facing * (90 - trunkDeg), 0, facing)
}

/** Shoulders at the edge, elbows behind them: what carries a shoulder stand. */
export function shouldersAndElbows(body: Body, platformCm: number, facing: Facing): PatchPair {
  const half = SHOULDER_HALF * body.statureCm
  const elbowX = facing * body.length.upperArm.valueCm * 0.95
  const shoulders = patchAround('shoulders', 0, half, platformCm)
  const elbows = pointPatch('elbows', elbowX, platformCm)
  return facing === 1
    ? { patches: [shoulders, elbows], throughCm: elbowX * TO_ELBOWS }
    : { patches: [elbows, shoulders], throughCm: elbowX * TO_ELBOWS }
}

/** Upper arms along the platform behind the back, hands on the back. */
export function handsOnBack(
  body: Body,
  trunk: Trunk,
  platformCm: number,
  facing: Facing,
): Pick<Skeleton, 'elbow' | 'wrist' | 'fingertip'> {
  const { upperArm, forearm, hand } = body.length
  const elbow = { x: facing * upperArm.valueCm * 0.95, y: platformCm + ARM_HALF * body.statureCm }
  const wanted = direction(elbow, {
    x: (trunk.waist.x + trunk.shoulder.x) / 2,
    y: (trunk.waist.y + trunk.shoulder.y) / 2,
  })
  const wrist = { x: elbow.x + wanted.x * forearm.valueCm, y: elbow.y + wanted.y * forearm.valueCm }
  const up = direction(trunk.shoulder, trunk.hip)
  return {
    elbow,
    wrist,
    fingertip: { x: wrist.x + up.x * hand.valueCm * 0.6, y: wrist.y + up.y * hand.valueCm * 0.6 },
  }
}

/**
 * How far the neck is folded: trunk against the line from the shoulders to the middle of the head, which rests on the
 * floor. Raising the shoulders lets that line slope down, so 5 cm give back about 13° on an average body.
 */
export function neckFlexion(body: Body, platformCm: number, trunkDeg: number): number {
  const drop = shoulderAt(body, platformCm).y - HEAD_HALF_DEPTH * body.statureCm
  const reach = body.length.headNeck.valueCm - HEAD_HALF_DEPTH * body.statureCm
  return trunkDeg - degrees(Math.asin(Math.max(-1, Math.min(1, drop / reach))))
}
