import type { Body } from '../../body/estimate'
import { ok, refused, type Result } from '../../result'
import { joinLinks, spanAcross } from '../linkage'
import { read, parameter, type Parameter, type Parameters } from '../parameters'
import { add, direction, type Point } from '../point'
import { armLength, ELBOW_HEIGHT, legLength, restingForearms, skeletonOf, trunkBetween } from '../pose'
import { assemble, type Position, type PositionRefusal, type PositionSpec } from '../position'
import { centreOfMass, footInAir, footOnBall, type Leg, type Skeleton } from '../skeleton'
import { on, type LoadRange, type Patch } from '../contacts'
import { forearmBase, forearmPatch, handBase, handPatch, pointPatch } from '../surfaces'

/** Heels over the balls of the feet. */
const PLANK_HEEL_LIFT_DEG = 65
/** A sideways foot stands on its outer edge: the ankle is half a foot's breadth up, as a fraction of ankle height. */
const SIDE_FOOT = 0.6
/** A hip this near to straight is a straight line. */
const STRAIGHT_DEG = 0.01

const { cm, deg } = parameter
const OFFSET = cm('shoulderOffsetCm', 'Shoulders ahead of the support', -10, 15, 0)
const HIP = deg('hipBendDeg', 'Hips: pike (+) or sag (−)', -30, 60, 0)
const DEPTH = cm('depthCm', 'Lowered by', 0, 45, 0)

/** The bottom of a push-up: upper arms level with the elbows, lowered by about one upper arm. */
const lowered = (body: Body): number => Math.min(DEPTH.max, body.length.upperArm.valueCm)

type Kind = { id: string; name: string; arms: 'hands' | 'forearms'; from: 'toes' | 'knees' | 'feet' }
const plank = (kind: Kind, parameters: readonly Parameter[]): PositionSpec => ({
  ...kind,
  parameters,
  solve: (body, given) => solvePlank(kind, body, given),
})

/** Everything held straight between hands or forearms and feet or knees. */
export const PLANKS: readonly PositionSpec[] = [
  plank({ id: 'high-plank', name: 'High plank', arms: 'hands', from: 'toes' }, [OFFSET, DEPTH, HIP]),
  plank({ id: 'knee-plank', name: 'Knee plank', arms: 'hands', from: 'knees' }, [OFFSET, DEPTH, HIP]),
  plank({ id: 'low-push-up', name: 'Low push-up', arms: 'hands', from: 'toes' }, [
    OFFSET,
    { ...DEPTH, usual: lowered },
    HIP,
  ]),
  plank({ id: 'low-push-up-knees', name: 'Low push-up on the knees', arms: 'hands', from: 'knees' }, [
    OFFSET,
    { ...DEPTH, usual: lowered },
    HIP,
  ]),
  plank({ id: 'incline-plank', name: 'Plank with raised hands', arms: 'hands', from: 'toes' }, [
    OFFSET,
    DEPTH,
    HIP,
    cm('handHeightCm', 'Hands raised by', 0, 140, 45),
  ]),
  plank({ id: 'forearm-plank', name: 'Forearm plank', arms: 'forearms', from: 'toes' }, [OFFSET, HIP]),
  plank({ id: 'side-plank', name: 'Side plank', arms: 'hands', from: 'feet' }, [OFFSET, HIP]),
]

