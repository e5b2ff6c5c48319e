import { seatedLegOf } from '../../body/derived'
import type { Body } from '../../body/estimate'
import { ok, refused, type Result } from '../../result'
import { bentKnee, withinRanges } from '../frame'
import { joinLinks, spanAcross } from '../linkage'
import {
  HEEL_LIFT,
  HIP_RANGE,
  KNEE_BEND,
  parameter,
  read,
  SHOULDER_RANGE,
  tuned,
  type Parameter,
  type Parameters,
} from '../parameters'
import { angleAt, rise, type Point } from '../point'
import {
  armLength,
  ELBOW_HEIGHT,
  legAlong,
  legLength,
  restingForearms,
  skeletonOf,
  trunkBetween,
} from '../pose'
import { assemble, type Position, type PositionRefusal, type PositionSpec } from '../position'
import { footOnBall, type Leg, type Skeleton } from '../skeleton'
import { on, type Supports } from '../contacts'
import { forearmPatch, handPatch, pointPatch, type ArmKind } from '../surfaces'
import { hipOverHands, SHOULDER_ANGLE } from './down-dog'

const { cm, deg, share } = parameter

/** Soles press as well as rest: half of the friction is taken as used, so a right angle's hands carry a little less than everything. */
const SOLE_FRICTION_USE = 0.5

const FRICTION = share('wallFriction', 'Wall friction', 0, 0.5, 0.3)
const distance = (usual: Parameter['usual']): Parameter =>
  cm('handDistanceCm', 'Heels of the hands (or elbows) from the wall', 40, 150, usual)
const footHeight = (usual: Parameter['usual']): Parameter =>
  cm('footHeightCm', 'Feet on the wall, height', 10, 150, usual)

const seatedLeg = (body: Body): number => seatedLegOf(body).valueCm
const hipOver: Record<ArmKind, (body: Body) => number> = {
  hands: (body) => armLength(body) + body.length.trunk.valueCm,
  forearms: (body) =>
    ELBOW_HEIGHT * body.statureCm + body.length.upperArm.valueCm + body.length.trunk.valueCm,
}

const SHARED: readonly Parameter[] = [
  tuned(SHOULDER_ANGLE, { usual: 180 }),
  tuned(KNEE_BEND, { usual: 0 }),
  FRICTION,
  HIP_RANGE,
  SHOULDER_RANGE,
]

/** Second leg straight up, or a little past upright. */
const RAISED_LEG = deg('raisedLegDeg', 'Lifted leg above the level', 0, 130, 90)

type Kind = { id: string; name: string; arms: ArmKind; parameters: readonly Parameter[] }

function rightAngle({ id, name, arms, parameters }: Kind): PositionSpec {
  return { id, name, parameters, solve: (body, given) => solve(id, arms, body, given) }
}

/** Arms on the floor, soles on the wall; the belly faces the wall, fingers point away from it. */
function solve(id: string, kind: ArmKind, body: Body, given: Parameters): Result<Position, PositionRefusal> {
  const wallX = read(given, 'handDistanceCm')
  const ankle = { x: wallX - body.length.ankleHeight.valueCm, y: read(given, 'footHeightCm') }
  const upper = upperOver(kind, body, given, ankle)
  if (!upper.ok) return upper
  const { arms, shoulder, hip } = upper.value
  const knee = bentKnee(body, hip, ankle, 'down')
  const limited = withinRanges(
    given,
    { hip: 180 - angleAt(hip, shoulder, knee), shoulder: angleAt(shoulder, hip, arms.elbow) },
    'footHeightCm',
  )
  if (!limited.ok) return limited
  const onWall = soleOnWall(body, knee, ankle, wallX)
  const lifted =
    given.raisedLegDeg === undefined ? onWall : legAlong(body, hip, 90 - given.raisedLegDeg, 0, -1)
  return ok(
    assemble({
      id,
      body,
      parameters: given,
      facing: -1,
      skeleton: skeletonOf(arms, trunkBetween(body, shoulder, hip), [onWall, lifted]),
      wallX,
      supports: {
        groups: [on(kind === 'hands' ? handPatch(body, -1) : forearmPatch(body, shoulder.x, -1))],
        wall: {
          part: 'wallFeet',
          at: { x: wallX, y: ankle.y },
          friction: read(given, 'wallFriction'),
          frictionUse: SOLE_FRICTION_USE,
        },
      },
    }),
  )
}

