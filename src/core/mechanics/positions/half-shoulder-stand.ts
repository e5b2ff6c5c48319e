import { innerLegOf } from '../../body/derived'
import type { Body } from '../../body/estimate'
import { ok, refused } from '../../result'
import { FRICTION, parameter, perBody, read, tuned, type Parameters } from '../parameters'
import { direction } from '../point'
import { legFrom, skeletonOf } from '../pose'
import { assemble, type PositionSpec } from '../position'
import { turnFor } from '../turn'
import { centreOfMass, type Leg, type Skeleton } from '../skeleton'
import { patchAround, pointPatch } from '../surfaces'
import { headOnFloor } from './supine'
import { soleOnWall } from './right-angle'
import {
  ARM_HALF,
  SHOULDER_HALF,
  PLATFORM,
  TRUNK,
  HIP,
  shoulderAt,
  trunkUp,
  shouldersAndElbows,
  handsOnBack,
} from './shoulders-down'

const { cm } = parameter

export const innerLeg = (body: Body): number => innerLegOf(body).valueCm

/** Half shoulder stand: trunk slanted, hands under the pelvis, elbows on the floor. */
export const HALF: PositionSpec = {
  id: 'half-shoulder-stand',
  name: 'Half shoulder stand',
  parameters: [TRUNK(45), HIP(perBody(halfFold)), tuned(PLATFORM, { usual: 0 })],
  solve: (body, given) => {
    const platform = read(given, 'platformHeightCm')
    const skeleton = halfFigure(body, given)
    const { elbow } = skeleton
    return ok(
      assemble({
        id: 'half-shoulder-stand',
        body,
        parameters: given,
        skeleton,
        supports: {
          groups: [
            {
              patches: [
                patchAround('shoulders', 0, SHOULDER_HALF * body.statureCm, platform),
                pointPatch('elbows', elbow.x, platform),
              ],
              throughCm: centreOfMass(body, skeleton).x,
            },
          ],
        },
      }),
    )
  },
}

function halfFigure(body: Body, given: Parameters): Skeleton {
  const platform = read(given, 'platformHeightCm')
  const shoulder = shoulderAt(body, platform)
  const trunk = trunkUp(body, shoulder, read(given, 'trunkDeg'), 1)
  const leg = legFrom(body, trunk, { hipFlexionDeg: read(given, 'hipFlexionDeg'), kneeBendDeg: 0 }, 1)
  const { upperArm, forearm, hand } = body.length
  const elbow = { x: upperArm.valueCm * 0.95, y: platform + ARM_HALF * body.statureCm }
  const toPelvis = direction(elbow, trunk.hip)
  const wrist = { x: elbow.x + toPelvis.x * forearm.valueCm, y: elbow.y + toPelvis.y * forearm.valueCm }
  const arms = {
    elbow,
    wrist,
    fingertip: { x: wrist.x + toPelvis.x * 0.5 * hand.valueCm, y: wrist.y + toPelvis.y * 0.5 * hand.valueCm },
  }
  return skeletonOf(arms, trunk, [leg, leg], headOnFloor(body, shoulder, -1))
}

/** The fold that brings the plumb line over the middle of shoulders and elbows. */
function halfFold(body: Body): number {
  const target = 0.6 * body.length.upperArm.valueCm
  const at = (hip: number): number =>
    centreOfMass(body, halfFigure(body, { platformHeightCm: 0, trunkDeg: 45, hipFlexionDeg: hip })).x
  return turnFor(at, target, -15, 125) ?? 60
}

/** Hips close to the wall, soles on it, knees bent. */
export const WALL_SUPPORTED: PositionSpec = {
  id: 'wall-shoulder-stand',
  name: 'Shoulder stand, feet on the wall',
  parameters: [
    PLATFORM,
    cm('shoulderDistanceCm', 'Platform edge from the wall', 25, 110, (body) => 0.36 * body.statureCm),
    TRUNK(60),
    tuned(FRICTION, { usual: 0.4 }),
  ],
  solve: (body, given) => {
    const platform = read(given, 'platformHeightCm')
    const wallX = read(given, 'shoulderDistanceCm')
    const shoulder = shoulderAt(body, platform)
    const trunk = trunkUp(body, shoulder, read(given, 'trunkDeg'), 1)
    const { thigh, shank, ankleHeight } = body.length
    const across = wallX - ankleHeight.valueCm - trunk.hip.x
    // Shins level: the sole stands flat on the wall at the height of the knee.
    const rises = thigh.valueCm ** 2 - (across - shank.valueCm) ** 2
    if (rises < 0)
      return refused({
        code: 'legs-do-not-reach',
        key: 'shoulderDistanceCm',
        reach: { code: 'too-far', neededCm: across, reachCm: thigh.valueCm + shank.valueCm },
      })
    const knee = { x: wallX - ankleHeight.valueCm - shank.valueCm, y: trunk.hip.y + Math.sqrt(rises) }
    const ankle = { x: knee.x + shank.valueCm, y: knee.y }
    const leg = soleOnWall(body, knee, ankle, wallX)
    const sole: Leg = { ...leg, heel: leg.toe, toe: leg.heel }
    const pair = shouldersAndElbows(body, platform, 1)
    return ok(
      assemble({
        id: 'wall-shoulder-stand',
        body,
        parameters: given,
        skeleton: skeletonOf(
          handsOnBack(body, trunk, platform, 1),
          trunk,
          [sole, sole],
          headOnFloor(body, shoulder, -1),
        ),
        wallX,
        supports: {
          groups: [pair],
          wall: {
            part: 'wallFeet',
            at: { x: wallX, y: ankle.y },
            friction: read(given, 'wallFriction'),
            frictionUse: 0.5,
          },
        },
      }),
    )
  },
}