function solvePlank(kind: Kind, body: Body, parameters: Parameters): Result<Position, PositionRefusal> {
  const hipBend = read(parameters, 'hipBendDeg')
  const handHeight = parameters.handHeightCm ?? 0
  const depth = parameters.depthCm ?? 0
  const arm = kind.arms === 'hands' ? armLength(body) : body.length.upperArm.valueCm
  const offset =
    read(parameters, 'shoulderOffsetCm') - (handHeight > 0 ? behindRaisedHands(body, handHeight) : 0)
  const foot = kind.arms === 'hands' ? handHeight : ELBOW_HEIGHT * body.statureCm
  const top = { x: offset, y: foot + Math.sqrt(arm ** 2 - offset ** 2) }
  const upright = lineFrom(kind.from, body, top, hipBend)
  const low = depth === 0 ? upright : lineFrom(kind.from, body, { x: offset, y: top.y - depth }, hipBend)
  if (!upright || !low)
    return refused({
      code: 'parameter-out-of-range',
      key: 'depthCm',
      value: depth,
      min: 0,
      max: Math.floor(top.y),
    })
  // Feet or knees stay put while the body is lowered, so the shoulders swing forward about them.
  const shoulder = { x: offset + upright.supportX - low.supportX, y: top.y - depth }
  const line = lineFrom(kind.from, body, shoulder, hipBend) ?? low
  const arms = kind.arms === 'hands' ? placeArms(body, shoulder, handHeight) : ok(restingForearms(body))
  if (!arms.ok) return arms
  const skeleton = skeletonOf(arms.value, trunkBetween(body, shoulder, line.hip), [line.leg, line.leg])
  const patch = kind.arms === 'hands' ? handPatch(body, 1, handHeight) : forearmPatch(body, shoulder.x)
  return ok(
    assemble({
      id: kind.id,
      body,
      parameters,
      skeleton,
      base: {
        fromCm: line.supportX,
        toCm: (kind.arms === 'hands' ? handBase(body) : forearmBase(body)).toCm,
      },
      supports: {
        groups: [on(pointPatch(kind.from, line.supportX)), on(patch)],
        pressed: handHeight > 0 ? pressedAlong(body, skeleton, line.supportX, patch) : undefined,
      },
    }),
  )
}

/**
 * On raised hands the arms are held square to the body, as somebody pushes: the shoulders lie behind the hands and the
 * feet further off. Upright arms would keep nearly all of the weight where it was.
 */
function behindRaisedHands(body: Body, handHeight: number): number {
  const [arm, line] = [armLength(body), body.length.trunk.valueCm + legLength(body)]
  const ankle = footOnBall(body, { x: 0, y: 0 }, PLANK_HEEL_LIFT_DEG).ankle.y
  const rise = Math.asin(Math.min(1, (handHeight - ankle) / Math.hypot(arm, line)))
  return settledIn(handHeight) * arm * Math.sin(Math.max(0, Math.atan2(arm, line) + rise))
}

/** From this height on somebody pushes square to the body, cm; on the floor the arms are upright. */
const SQUARE_FROM_CM = 15

/** How far a push from raised hands is one from a height: half a centimetre changes nothing at once. 0 to 1, smooth. */
function settledIn(handHeight: number): number {
  const t = Math.min(1, Math.max(0, handHeight / SQUARE_FROM_CM))
  return t * t * (3 - 2 * t)
}

/** How much of a push along the arms the working figure takes; without any the hands push straight up. */
const PUSH_ALONG = 0.5

/**
 * Raised hands press along the arms as far as the feet grip: half of it is taken, midway between hands that only push up
 * and arms that push along themselves. Both hold the body at rest, so whatever lies between does too.
 * @returns the horizontal part, as shares of body weight
 */
function pressedAlong(body: Body, skeleton: Skeleton, feetX: number, hand: Patch): LoadRange {
  const at = { x: hand.nominalCm, y: hand.heightCm ?? 0 }
  const reach = centreOfMass(body, skeleton).x - feetX
  const arm = direction(at, skeleton.shoulder)
  const along = reach / (arm.y * (at.x - feetX) - arm.x * at.y)
  const all = along * arm.x
  return { value: PUSH_ALONG * all, min: Math.min(0, all), max: Math.max(0, all) }
}

