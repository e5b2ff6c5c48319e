import type { Body } from '../../body/estimate'
import { ok, refused } from '../../result'
import { joinLinks } from '../linkage'
import { HIP_RANGE, parameter, read } from '../parameters'
import type { Point } from '../point'
import { legFrom, skeletonOf, trunkFrom, type Trunk } from '../pose'
import { assemble, type PositionSpec } from '../position'
import { withinRanges } from '../frame'
import type { Leg, Skeleton } from '../skeleton'
import { on } from '../contacts'
import { patchAround } from '../surfaces'

const { cm, deg } = parameter

/** Hip joint above what one sits or lies on, and shoulder joint above the floor when lying, as fractions of stature. */
export const SEAT_DEPTH = 0.05

export const SHOULDER_DEPTH = 0.045
/** Half the length on which a seat or a sacrum carries, as a fraction of stature. */
export const SEAT_HALF = 0.04

/** Shoulders and feet on the floor, hips lifted; feet towards the wall. */
export const BRIDGE: PositionSpec = {
  id: 'bridge',
  name: 'Bridge',
  parameters: [
    deg('liftDeg', 'Trunk above the floor', 0, 50, 30),
    cm('footDistanceCm', 'Heels from the shoulders', 40, 110, (body) => 0.42 * body.statureCm),
  ],
  solve: (body, parameters) => {
    const shoulder = { x: 0, y: SHOULDER_DEPTH * body.statureCm }
    const trunk = trunkFrom(body, shoulder, 90 - read(parameters, 'liftDeg'), 0, 1)
    const { ankleHeight, foot, thigh, shank } = body.length
    const ankle = { x: read(parameters, 'footDistanceCm'), y: ankleHeight.valueCm }
    const knee = joinLinks(trunk.hip, thigh.valueCm, ankle, shank.valueCm, 'up')
    if (!knee.ok) return refused({ code: 'legs-do-not-reach', key: 'footDistanceCm', reach: knee.refusal })
    const heelX = ankle.x - 0.25 * foot.valueCm
    const leg = { knee: knee.value, ankle, heel: { x: heelX, y: 0 }, toe: { x: heelX + foot.valueCm, y: 0 } }
    return ok(
      assemble({
        id: 'bridge',
        body,
        parameters,
        skeleton: lyingBack(body, shoulder, trunk, leg),
        supports: {
          groups: [
            on(patchAround('shoulders', 0, 0.03 * body.statureCm)),
            on({
              part: 'feet',
              fromCm: heelX,
              toCm: heelX + 0.73 * foot.valueCm,
              nominalCm: heelX + 0.35 * foot.valueCm,
            }),
          ],
        },
      }),
    )
  },
}

/** On the back, knees drawn to the chest. */
export const SUPINE_TUCK: PositionSpec = {
  id: 'supine-tuck',
  name: 'Tuck on the back',
  parameters: [
    HIP_RANGE,
    deg('hipFlexionDeg', 'Hip fold', 60, 150, 120),
    deg('kneeBendDeg', 'Knee bend', 30, 150, 130),
  ],
  solve: (body, parameters) => {
    const hipFlexionDeg = read(parameters, 'hipFlexionDeg')
    const limited = withinRanges(parameters, { hip: hipFlexionDeg }, 'hipFlexionDeg')
    if (!limited.ok) return limited
    const shoulder = { x: 0, y: SHOULDER_DEPTH * body.statureCm }
    const trunk = trunkFrom(body, shoulder, 90, 0, 1)
    const leg = legFrom(body, trunk, { hipFlexionDeg, kneeBendDeg: read(parameters, 'kneeBendDeg') }, 1)
    return ok(
      assemble({
        id: 'supine-tuck',
        body,
        parameters,
        skeleton: lyingBack(body, shoulder, trunk, leg),
        supports: {
          groups: [
            on({ part: 'upperBack', fromCm: 0, toCm: trunk.waist.x, nominalCm: 0.3 * trunk.waist.x }),
            on(patchAround('seat', trunk.hip.x, SEAT_HALF * body.statureCm)),
          ],
        },
      }),
    )
  },
}

/**
 * Arms lying along the floor beside or beyond the body.
 * @param shown how much of their length shows from the side: less where they lie out to both sides
 */
function armsAlongFloor(
  body: Body,
  shoulder: Point,
  tiltDeg: number,
  shown = 1,
): Pick<Skeleton, 'elbow' | 'wrist' | 'fingertip'> {
  const { upperArm, forearm, hand } = body.length
  const away = shown * Math.sign(Math.sin((tiltDeg * Math.PI) / 180))
  const drop = Math.min(shoulder.y, upperArm.valueCm)
  const elbow = { x: shoulder.x + away * Math.sqrt(upperArm.valueCm ** 2 - drop ** 2), y: shoulder.y - drop }
  const wrist = { x: elbow.x + away * forearm.valueCm, y: elbow.y }
  return { elbow, wrist, fingertip: { x: wrist.x + away * hand.valueCm, y: elbow.y } }
}

/** Arms along the floor towards the feet, legs together, the head lying back. @param armsShown as for the arms */
export function lyingBack(body: Body, shoulder: Point, trunk: Trunk, leg: Leg, armsShown = 1): Skeleton {
  const arms = armsAlongFloor(body, shoulder, 90, armsShown)
  return skeletonOf(arms, trunk, [leg, leg], headOnFloor(body, shoulder, -1))
}

/** Head lying back on the floor beyond the shoulders: the crown's place. @param towards 1 to the wall */
export function headOnFloor(body: Body, shoulder: Point, towards: 1 | -1, floorY = 0): Point {
  const reach = body.length.headNeck.valueCm
  const crownY = floorY + HEAD_HALF_DEPTH * body.statureCm
  // On a support higher than the neck is long the head hangs straight down.
  const drop = Math.min(reach, shoulder.y - crownY)
  return { x: shoulder.x + towards * Math.sqrt(reach ** 2 - drop ** 2), y: shoulder.y - drop }
}

/** Back of the head to its middle, as a fraction of stature. */
export const HEAD_HALF_DEPTH = 0.055