function upperOver(
  kind: ArmKind,
  body: Body,
  given: Parameters,
  ankle: Point,
): Result<
  { arms: Pick<Skeleton, 'elbow' | 'wrist' | 'fingertip'>; shoulder: Point; hip: Point },
  PositionRefusal
> {
  const legSpan = spanAcross(
    body.length.thigh.valueCm,
    body.length.shank.valueCm,
    180 - read(given, 'kneeBendDeg'),
  )
  const armSpan = kind === 'hands' ? armLength(body) : body.length.upperArm.valueCm
  const placed = hipOverHands(
    body,
    read(given, 'shoulderAngleDeg'),
    { support: { x: 0, y: kind === 'hands' ? 0 : ELBOW_HEIGHT * body.statureCm }, spanCm: armSpan },
    { ankle, spanCm: legSpan },
    'handDistanceCm',
  )
  if (!placed.ok) return placed
  const { shoulder, hip } = placed.value
  return ok({ arms: armsAway(body, kind, shoulder), shoulder, hip })
}

/** Arms with the fingers pointing away from the wall; straight between the wrist and a placed shoulder. */
function armsAway(
  body: Body,
  kind: ArmKind,
  shoulder: Point,
): Pick<Skeleton, 'elbow' | 'wrist' | 'fingertip'> {
  const { forearm, hand } = body.length
  if (kind === 'forearms') return restingForearms(body, -1)
  const part = forearm.valueCm / armLength(body)
  return {
    wrist: { x: 0, y: 0 },
    fingertip: { x: 0 - hand.valueCm, y: 0 },
    elbow: { x: shoulder.x * part, y: shoulder.y * part },
  }
}

/** Half a foot's thickness at the sole, as a fraction of stature. */
const SOLE_HALF = 0.018

/** A sole flat on the wall, toes hanging towards the head. */
export function soleOnWall(body: Body, knee: Point, ankle: Point, wallX: number): Leg {
  const foot = body.length.foot.valueCm
  // The line of the foot lies half its own thickness off the wall.
  const x = wallX - Math.sign(wallX - ankle.x) * SOLE_HALF * body.statureCm
  return { knee, ankle, heel: { x, y: ankle.y + 0.25 * foot }, toe: { x, y: ankle.y - 0.75 * foot } }
}

/** The same foot turned to point away from the wall. */
function mirroredFoot(foot: Omit<Leg, 'knee'>): Omit<Leg, 'knee'> {
  const flip = ({ x, y }: Point): Point => ({ x: -x, y })
  return { ankle: flip(foot.ankle), heel: flip(foot.heel), toe: flip(foot.toe) }
}

