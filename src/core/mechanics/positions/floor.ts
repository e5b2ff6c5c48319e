import type { Body } from '../../body/estimate'
import { ok, refused } from '../../result'
import { joinLinks } from '../linkage'
import { parameter, read, type Parameters, HIP_RANGE } from '../parameters'
import { degrees, rise, type Point } from '../point'
import {
  legAlong,
  legFrom,
  legLength,
  skeletonOf,
  straightArms,
  trunkBetween,
  trunkFrom,
  type Trunk,
} from '../pose'
import { assemble, type PositionSpec } from '../position'
import { withinRanges } from '../frame'
import { turnFor } from '../turn'
import { centreOfMass, type Leg, type Skeleton } from '../skeleton'
import { on, type Patch } from '../contacts'
import { armSupport, handBase, handPatch, patchAround } from '../surfaces'
import { SEAT_HALF, SEAT_DEPTH, SHOULDER_DEPTH, BRIDGE, SUPINE_TUCK } from './supine'

const { cm, deg, share } = parameter

const kneesUnderHips = (body: Body, shoulderY: number): number => {
  const { thigh, trunk } = body.length
  return Math.sqrt(trunk.valueCm ** 2 - (shoulderY - thigh.valueCm) ** 2)
}

const KNEE_DISTANCE = cm('kneeDistanceCm', 'Knees behind the support', 10, 90, (body) =>
  kneesUnderHips(body, body.length.upperArm.valueCm + body.length.forearm.valueCm),
)

/** Hands and knees, arms straight and upright. */
const ALL_FOURS: PositionSpec = {
  id: 'all-fours',
  name: 'All fours',
  parameters: [KNEE_DISTANCE, deg('shoulderLeanDeg', 'Shoulders ahead of the wrists', -20, 25, 0)],
  solve: (body, parameters) =>
    kneeling(
      'all-fours',
      body,
      parameters,
      straightArms(body, read(parameters, 'shoulderLeanDeg')),
      handPatch(body),
      handBase(body).toCm,
    ),
}

/** Forearms and knees. */
const FOREARM_TABLETOP: PositionSpec = {
  id: 'forearm-tabletop',
  name: 'Forearms and knees',
  parameters: [
    { ...KNEE_DISTANCE, max: 120, usual: (body) => kneesUnderHips(body, body.length.upperArm.valueCm) },
    deg('shoulderLeanDeg', 'Shoulders ahead of the elbows', -90, 25, 0),
    cm('forearmHeightCm', 'Elbows raised by', 0, 75, 0),
  ],
  solve: (body, parameters) => {
    const { arms, patch, base } = armSupport(
      body,
      'forearms',
      read(parameters, 'shoulderLeanDeg'),
      read(parameters, 'forearmHeightCm'),
    )
    return kneeling('forearm-tabletop', body, parameters, arms, patch, base.toCm)
  },
}

function kneeling(
  id: string,
  body: Body,
  parameters: Parameters,
  arms: ReturnType<typeof straightArms>,
  patch: Patch,
  toCm: number,
): ReturnType<PositionSpec['solve']> {
  const knee = { x: -read(parameters, 'kneeDistanceCm'), y: 0 }
  const { trunk: trunkLength, thigh, shank } = body.length
  const hip = joinLinks(arms.shoulder, trunkLength.valueCm, knee, thigh.valueCm, 'up')
  if (!hip.ok) return refused({ code: 'legs-do-not-reach', key: 'kneeDistanceCm', reach: hip.refusal })
  const leg = shinOnFloor(body, knee)
  return ok(
    assemble({
      id,
      body,
      parameters,
      skeleton: skeletonOf(arms, trunkBetween(body, arms.shoulder, hip.value), [leg, leg]),
      base: { fromCm: leg.toe.x, toCm },
      supports: {
        // Shins and feet lie along; the thigh presses on the knee end of them.
        groups: [
          on({ part: 'knees', fromCm: knee.x - shank.valueCm, toCm: knee.x, nominalCm: knee.x }),
          on(patch),
        ],
      },
    }),
  )
}

