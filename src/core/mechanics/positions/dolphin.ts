import type { Body } from '../../body/estimate'
import { ok, refused, type Result } from '../../result'
import { joinLinks, spanAcross } from '../linkage'
import { angleAt, degrees, rise, subtract, type Point } from '../point'
import {
  assemble,
  read,
  type Angles,
  type Parameter,
  type Parameters,
  type PositionRefusal,
  type PositionSpec,
} from '../position'
import { crownInLine, footOnBall, straightWaist, type Leg, type Skeleton } from '../skeleton'
import { twoSupports } from '../statics'
import { forearmBase, forearmPatch, pointPatch } from '../surfaces'

/** Shared by every shape on forearms and feet. */
export const DOLPHIN_PARAMETERS: readonly Parameter[] = [
  {
    key: 'toeDistanceCm',
    label: 'Balls of the feet from the elbows',
    unit: 'cm',
    min: 30,
    max: 140,
    // props.md M15: walk-in 0.35–0.65 of stature; the middle is a usual dolphin.
    usual: (body) => 0.52 * body.statureCm,
  },
  {
    key: 'shoulderLeanDeg',
    label: 'Shoulders ahead of the elbows',
    unit: 'deg',
    min: -30,
    max: 30,
    usual: 0,
  },
  { key: 'kneeBendDeg', label: 'Knee bend', unit: 'deg', min: 0, max: 90, usual: 10 },
  { key: 'heelLiftDeg', label: 'Heel lift', unit: 'deg', min: 0, max: 75, usual: 35 },
  { key: 'hipRangeDeg', label: 'Hip flexion available', unit: 'deg', min: 30, max: 150, usual: 125 },
  {
    key: 'shoulderRangeDeg',
    label: 'Shoulder flexion available',
    unit: 'deg',
    min: 90,
    max: 190,
    usual: 180,
  },
]

/** Dolphin: forearms and balls of the feet on the floor, hips high, head hanging clear. */
export const DOLPHIN: PositionSpec = {
  id: 'dolphin',
  name: 'Dolphin',
  parameters: DOLPHIN_PARAMETERS,
  solve(body, parameters) {
    const frame = solveFrame(body, parameters)
    if (!frame.ok) return frame
    const { skeleton, ballX, angles } = frame.value
    return ok(
      assemble({
        id: 'dolphin',
        body,
        parameters,
        skeleton,
        angles,
        base: { fromCm: ballX, toCm: forearmBase(body).toCm },
        wallX: null,
        carry: (centreX) =>
          twoSupports(centreX, pointPatch('toes', ballX), forearmPatch(body, skeleton.shoulder.x)),
      }),
    )
  },
}

type Frame = { skeleton: Skeleton; ballX: number; angles: Angles }

/**
 * The closed chain elbow → shoulder → hip → ankle → ball of the foot: the hip lies where the trunk's circle about the
 * shoulder meets the leg's circle about the ankle, the higher of the two.
 */
export function solveFrame(body: Body, parameters: Parameters): Result<Frame, PositionRefusal> {
  const { upperArm, trunk, thigh, shank, forearm, hand } = body.length
  const ballX = -read(parameters, 'toeDistanceCm')
  const kneeBendDeg = read(parameters, 'kneeBendDeg')
  const elbow = { x: 0, y: 0 }
  const shoulder = rise(elbow, upperArm.valueCm, read(parameters, 'shoulderLeanDeg'))
  const foot = footOnBall(body, { x: ballX, y: 0 }, read(parameters, 'heelLiftDeg'))
  const legSpan = spanAcross(thigh.valueCm, shank.valueCm, 180 - kneeBendDeg)
  const hip = joinLinks(shoulder, trunk.valueCm, foot.ankle, legSpan, 'up')
  if (!hip.ok) return refused({ code: 'legs-do-not-reach', key: 'toeDistanceCm', reach: hip.refusal })
  const knee = bentKnee(hip.value, thigh.valueCm, foot.ankle, shank.valueCm)

  const angles = anglesOf(shoulder, hip.value, knee, elbow, kneeBendDeg)
  const limited = withinRange(angles, parameters)
  if (!limited.ok) return limited
  const waist = straightWaist(shoulder, hip.value)
  const leg: Leg = { knee, ...foot }
  return ok({
    ballX,
    angles,
    skeleton: {
      elbow,
      wrist: { x: forearm.valueCm, y: 0 },
      fingertip: { x: forearm.valueCm + hand.valueCm, y: 0 },
      shoulder,
      waist,
      hip: hip.value,
      crown: crownInLine(body, shoulder, waist),
      legs: [leg, leg],
    },
  })
}

/** Knees bend towards the hands. Rounding can leave a straight leg a hair short, which is straight. */
function bentKnee(hip: Point, thigh: number, ankle: Point, shank: number): Point {
  const knee = joinLinks(hip, thigh, ankle, shank, 'front')
  if (knee.ok) return knee.value
  const along = thigh / (thigh + shank)
  return { x: hip.x + (ankle.x - hip.x) * along, y: hip.y + (ankle.y - hip.y) * along }
}

function anglesOf(shoulder: Point, hip: Point, knee: Point, elbow: Point, kneeBendDeg: number): Angles {
  const trunk = subtract(hip, shoulder)
  return {
    hipFlexionDeg: 180 - angleAt(hip, shoulder, knee),
    shoulderFlexionDeg: angleAt(shoulder, hip, elbow),
    trunkLeanDeg: degrees(Math.atan2(trunk.x, trunk.y)),
    kneeBendDeg,
    archDeg: 0,
  }
}

function withinRange(angles: Angles, parameters: Parameters): Result<true, PositionRefusal> {
  const hip = read(parameters, 'hipRangeDeg')
  if (angles.hipFlexionDeg > hip)
    return refused({
      code: 'joint-out-of-range',
      joint: 'hip',
      neededDeg: angles.hipFlexionDeg,
      availableDeg: hip,
      change: 'toeDistanceCm',
    })
  const shoulder = read(parameters, 'shoulderRangeDeg')
  if (angles.shoulderFlexionDeg > shoulder)
    return refused({
      code: 'joint-out-of-range',
      joint: 'shoulder',
      neededDeg: angles.shoulderFlexionDeg,
      availableDeg: shoulder,
      change: 'toeDistanceCm',
    })
  return ok(true)
}