/** Short dog with one sole already on the wall: the other foot has stepped in. */
const FOOT_ON_WALL: PositionSpec = {
  id: 'foot-on-wall',
  name: 'One foot on the wall',
  parameters: [
    distance(seatedLeg),
    footHeight((body) => 0.6 * body.statureCm),
    cm('stepCm', 'Standing foot from the wall', 10, 80, (body) => 0.16 * body.statureCm),
    HEEL_LIFT,
    tuned(SHOULDER_ANGLE, { usual: 175 }),
    FRICTION,
    tuned(HIP_RANGE, { usual: 140 }),
    SHOULDER_RANGE,
  ],
  solve: (body, given) => {
    const wallX = read(given, 'handDistanceCm')
    const { ankleHeight } = body.length
    // The standing foot has stepped in on its ball, so that the hips are carried far enough to fold the other leg.
    const ballX = wallX - read(given, 'stepCm')
    const foot = mirroredFoot(footOnBall(body, { x: -ballX, y: 0 }, read(given, 'heelLiftDeg')))
    const planted = foot.ankle
    const upper = hipOverHands(
      body,
      read(given, 'shoulderAngleDeg'),
      { spanCm: armLength(body) },
      { ankle: planted, spanCm: legLength(body) },
      'handDistanceCm',
    )
    if (!upper.ok) return upper
    const { shoulder, hip } = upper.value
    const ankle = { x: wallX - ankleHeight.valueCm, y: read(given, 'footHeightCm') }
    const knee = joinLinks(hip, body.length.thigh.valueCm, ankle, body.length.shank.valueCm, 'down')
    if (!knee.ok) return refused({ code: 'legs-do-not-reach', key: 'footHeightCm', reach: knee.refusal })
    const arms = armsAway(body, 'hands', shoulder)
    const standing: Leg = {
      knee: rise(
        hip,
        body.length.thigh.valueCm,
        (Math.atan2(planted.x - hip.x, planted.y - hip.y) * 180) / Math.PI,
      ),
      ...foot,
    }
    const limited = withinRanges(
      given,
      {
        hip: Math.max(...[standing.knee, knee.value].map((at) => 180 - angleAt(hip, shoulder, at))),
        shoulder: angleAt(shoulder, hip, arms.elbow),
      },
      'stepCm',
    )
    if (!limited.ok) return limited
    const friction = read(given, 'wallFriction')
    return ok(
      assemble({
        id: 'foot-on-wall',
        body,
        parameters: given,
        facing: -1,
        skeleton: skeletonOf(arms, trunkBetween(body, shoulder, hip), [
          standing,
          soleOnWall(body, knee.value, ankle, wallX),
        ]),
        wallX,
        supports: {
          groups: [on(handPatch(body, -1)), on(pointPatch('toes', ballX))],
          wall: {
            part: 'wallFeet',
            at: { x: wallX, y: ankle.y },
            friction,
            frictionUse: SOLE_FRICTION_USE,
            push: restingPush(body, friction),
          },
        } satisfies Supports,
      }),
    )
  },
}

/**
 * A leg resting on the wall between hip and sole like a plank on two trestles hangs about half its weight on the sole;
 * the sole must push as hard as the friction needs to hold that.
 */
function restingPush(body: Body, friction: number): number {
  const { thigh, shank, foot } = body.mass
  const half = (thigh.mass + shank.mass + foot.mass) / 2
  return friction > 0 ? Math.min(0.3, half / (SOLE_FRICTION_USE * friction) / 2) : 0
}

export const AT_THE_WALL: readonly PositionSpec[] = [
  FOOT_ON_WALL,
  rightAngle({
    id: 'right-angle-hands',
    name: 'Right angle on the hands',
    arms: 'hands',
    parameters: [distance(seatedLeg), footHeight(hipOver.hands), ...SHARED],
  }),
  rightAngle({
    id: 'right-angle-forearms',
    name: 'Right angle on the forearms',
    arms: 'forearms',
    parameters: [distance(seatedLeg), footHeight(hipOver.forearms), ...SHARED],
  }),
  rightAngle({
    id: 'right-angle-hands-leg-lifted',
    name: 'Right angle on the hands, one leg lifted',
    arms: 'hands',
    parameters: [distance(seatedLeg), footHeight(hipOver.hands), RAISED_LEG, ...SHARED],
  }),
  rightAngle({
    id: 'right-angle-forearms-leg-lifted',
    name: 'Right angle on the forearms, one leg lifted',
    arms: 'forearms',
    parameters: [distance(seatedLeg), footHeight(hipOver.forearms), RAISED_LEG, ...SHARED],
  }),
  rightAngle({
    id: 'box-walk-up',
    name: 'Walking up to the right angle',
    arms: 'hands',
    parameters: [
      distance(seatedLeg),
      footHeight((body) => 0.38 * body.statureCm),
      ...SHARED.map((p) =>
        p.key === 'kneeBendDeg' ? { ...p, usual: 35 } : p.key === 'hipRangeDeg' ? { ...p, usual: 150 } : p,
      ),
    ],
  }),
]