/** A shin lying back along the floor, toes pointed. */
function shinOnFloor(body: Body, knee: Point): Leg {
  const { shank, foot } = body.length
  const ankle = { x: knee.x - Math.sqrt(shank.valueCm ** 2 - knee.y ** 2), y: 0 }
  return {
    knee,
    ankle,
    heel: { x: ankle.x, y: 0.25 * foot.valueCm },
    toe: { x: ankle.x - 0.75 * foot.valueCm, y: 0 },
  }
}

/** A leg lying back along the floor from the hip, front of the thigh down, toes pointed. */
function legLying(body: Body, hip: Point): Leg {
  const { foot, ankleHeight } = body.length
  const ankleY = 0.5 * ankleHeight.valueCm
  const tilt = -90 - degrees(Math.asin((hip.y - ankleY) / legLength(body)))
  const { knee, ankle } = legAlong(body, hip, tilt, 0, 1)
  return {
    knee,
    ankle,
    heel: { x: ankle.x, y: ankle.y + 0.25 * foot.valueCm },
    toe: { x: ankle.x - 0.7 * foot.valueCm, y: 0 },
  }
}

/** Lying on the front, palms beside the lower ribs, pushing without lifting. */
const PRONE_PRESS: PositionSpec = {
  id: 'prone-press',
  name: 'Prone press',
  parameters: [share('pressShare', 'Pushed into the hands', 0.02, 0.25, 0.12)],
  solve: (body, parameters) => {
    const { trunk: trunkLength, upperArm, forearm, hand } = body.length
    const y = SHOULDER_DEPTH * body.statureCm
    // The wrist lies beside the lower ribs, the forearm upright, so the elbow is a forearm above the floor.
    const shoulder = { x: 0.6 * trunkLength.valueCm, y }
    const elbow = joinLinks({ x: 0, y: 0 }, forearm.valueCm, shoulder, upperArm.valueCm, 'back')
    if (!elbow.ok) return refused({ code: 'arms-do-not-reach', key: 'pressShare', reach: elbow.refusal })
    const trunk = trunkBetween(body, shoulder, { x: shoulder.x - trunkLength.valueCm, y })
    const leg = legLying(body, trunk.hip)
    const skeleton = skeletonOf(
      { wrist: { x: 0, y: 0 }, fingertip: { x: hand.valueCm, y: 0 }, elbow: elbow.value },
      trunk,
      [leg, leg],
    )
    const push = read(parameters, 'pressShare')
    const patch = handPatch(body)
    const centre = centreOfMass(body, skeleton)
    return ok(
      assemble({
        id: 'prone-press',
        body,
        parameters,
        skeleton,
        supports: {
          groups: [
            // The whole front carries; its pressure sits where the push into the hands leaves it.
            on({
              part: 'prop',
              fromCm: leg.ankle.x,
              toCm: shoulder.x,
              nominalCm: (centre.x - push * patch.nominalCm) / (1 - push),
            }),
            on(patch),
          ],
        },
      }),
    )
  },
}

