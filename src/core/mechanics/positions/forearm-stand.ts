import type { Body } from '../../body/estimate'
import { ok, refused, type Result } from '../../result'
import { riseBetween } from '../energy'
import { angleAt, direction, polar, rise, type Point } from '../point'
import {
  assemble,
  read,
  type Parameter,
  type Parameters,
  type Position,
  type PositionRefusal,
  type PositionSpec,
} from '../position'
import {
  centreOf,
  crownInLine,
  footInAir,
  particles,
  straightWaist,
  type Leg,
  type Skeleton,
} from '../skeleton'
import { floorAndWall, singleSupport, twoSupports } from '../statics'
import { forearmBase, forearmPatch, pointPatch } from '../surfaces'
import { DOLPHIN_PARAMETERS, solveFrame } from './dolphin'

const GAP: Parameter = {
  key: 'fingertipGapCm',
  label: 'Fingertips from the wall',
  unit: 'cm',
  min: 0,
  max: 40,
  usual: 5,
}

/** Dolphin walked in, one leg lifted, in front of a wall: the moment before a kick. */
export const FOREARM_KICK_START: PositionSpec = {
  id: 'forearm-stand-kick-start',
  name: 'Forearm stand, kick start',
  parameters: [
    GAP,
    ...DOLPHIN_PARAMETERS.map((p) =>
      p.key === 'toeDistanceCm' ? { ...p, usual: (body: Body) => 0.45 * body.statureCm } : p,
    ),
    { key: 'leadLegDeg', label: 'Lifted leg above the floor', unit: 'deg', min: 0, max: 150, usual: 60 },
  ],
  solve(body, parameters) {
    const frame = solveFrame(body, parameters)
    if (!frame.ok) return frame
    const { skeleton: planted, ballX, angles } = frame.value
    const skeleton: Skeleton = {
      ...planted,
      legs: [planted.legs[0], liftedLeg(body, planted.hip, 180 - read(parameters, 'leadLegDeg'))],
    }
    return ok(
      assemble({
        id: 'forearm-stand-kick-start',
        body,
        parameters,
        skeleton,
        angles,
        base: { fromCm: ballX, toCm: forearmBase(body).toCm },
        wallX: forearmBase(body).toCm + read(parameters, 'fingertipGapCm'),
        carry: (centreX) =>
          twoSupports(centreX, pointPatch('toes', ballX), forearmPatch(body, skeleton.shoulder.x)),
        rise: (centreY) => riseBetween(centreY, uprightCentreHeight(body)),
      }),
    )
  },
}

/** Straight over the forearms, no wall. */
export const FOREARM_STRAIGHT: PositionSpec = {
  id: 'forearm-stand-straight',
  name: 'Forearm stand, straight',
  parameters: [
    { key: 'leanDeg', label: 'Whole body towards the wall', unit: 'deg', min: -10, max: 20, usual: 0 },
    {
      key: 'shoulderLeanDeg',
      label: 'Shoulders ahead of the elbows',
      unit: 'deg',
      min: -20,
      max: 20,
      usual: 0,
    },
  ],
  solve(body, parameters) {
    const lean = read(parameters, 'leanDeg')
    const shoulderLean = read(parameters, 'shoulderLeanDeg')
    const skeleton = inverted(body, lean + shoulderLean, lean, lean)
    const patch = forearmPatch(body, skeleton.shoulder.x)
    return ok(
      assemble({
        id: 'forearm-stand-straight',
        body,
        parameters,
        skeleton,
        base: forearmBase(body),
        wallX: null,
        angles: invertedAngles(skeleton, lean, 0),
        carry: (centreX) => [
          singleSupport({ ...patch, nominalCm: Math.min(patch.toCm, Math.max(patch.fromCm, centreX)) }),
        ],
      }),
    )
  },
}

