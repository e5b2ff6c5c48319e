import { derivedLengths } from '../body/derived'
import type { Body } from '../body/estimate'
import { solvePosition } from '../mechanics/positions/catalogue'
import type { Position, PositionRefusal } from '../mechanics/position'
import { ok, type Result } from '../result'
import type { Dimension } from './scene'
import type { Placement, SetupOptions } from './setup'

/** A hold on the opposite upper arms finds elbow width to within this, cm (props.md M1: ± 3). */
const OPPOSITE_ARMS_ERROR_CM = 3

/** Start (forearm plank distance, walked half-way) and target dolphin for a body, before any prop. */
export function dolphinPair(
  body: Body,
  options: SetupOptions,
): Result<{ start: Position; target: Position }, PositionRefusal> {
  const given = {
    ...(options.toeDistanceCm === undefined ? {} : { toeDistanceCm: options.toeDistanceCm }),
    ...(options.kneeBendDeg === undefined ? {} : { kneeBendDeg: options.kneeBendDeg }),
  }
  const target = solvePosition('dolphin', body, given)
  if (!target.ok) return target
  const far = solvePosition('dolphin', body, { ...given, toeDistanceCm: farther(target.value) })
  return ok({ target: target.value, start: far.ok ? far.value : target.value })
}

/** Elbows as wide as the shoulder joints: found by holding opposite upper arms. */
export function elbowWidth(body: Body): Placement {
  const { jointWidth } = derivedLengths(body)
  return {
    key: 'elbow-width',
    line: 'elbow',
    valueCm: jointWidth.valueCm,
    withinCm: 2 * jointWidth.sdCm,
    fromCm: jointWidth.valueCm - 2,
    toCm: jointWidth.valueCm + 2,
    bodyWay: { measure: 'M1', withinCm: OPPOSITE_ARMS_ERROR_CM, numbers: {} },
  }
}

/** Balls of the feet from the elbows, told in the person's own foot lengths. */
export function walkIn(target: Position): Placement {
  const { body } = target
  const valueCm = -target.base.fromCm
  const foot = body.length.foot
  return {
    key: 'walk-in',
    line: 'ball-of-foot',
    valueCm,
    withinCm: 5,
    // props.md M15: 0.35–0.65 of stature.
    fromCm: 0.35 * body.statureCm,
    toCm: 0.65 * body.statureCm,
    bodyWay: {
      measure: 'M15',
      withinCm: foot.valueCm / 2,
      numbers: { feet: Math.round((valueCm / foot.valueCm) * 2) / 2 },
    },
  }
}

/** The walk-in drawn under the floor. */
export function walkInDimension(target: Position): Dimension {
  return {
    key: 'walk-in',
    from: { x: target.base.fromCm, y: 0 },
    to: { x: 0, y: 0 },
    valueCm: -target.base.fromCm,
    offsetCm: -24,
  }
}

function farther(target: Position): number {
  return Math.min(140, -target.base.fromCm + 0.16 * target.body.statureCm)
}
