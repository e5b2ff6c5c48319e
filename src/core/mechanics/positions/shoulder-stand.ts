import { innerLegOf } from '../../body/derived'
import type { Body } from '../../body/estimate'
import { ok, refused, type Result } from '../../result'
import { bentKnee, withinRanges } from '../frame'
import { joinLinks } from '../linkage'
import {
  FRICTION,
  HIP_RANGE,
  parameter,
  perBody,
  read,
  tuned,
  type Parameter,
  type Parameters,
} from '../parameters'
import { angleAt, degrees, direction, type Point } from '../point'
import { legAlong, legFrom, legLength, skeletonOf, trunkFrom, type Facing, type Trunk } from '../pose'
import { assemble, type PositionRefusal, type PositionSpec } from '../position'
import { turnFor } from '../turn'
import { centreOfMass, footInAir, type Leg, type Skeleton } from '../skeleton'
import { on, type PatchPair } from '../supports'
import { patchAround, pointPatch } from '../surfaces'
import { armsAlongFloor, HEAD_HALF_DEPTH, headOnFloor, SEAT_DEPTH, SHOULDER_DEPTH } from './floor'
import { soleOnWall } from './right-angle'

const { cm, deg } = parameter

/** Middle of an upper arm that lies on the floor, as a fraction of stature. */
const ARM_HALF = 0.018
/** Half the length on which the tops of the shoulders carry, as a fraction of stature. */
const SHOULDER_HALF = 0.025
/** Shoulders and upper arms share like a beam that comes down a fifth of the way to the elbows, where nothing else says. */
const TO_ELBOWS = 1 / 5

const PLATFORM = cm('platformHeightCm', 'Platform under the shoulders', 0, 15, 7.5)
const TRUNK = (usual: number): Parameter => deg('trunkDeg', 'Trunk above the floor', 20, 95, usual)
const HIP = (usual: number | ((body: Body) => number)): Parameter =>
  deg('hipFlexionDeg', 'Hip fold', -15, 130, usual)

/** Shoulder joint over the edge (x = 0) of a platform, head beyond the edge towards the wall side of `facing`. */
function shoulderAt(body: Body, platformCm: number): Point {
  return { x: 0, y: platformCm + SHOULDER_DEPTH * body.statureCm }
}

/** The trunk from the shoulders. Facing −1: head and folded legs towards the wall; 1: hips and legs towards it. */
function trunkUp(body: Body, shoulder: Point, trunkDeg: number, facing: Facing): Trunk {
  return trunkFrom(body, shoulder, facing * (90 - trunkDeg), 0, facing)
}

/** Shoulders at the edge, elbows behind them: what carries a shoulder stand. */
function shouldersAndElbows(body: Body, platformCm: number, facing: Facing): PatchPair {
  const half = SHOULDER_HALF * body.statureCm
  const elbowX = facing * body.length.upperArm.valueCm * 0.95
  const shoulders = patchAround('shoulders', 0, half, platformCm)
  const elbows = pointPatch('elbows', elbowX, platformCm)
  return facing === 1
    ? { patches: [shoulders, elbows], throughCm: elbowX * TO_ELBOWS }
    : { patches: [elbows, shoulders], throughCm: elbowX * TO_ELBOWS }
}

