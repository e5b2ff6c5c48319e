import type { Body } from '../body/estimate'
import { ok, refused, type Result } from '../result'
import { joinLinks, spanAcross } from './linkage'
import { read, type Parameters } from './parameters'
import { angleAt, between, type Point } from './point'
import { legLength, trunkBetween, type Trunk } from './pose'
import type { PositionRefusal } from './position'
import { footOnBall, type Leg } from './skeleton'

export type Frame = { readonly trunk: Trunk; readonly leg: Leg; readonly ballX: number }

/**
 * The closed chain shoulder → hip → ankle → ball of the foot, shoulder given: the hip lies where the trunk's circle
 * about the shoulder meets the leg's circle about the ankle, the higher of the two.
 * Reads `toeDistanceCm`, `kneeBendDeg`, `heelLiftDeg`, `hipRangeDeg` and, where given, `shoulderRangeDeg`.
 * @param elbow what the upper arm starts from: the angle at the shoulder is taken to it
 * @param toeHeightCm what the balls of the feet stand on
 */
export function plantedFrame(
  body: Body,
  parameters: Parameters,
  shoulder: Point,
  elbow: Point,
  toeHeightCm = 0,
): Result<Frame, PositionRefusal> {
  const ballX = -read(parameters, 'toeDistanceCm')
  const foot = footOnBall(body, { x: ballX, y: toeHeightCm }, read(parameters, 'heelLiftDeg'))
  const { thigh, shank, trunk: trunkLength } = body.length
  const legSpan = spanAcross(thigh.valueCm, shank.valueCm, 180 - read(parameters, 'kneeBendDeg'))
  const hip = joinLinks(shoulder, trunkLength.valueCm, foot.ankle, legSpan, 'up')
  if (!hip.ok) return refused({ code: 'legs-do-not-reach', key: 'toeDistanceCm', reach: hip.refusal })
  const knee = bentKnee(body, hip.value, foot.ankle)
  const trunk = trunkBetween(body, shoulder, hip.value)
  const limited = withinRanges(parameters, {
    hip: 180 - angleAt(hip.value, shoulder, knee),
    shoulder: angleAt(shoulder, hip.value, elbow),
  })
  return limited.ok ? ok({ trunk, leg: { knee, ...foot }, ballX }) : limited
}

/** The knee between a placed hip and ankle, towards the wall. Rounding can leave a straight leg a hair short. */
export function bentKnee(
  body: Body,
  hip: Point,
  ankle: Point,
  side: 'front' | 'back' | 'up' | 'down' = 'front',
): Point {
  const { thigh, shank } = body.length
  const knee = joinLinks(hip, thigh.valueCm, ankle, shank.valueCm, side)
  return knee.ok ? knee.value : between(hip, ankle, thigh.valueCm / legLength(body))
}

/** Refuses what the person's own joints do not give, and names what to change. */
export function withinRanges(
  parameters: Parameters,
  needed: { hip: number; shoulder?: number },
  change = 'toeDistanceCm',
): Result<true, PositionRefusal> {
  const hip = parameters.hipRangeDeg
  if (hip !== undefined && needed.hip > hip)
    return refused({
      code: 'joint-out-of-range',
      joint: 'hip',
      neededDeg: needed.hip,
      availableDeg: hip,
      change,
    })
  const shoulder = parameters.shoulderRangeDeg
  if (shoulder !== undefined && needed.shoulder !== undefined && needed.shoulder > shoulder)
    return refused({
      code: 'joint-out-of-range',
      joint: 'shoulder',
      neededDeg: needed.shoulder,
      availableDeg: shoulder,
      change,
    })
  return ok(true)
}
