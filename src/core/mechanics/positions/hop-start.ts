import { ok } from '../../result'
import { on } from '../contacts'
import { plantedFrame } from '../frame'
import { HEEL_LIFT, HIP_RANGE, parameter, read, tuned, type Parameter } from '../parameters'
import { armLength, skeletonOf } from '../pose'
import { assemble, type PositionSpec } from '../position'
import { handBase, handPatch, pointPatch } from '../surfaces'
import { placeArms } from './plank'

const { cm, deg } = parameter

const PARAMETERS: readonly Parameter[] = [
  cm('toeDistanceCm', 'Balls of the feet behind the wrists', 0, 60, (body) => body.length.hand.valueCm),
  // With upright arms nearly all of the weight is behind the feet: nobody springs from there.
  cm('shoulderOffsetCm', 'Shoulders ahead of the wrists', -15, 20, (body) => 0.06 * body.statureCm),
  deg('kneeBendDeg', 'Knees bent', 0, 110, 40),
  tuned(HEEL_LIFT, { usual: 55 }),
  // The belly lies on the thighs and the back rounds: more than hips alone fold.
  tuned(HIP_RANGE, { usual: 170 }),
]

/**
 * Before both feet spring: hands flat, shoulders a little past the wrists, feet a hand behind them, heels high. About half of the
 * weight is on the hands already, which a picture in the air cannot say.
 */
export const HOP_START: PositionSpec = {
  id: 'handstand-hop-start',
  name: 'Handstand, hop start',
  parameters: PARAMETERS,
  solve: (body, parameters) => {
    const ahead = read(parameters, 'shoulderOffsetCm')
    const shoulder = { x: ahead, y: Math.sqrt(armLength(body) ** 2 - ahead ** 2) }
    const arms = placeArms(body, shoulder)
    if (!arms.ok) return arms
    const frame = plantedFrame(body, parameters, shoulder, arms.value.elbow)
    if (!frame.ok) return frame
    const { trunk, leg, ballX } = frame.value
    return ok(
      assemble({
        id: 'handstand-hop-start',
        body,
        parameters,
        skeleton: skeletonOf(arms.value, trunk, [leg, leg]),
        base: { fromCm: ballX, toCm: handBase(body).toCm },
        supports: { groups: [on(pointPatch('toes', ballX)), on(handPatch(body))] },
      }),
    )
  },
}