/** Balanced on the seat, trunk and legs in a V. */
const BOAT: PositionSpec = {
  id: 'boat',
  name: 'Boat',
  parameters: [
    { ...HIP_RANGE, usual: 120 },
    deg('hipFlexionDeg', 'Trunk to thighs', 45, 120, 90),
    deg('kneeBendDeg', 'Knee bend', 0, 110, 0),
    deg('waistDeg', 'Waist: arch (+) or round (−)', -45, 20, 0),
  ],
  solve: (body, parameters) => {
    const hipFlexion = read(parameters, 'hipFlexionDeg')
    const limited = withinRanges(parameters, { hip: hipFlexion }, 'hipFlexionDeg')
    if (!limited.ok) return limited
    const hipAt = { x: 0, y: SEAT_DEPTH * body.statureCm }
    const at = (trunkTilt: number): Skeleton => {
      // Built downwards from the shoulder and moved so that the seat stands at the origin.
      const trunk = trunkFrom(body, { x: 0, y: 0 }, trunkTilt, read(parameters, 'waistDeg'), 1)
      const seated = moved(trunk, { x: hipAt.x - trunk.hip.x, y: hipAt.y - trunk.hip.y })
      const leg = legFrom(
        body,
        seated,
        { hipFlexionDeg: hipFlexion, kneeBendDeg: read(parameters, 'kneeBendDeg') },
        1,
      )
      return skeletonOf(armsForward(body, seated.shoulder), seated, [leg, leg])
    }
    const tilt = turnFor((t) => centreOfMass(body, at(t)).x, 0, 95, 179)
    if (tilt === null)
      return refused({ code: 'cannot-balance', key: 'hipFlexionDeg', plumbCm: 0, fromCm: 0, toCm: 0 })
    return ok(
      assemble({
        id: 'boat',
        body,
        parameters,
        skeleton: at(tilt),
        supports: { groups: [on(patchAround('seat', 0, SEAT_HALF * body.statureCm))] },
      }),
    )
  },
}

function moved(trunk: Trunk, by: Point): Trunk {
  const shift = (p: Point): Point => ({ x: p.x + by.x, y: p.y + by.y })
  return {
    ...trunk,
    shoulder: shift(trunk.shoulder),
    waist: shift(trunk.waist),
    hip: shift(trunk.hip),
    crown: shift(trunk.crown),
  }
}

/** Arms held straight out in front, level. */
function armsForward(body: Body, shoulder: Point): Pick<Skeleton, 'elbow' | 'wrist' | 'fingertip'> {
  const { upperArm, forearm, hand } = body.length
  const elbow = rise(shoulder, upperArm.valueCm, 90)
  const wrist = rise(elbow, forearm.valueCm, 90)
  return { elbow, wrist, fingertip: rise(wrist, hand.valueCm, 90) }
}

/** Kneeling tall, arms lifted in front or overhead: where shoulder openers start. */
const KNEELING_TALL: PositionSpec = {
  id: 'kneeling-tall',
  name: 'Kneeling tall',
  parameters: [deg('armsDeg', 'Arms lifted', 0, 180, 170), deg('elbowBendDeg', 'Elbow bend', 0, 120, 0)],
  solve: (body, parameters) => {
    const { thigh, trunk: trunkLength, upperArm, forearm, hand } = body.length
    const knee = { x: 0, y: 0 }
    const hip = { x: 0, y: thigh.valueCm }
    const trunk = trunkBetween(body, { x: 0, y: hip.y + trunkLength.valueCm }, hip)
    const arm = 180 - read(parameters, 'armsDeg')
    const bend = read(parameters, 'elbowBendDeg')
    const elbow = rise(trunk.shoulder, upperArm.valueCm, arm)
    const wrist = rise(elbow, forearm.valueCm, arm - bend)
    const leg = shinOnFloor(body, knee)
    return ok(
      assemble({
        id: 'kneeling-tall',
        body,
        parameters,
        skeleton: skeletonOf({ elbow, wrist, fingertip: rise(wrist, hand.valueCm, arm - bend) }, trunk, [
          leg,
          leg,
        ]),
        supports: {
          groups: [on({ part: 'knees', fromCm: leg.toe.x, toCm: 0.02 * body.statureCm, nominalCm: 0 })],
        },
      }),
    )
  },
}

export const FLOOR: readonly PositionSpec[] = [
  ALL_FOURS,
  FOREARM_TABLETOP,
  PRONE_PRESS,
  KNEELING_TALL,
  BOAT,
  BRIDGE,
  SUPINE_TUCK,
]