/** Hands flat at the origin, the elbow pointing back towards the feet. */
export function placeArms(
  body: Body,
  shoulder: Point,
  handHeightCm = 0,
): Result<Pick<Skeleton, 'wrist' | 'fingertip' | 'elbow'>, PositionRefusal> {
  const { upperArm, forearm, hand } = body.length
  const wrist = { x: 0, y: handHeightCm }
  const away = Math.hypot(shoulder.x, shoulder.y - handHeightCm)
  // A straight arm is exactly at its reach; rounding must not turn that into "too far".
  const fit = Math.min(1, armLength(body) / away - 1e-12)
  const target = { x: shoulder.x * fit, y: handHeightCm + (shoulder.y - handHeightCm) * fit }
  const elbow = joinLinks(wrist, forearm.valueCm, target, upperArm.valueCm, 'back')
  if (!elbow.ok) return refused({ code: 'arms-do-not-reach', key: 'shoulderOffsetCm', reach: elbow.refusal })
  if (fit < 1 - 1e-9)
    return refused({
      code: 'arms-do-not-reach',
      key: 'shoulderOffsetCm',
      reach: { code: 'too-far', neededCm: away, reachCm: armLength(body) },
    })
  return ok({ wrist, fingertip: { x: hand.valueCm, y: handHeightCm }, elbow: elbow.value })
}

type Line = { hip: Point; leg: Leg; supportX: number }

/** Shoulder, hip and feet or knees in one line, or bent at the hip; they stand where that line meets the floor. */
function lineFrom(from: Kind['from'], body: Body, shoulder: Point, hipBendDeg: number): Line | null {
  const onKnees = from === 'knees'
  const foot = footOnBall(body, { x: 0, y: 0 }, PLANK_HEEL_LIFT_DEG)
  const endY = onKnees ? 0 : from === 'toes' ? foot.ankle.y : SIDE_FOOT * body.length.ankleHeight.valueCm
  const trunk = body.length.trunk.valueCm
  const legs = onKnees ? body.length.thigh.valueCm : legLength(body)
  const whole = spanAcross(trunk, legs, 180 - Math.abs(hipBendDeg))
  const drop = shoulder.y - endY
  if (drop < 0 || drop > whole) return null
  const end = { x: shoulder.x - Math.sqrt(whole ** 2 - drop ** 2), y: endY }
  const hip = hipBetween(shoulder, trunk, end, legs, hipBendDeg)
  if (!hip) return null
  const unit = direction(hip, end)
  const knee = onKnees ? end : along(hip, unit, body.length.thigh.valueCm)
  if (!onKnees) {
    const shift = { x: end.x - foot.ankle.x, y: end.y - foot.ankle.y }
    const leg =
      from === 'toes'
        ? { knee, ankle: end, heel: add(foot.heel, shift), toe: add(foot.toe, shift) }
        : { knee, ankle: end, ...footSideways(body, end) }
    return { hip, leg, supportX: from === 'toes' ? shift.x : end.x }
  }
  // Shins lifted to a right angle, as in the published trials.
  const up = { x: unit.y, y: -unit.x }
  const ankle = along(knee, up.y > 0 ? up : { x: -up.x, y: -up.y }, body.length.shank.valueCm)
  return { hip, leg: { knee, ...footInAir(body, ankle, direction(knee, ankle), -1) }, supportX: knee.x }
}

function hipBetween(
  shoulder: Point,
  trunk: number,
  end: Point,
  legs: number,
  hipBendDeg: number,
): Point | null {
  if (Math.abs(hipBendDeg) < STRAIGHT_DEG) return along(shoulder, direction(shoulder, end), trunk)
  const hip = joinLinks(shoulder, trunk, end, legs, hipBendDeg > 0 ? 'up' : 'down')
  return hip.ok ? hip.value : null
}

function along(from: Point, unit: Point, length: number): Point {
  return { x: from.x + unit.x * length, y: from.y + unit.y * length }
}

/** Side plank: the foot is seen end on, its outer edge on the floor. */
function footSideways(body: Body, ankle: Point): Pick<Leg, 'heel' | 'toe'> {
  return { heel: { x: ankle.x - body.length.ankleHeight.valueCm / 2, y: 0 }, toe: { x: ankle.x, y: 0 } }
}