/** Both heels resting on the wall. `archShare` 0 leans the whole body as one, 1 stacks arms and trunk and leans the legs only. */
export const FOREARM_HEELS_ON_WALL: PositionSpec = {
  id: 'forearm-stand-heels-on-wall',
  name: 'Forearm stand, heels on the wall',
  parameters: [
    GAP,
    { key: 'archShare', label: 'How much the waist arches', unit: 'share', min: 0, max: 1, usual: 0 },
    {
      key: 'shoulderLeanDeg',
      label: 'Shoulders ahead of the elbows',
      unit: 'deg',
      min: -20,
      max: 20,
      usual: 0,
    },
    { key: 'wallFriction', label: 'Wall friction', unit: 'share', min: 0, max: 0.5, usual: 0.2 },
  ],
  solve(body, parameters) {
    const wallX = forearmBase(body).toCm + read(parameters, 'fingertipGapCm')
    const leaning = leanToWall(body, parameters, wallX)
    if (!leaning.ok) return leaning
    const { skeleton, legLeanDeg, trunkLeanDeg } = leaning.value
    return ok(
      assemble({
        id: 'forearm-stand-heels-on-wall',
        body,
        parameters,
        skeleton,
        base: forearmBase(body),
        wallX,
        angles: invertedAngles(skeleton, trunkLeanDeg, legLeanDeg - trunkLeanDeg),
        carry: (centreX) =>
          floorAndWall(
            centreX,
            forearmPatch(body, skeleton.shoulder.x),
            skeleton.legs[0].heel,
            read(parameters, 'wallFriction'),
          ),
      }),
    )
  },
}

/** Legs no further from upright than this are still a stand; beyond it the heels cannot rest. */
const MOST_LEAN_DEG = 75

function leanToWall(
  body: Body,
  parameters: Parameters,
  wallX: number,
): Result<{ skeleton: Skeleton; legLeanDeg: number; trunkLeanDeg: number }, PositionRefusal> {
  const arch = read(parameters, 'archShare')
  const shoulderLean = read(parameters, 'shoulderLeanDeg')
  const at = (legLean: number): Skeleton =>
    inverted(body, (1 - arch) * legLean + shoulderLean, (1 - arch) * legLean, legLean)
  const heelX = (legLean: number): number => at(legLean).legs[0].heel.x
  let low = -MOST_LEAN_DEG
  let high = MOST_LEAN_DEG
  if (heelX(low) > wallX || heelX(high) < wallX)
    return refused({ code: 'wall-out-of-reach', elbowToWallCm: wallX, reachCm: heelX(high) })
  // The heel moves steadily towards the wall as the lean grows, so halving the span finds it; 60 halvings pass 1e-12°.
  for (let i = 0; i < 60; i += 1) {
    const middle = (low + high) / 2
    if (heelX(middle) < wallX) low = middle
    else high = middle
  }
  return ok({ skeleton: at(high), legLeanDeg: high, trunkLeanDeg: (1 - arch) * high })
}

/** A body upside down from its three leans (degrees from upright, towards the wall positive); heels face the wall. */
function inverted(body: Body, armLean: number, trunkLean: number, legLean: number): Skeleton {
  const { upperArm, forearm, hand, trunk, thigh, shank } = body.length
  const elbow = { x: 0, y: 0 }
  const shoulder = rise(elbow, upperArm.valueCm, armLean)
  const hip = rise(shoulder, trunk.valueCm, trunkLean)
  const knee = rise(hip, thigh.valueCm, legLean)
  const ankle = rise(knee, shank.valueCm, legLean)
  const leg: Leg = { knee, ...footInAir(body, ankle, direction(knee, ankle), -1) }
  const waist = straightWaist(shoulder, hip)
  return {
    elbow,
    wrist: { x: forearm.valueCm, y: 0 },
    fingertip: { x: forearm.valueCm + hand.valueCm, y: 0 },
    shoulder,
    waist,
    hip,
    crown: crownInLine(body, shoulder, waist),
    legs: [leg, leg],
  }
}

function invertedAngles(skeleton: Skeleton, trunkLeanDeg: number, archDeg: number): Position['angles'] {
  return {
    hipFlexionDeg: 0,
    shoulderFlexionDeg: angleAt(skeleton.shoulder, skeleton.hip, skeleton.elbow),
    trunkLeanDeg,
    kneeBendDeg: 0,
    archDeg,
  }
}

function liftedLeg(body: Body, hip: Point, angleDeg: number): Leg {
  const knee = polar(hip, body.length.thigh.valueCm, angleDeg)
  const ankle = polar(knee, body.length.shank.valueCm, angleDeg)
  return { knee, ...footInAir(body, ankle, direction(knee, ankle), -1) }
}

/** Height of the centre of mass when stacked straight over the elbows: what a kick has to reach. */
function uprightCentreHeight(body: Body): number {
  return centreOf(particles(body, inverted(body, 0, 0, 0))).y
}