/** Upper arms along the platform behind the back, hands on the back. */
function handsOnBack(
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

type Free = { id: string; name: string; parameters: readonly Parameter[] }

/** The hip fold that keeps the plumb line a fifth of the way from the shoulders to the elbows. */
const balancingFold =
  (trunkDeg: number, platformCm: number): ((body: Body) => number) =>
  (body) => {
    const target = -TO_ELBOWS * body.length.upperArm.valueCm
    const at = (hip: number): number =>
      centreOfMass(body, raised(body, { platformHeightCm: platformCm, trunkDeg, hipFlexionDeg: hip })).x
    return turnFor(at, target, -15, 125) ?? 0
  }

function raised(body: Body, given: Parameters): Skeleton {
  const platform = given.platformHeightCm ?? 0
  const shoulder = shoulderAt(body, platform)
  const trunk = trunkUp(body, shoulder, read(given, 'trunkDeg'), -1)
  const leg = legFrom(body, trunk, { hipFlexionDeg: read(given, 'hipFlexionDeg'), kneeBendDeg: 0 }, -1)
  return skeletonOf(handsOnBack(body, trunk, platform, -1), trunk, [leg, leg], headOnFloor(body, shoulder, 1))
}

/** Legs up without a wall: shoulders and upper arms alone. */
function freeShoulderStand({ id, name, parameters }: Free): PositionSpec {
  return {
    id,
    name,
    parameters,
    solve: (body, given) => {
      const pair = shouldersAndElbows(body, given.platformHeightCm ?? 0, -1)
      const skeleton = raised(body, given)
      return ok(
        assemble({
          id,
          body,
          parameters: given,
          facing: -1,
          skeleton,
          supports: { groups: [{ ...pair, throughCm: centreOfMass(body, skeleton).x }] },
        }),
      )
    },
  }
}

/** Feet beyond the head: on the wall, on a seat or on the floor. */
function plough(id: string, name: string, parameters: readonly Parameter[], onWall: boolean): PositionSpec {
  return {
    id,
    name,
    parameters,
    solve: (body, given) => {
      const platform = read(given, 'platformHeightCm')
      const shoulder = shoulderAt(body, platform)
      const trunk = trunkUp(body, shoulder, read(given, 'trunkDeg'), -1)
      const { ankleHeight, foot } = body.length
      const distance = read(given, 'footDistanceCm')
      const height = read(given, 'footHeightCm')
      const ankle = onWall
        ? { x: distance - ankleHeight.valueCm, y: height }
        : onTiptoe(body, distance, height)
      const reach = ankleFrom(body, trunk.hip, ankle, onWall ? 'height' : 'distance')
      if (!reach.ok) return reach
      const knee = bentKnee(body, trunk.hip, reach.value, 'up')
      const limited = withinRanges(
        given,
        { hip: 180 - angleAt(trunk.hip, trunk.shoulder, knee) },
        'footDistanceCm',
      )
      if (!limited.ok) return limited
      const leg: Leg = onWall
        ? soleOnWall(body, knee, reach.value, distance)
        : {
            knee,
            ankle: reach.value,
            heel: { x: reach.value.x - 0.1 * foot.valueCm, y: reach.value.y + 0.3 * foot.valueCm },
            toe: { x: reach.value.x, y: height },
          }
      const pair = shouldersAndElbows(body, platform, -1)
      return ok(
        assemble({
          id,
          body,
          parameters: given,
          facing: -1,
          skeleton: skeletonOf(
            handsOnBack(body, trunk, platform, -1),
            trunk,
            [leg, leg],
            headOnFloor(body, shoulder, 1),
          ),
          wallX: onWall ? distance : null,
          base: { fromCm: pair.patches[0].fromCm, toCm: onWall ? pair.patches[1].toCm : reach.value.x },
          supports: onWall
            ? {
                groups: [pair],
                wall: {
                  part: 'wallFeet',
                  at: { x: distance, y: reach.value.y },
                  friction: read(given, 'wallFriction'),
                  frictionUse: 1,
                },
              }
            : { groups: [pair, on(pointPatch('toes', reach.value.x, height))] },
        }),
      )
    },
  }
}

function onTiptoe(body: Body, x: number, height: number): Point {
  return { x, y: height + 0.73 * body.length.foot.valueCm }
}

/** Bends the knees where the feet are nearer than the legs are long, refuses where they are further. */
function ankleFrom(
  body: Body,
  hip: Point,
  ankle: Point,
  free: 'height' | 'distance',
): Result<Point, PositionRefusal> {
  const legs = legLength(body)
  const apart = Math.hypot(ankle.x - hip.x, ankle.y - hip.y)
  if (apart <= legs) return ok(ankle)
  const across = Math.abs(ankle.x - hip.x)
  // Feet may slide down the wall, or in along the floor, until the legs are straight.
  if (free === 'height' && across <= legs)
    return ok({ x: ankle.x, y: hip.y - Math.sqrt(legs ** 2 - across ** 2) })
  const drop = hip.y - ankle.y
  if (free === 'distance' && drop <= legs)
    return ok({ x: hip.x + Math.sqrt(legs ** 2 - drop ** 2), y: ankle.y })
  return refused({
    code: 'legs-do-not-reach',
    key: 'footDistanceCm',
    reach: { code: 'too-far', neededCm: apart, reachCm: legs },
  })
}

/** Rolled up on the upper back, palms on the wall beyond the head, feet walking down it: no weight on the neck. */
const HANDS_ON_WALL: PositionSpec = {
  id: 'plough-hands-on-wall',
  name: 'Plough lying, hands and feet on the wall',
  parameters: [
    cm('footDistanceCm', 'Shoulders from the wall', 40, 100, (body) => 0.35 * body.statureCm),
    cm('footHeightCm', 'Feet on the wall, height', 10, 90, (body) => 0.18 * body.statureCm),
    TRUNK(58),
    tuned(FRICTION, { usual: 0.4 }),
    tuned(HIP_RANGE, { usual: 150 }),
  ],
  solve: (body, given) => {
    const wallX = read(given, 'footDistanceCm')
    const shoulder = shoulderAt(body, 0)
    const trunk = trunkUp(body, shoulder, read(given, 'trunkDeg'), -1)
    const { ankleHeight, upperArm, forearm, hand } = body.length
    const wanted = { x: wallX - ankleHeight.valueCm, y: read(given, 'footHeightCm') }
    const ankle = ankleFrom(body, trunk.hip, wanted, 'height')
    if (!ankle.ok) return ankle
    const knee = bentKnee(body, trunk.hip, ankle.value, 'up')
    const limited = withinRanges(
      given,
      { hip: 180 - angleAt(trunk.hip, trunk.shoulder, knee) },
      'footHeightCm',
    )
    if (!limited.ok) return limited
    // Palms flat on the wall a little above the floor, elbows lifted beside the ears.
    const wrist = { x: wallX - 0.02 * body.statureCm, y: shoulder.y }
    const elbow = joinLinks(shoulder, upperArm.valueCm, wrist, forearm.valueCm, 'up')
    if (!elbow.ok) return refused({ code: 'arms-do-not-reach', key: 'footDistanceCm', reach: elbow.refusal })
    const arms = { elbow: elbow.value, wrist, fingertip: { x: wrist.x, y: wrist.y + hand.valueCm } }
    const leg = soleOnWall(body, knee, ankle.value, wallX)
    return ok(
      assemble({
        id: 'plough-hands-on-wall',
        body,
        parameters: given,
        facing: -1,
        skeleton: skeletonOf(arms, trunk, [leg, leg], headOnFloor(body, shoulder, 1)),
        wallX,
        supports: {
          groups: [
            on({
              part: 'upperBack',
              fromCm: -0.13 * body.statureCm,
              toCm: SHOULDER_HALF * body.statureCm,
              nominalCm: -0.05 * body.statureCm,
            }),
          ],
          wall: {
            part: 'wallFeet',
            at: { x: wallX, y: ankle.value.y },
            friction: read(given, 'wallFriction'),
            frictionUse: 0.5,
          },
        },
      }),
    )
  },
}

const innerLeg = (body: Body): number => innerLegOf(body).valueCm

/** Half shoulder stand: trunk slanted, hands under the pelvis, elbows on the floor. */
const HALF: PositionSpec = {
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
const WALL_SUPPORTED: PositionSpec = {
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

/** Pelvis on a chair seat, shoulders on a bolster before it, legs long. */
const CHAIR: PositionSpec = {
  id: 'chair-shoulder-stand',
  name: 'Chair shoulder stand',
  parameters: [
    cm('seatHeightCm', 'Padded seat height', 35, 55, 47),
    cm('supportHeightCm', 'Support under the shoulders', 5, 30, 15),
    HIP(20),
  ],
  solve: (body, given) => {
    const support = read(given, 'supportHeightCm')
    const seat = read(given, 'seatHeightCm')
    const shoulder = shoulderAt(body, support)
    const hipY = seat + SEAT_DEPTH * body.statureCm
    const length = body.length.trunk.valueCm
    const climb = hipY - shoulder.y
    if (climb > length)
      return refused({
        code: 'trunk-does-not-reach',
        key: 'seatHeightCm',
        reach: { code: 'too-far', neededCm: climb, reachCm: length },
      })
    const trunk = trunkUp(body, shoulder, degrees(Math.asin(climb / length)), 1)
    const leg = legFrom(body, trunk, { hipFlexionDeg: read(given, 'hipFlexionDeg'), kneeBendDeg: 0 }, 1)
    return ok(
      assemble({
        id: 'chair-shoulder-stand',
        body,
        parameters: given,
        skeleton: skeletonOf(
          armsAlongFloor(body, shoulder, 90),
          trunk,
          [leg, leg],
          headOnFloor(body, shoulder, -1),
        ),
        supports: {
          groups: [
            on(patchAround('shoulders', 0, SHOULDER_HALF * body.statureCm, support)),
            // From the front edge to the middle of the seat.
            on({
              part: 'seat',
              fromCm: trunk.hip.x - 4,
              toCm: trunk.hip.x + 20,
              nominalCm: trunk.hip.x,
              heightCm: seat,
            }),
          ],
        },
      }),
    )
  },
}

/** Sacrum on a stack of slabs, calves level on a chair seat. */
const PELVIS_ON_STACK: PositionSpec = {
  id: 'pelvis-on-stack',
  name: 'Pelvis on a stack, legs over a chair',
  parameters: [
    cm('stackHeightCm', 'Stack under the sacrum', 5, 35, 17),
    cm('seatHeightCm', 'Chair seat height', 35, 55, 45),
  ],
  solve: (body, given) => {
    const stack = read(given, 'stackHeightCm')
    const seat = read(given, 'seatHeightCm')
    const shoulder = shoulderAt(body, 0)
    const { thigh, shank, trunk: trunkLength } = body.length
    const hipY = stack + SEAT_DEPTH * body.statureCm
    const trunk = trunkUp(
      body,
      shoulder,
      degrees(Math.asin(Math.min(1, Math.max(0, (hipY - shoulder.y) / trunkLength.valueCm)))),
      1,
    )
    const knee = { x: 0, y: seat + CALF_HALF * body.statureCm }
    const climb = knee.y - trunk.hip.y
    if (climb > thigh.valueCm)
      return refused({
        code: 'legs-do-not-reach',
        key: 'stackHeightCm',
        reach: { code: 'too-far', neededCm: climb, reachCm: thigh.valueCm },
      })
    const kneeX = trunk.hip.x + Math.sqrt(thigh.valueCm ** 2 - climb ** 2)
    const ankle = { x: kneeX + shank.valueCm, y: knee.y }
    const placed = { x: kneeX, y: knee.y }
    const leg: Leg = { knee: placed, ...footInAir(body, ankle, direction(placed, ankle), -1) }
    const { shank: s, foot: f } = body.mass
    return ok(
      assemble({
        id: 'pelvis-on-stack',
        body,
        parameters: given,
        skeleton: skeletonOf(
          armsAlongFloor(body, shoulder, 90),
          trunk,
          [leg, leg],
          headOnFloor(body, shoulder, -1),
        ),
        supports: {
          groups: [
            on({
              part: 'upperBack',
              fromCm: -SHOULDER_HALF * body.statureCm,
              toCm: 0.5 * trunk.waist.x,
              nominalCm: 0.15 * trunk.waist.x,
            }),
            on(patchAround('seat', trunk.hip.x, 0.048 * body.statureCm, stack)),
          ],
          // Lower legs lie on the seat; the thighs' far halves hang on the knees.
          given: {
            part: 'prop',
            at: { x: (placed.x + ankle.x) / 2, y: seat },
            share: 2 * (s.mass + f.mass) + body.mass.thigh.mass * body.mass.thigh.com * 2,
            horizontalShare: 0,
          },
        },
      }),
    )
  },
}
/** Half a calf's thickness, as a fraction of stature. */
export const CALF_HALF = 0.03

/** Back on the floor or the pelvis on a bolster, heels on the wall. */
const LEGS_UP: PositionSpec = {
  id: 'legs-up-wall',
  name: 'Legs up the wall',
  parameters: [
    cm('seatDistanceCm', 'Seat from the wall', 0, 45, 12),
    cm('bolsterHeightCm', 'Pelvis raised by', 0, 22, 0),
    tuned(FRICTION, { usual: 0.2 }),
    tuned(HIP_RANGE, { usual: 110 }),
  ],
  solve: (body, given) => {
    const bolster = read(given, 'bolsterHeightCm')
    const shoulder = shoulderAt(body, 0)
    const hipY = bolster + SEAT_DEPTH * body.statureCm
    const trunk = trunkUp(
      body,
      shoulder,
      degrees(Math.asin((hipY - shoulder.y) / body.length.trunk.valueCm)),
      1,
    )
    const wallX = trunk.hip.x + SEAT_DEPTH * body.statureCm + read(given, 'seatDistanceCm')
    const at = (tilt: number): Leg => legAlong(body, trunk.hip, tilt, 0, 1)
    const tilt = turnFor((t) => at(t).heel.x, wallX, -30, 80)
    if (tilt === null)
      return refused({
        code: 'legs-do-not-reach',
        key: 'seatDistanceCm',
        reach: { code: 'too-far', neededCm: wallX - trunk.hip.x, reachCm: legLength(body) },
      })
    const leg = at(tilt)
    const limited = withinRanges(
      given,
      { hip: 180 - angleAt(trunk.hip, trunk.shoulder, leg.knee) },
      'seatDistanceCm',
    )
    if (!limited.ok) return limited
    return ok(
      assemble({
        id: 'legs-up-wall',
        body,
        parameters: given,
        skeleton: skeletonOf(
          armsAlongFloor(body, shoulder, 90),
          trunk,
          [leg, leg],
          headOnFloor(body, shoulder, -1),
        ),
        wallX,
        supports: {
          groups: [
            on({ part: 'upperBack', fromCm: 0, toCm: 0.7 * trunk.waist.x, nominalCm: 0.3 * trunk.waist.x }),
            on(patchAround('seat', trunk.hip.x, 0.04 * body.statureCm, bolster)),
          ],
          wall: {
            part: 'wallFeet',
            at: leg.heel,
            friction: read(given, 'wallFriction'),
            frictionUse: 0,
            push: restingLegPush(body, trunk.hip, leg),
          },
        },
      }),
    )
  },
}

/** What leaning legs put on the wall: their own moment about the hip over the height of the heel. */
function restingLegPush(body: Body, hip: Point, leg: Leg): number {
  const { thigh, shank, foot } = body.mass
  const mass = 2 * (thigh.mass + shank.mass + foot.mass)
  const middleX = (hip.x + leg.ankle.x) / 2
  return Math.max(0, (mass * (middleX - hip.x)) / (leg.heel.y - hip.y))
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

export const SHOULDER_STANDS: readonly PositionSpec[] = [
  HALF,
  WALL_SUPPORTED,
  freeShoulderStand({
    id: 'platform-shoulder-stand',
    name: 'Shoulder stand on a platform',
    parameters: [PLATFORM, TRUNK(80), HIP(perBody(balancingFold(80, 7.5)))],
  }),
  CHAIR,
  freeShoulderStand({
    id: 'shoulder-stand-straight',
    name: 'Shoulder stand, flat',
    parameters: [TRUNK(82), HIP(perBody(balancingFold(82, 0)))],
  }),
  plough(
    'plough-wall',
    'Plough, feet on the wall',
    [
      PLATFORM,
      cm('footDistanceCm', 'Platform edge from the wall', 40, 120, innerLeg),
      cm('footHeightCm', 'Feet on the wall, height', 10, 90, (body) => 0.33 * body.statureCm),
      TRUNK(80),
      tuned(FRICTION, { usual: 0.4 }),
      HIP_RANGE,
    ],
    true,
  ),
  plough(
    'plough-floor',
    'Plough, feet on the floor or a seat',
    [
      PLATFORM,
      cm('footDistanceCm', 'Toes from the platform edge', 20, 120, (body) => 0.42 * body.statureCm),
      cm('footHeightCm', 'Feet raised by', 0, 60, 0),
      TRUNK(80),
      tuned(HIP_RANGE, { usual: 145 }),
    ],
    false,
  ),
  HANDS_ON_WALL,
  PELVIS_ON_STACK,
  LEGS_UP,
]
