import type { Body } from '../../body/estimate'
import { ok, refused } from '../../result'
import { HIP_RANGE, parameter, read, tuned } from '../parameters'
import type { Point } from '../point'
import { legFrom, skeletonOf, straightArms, trunkFrom, type Trunk } from '../pose'
import { assemble, type PositionSpec } from '../position'
import { turnFor } from '../turn'
import { centreOfMass, type Skeleton } from '../skeleton'
import { on } from '../contacts'
import { handBase, handPatch } from '../surfaces'
import { SEAT_DEPTH } from './supine'

const { cm, deg } = parameter

/** Hands on blocks beside the thighs, arms straight, seat and shins lifted. */
export const SEATED_LIFT: PositionSpec = {
  id: 'seated-lift',
  name: 'Seated lift on blocks',
  parameters: [
    cm('blockHeightCm', 'Hands raised by', 0, 30, 10),
    deg('hipFlexionDeg', 'Hip fold', 60, 150, 138),
    deg('kneeBendDeg', 'Knee bend', 60, 150, 150),
    deg('roundingDeg', 'Rounding of the back', 0, 70, 30),
    tuned(HIP_RANGE, { usual: 140 }),
  ],
  solve: (body, given) => {
    const height = read(given, 'blockHeightCm')
    const hipFlexionDeg = read(given, 'hipFlexionDeg')
    const available = read(given, 'hipRangeDeg')
    if (hipFlexionDeg > available)
      return refused({
        code: 'joint-out-of-range',
        joint: 'hip',
        neededDeg: hipFlexionDeg,
        availableDeg: available,
        change: 'hipFlexionDeg',
      })
    const at = (lean: number): Skeleton => {
      const arms = straightArms(body, lean)
      const up = (p: Point): Point => ({ x: p.x, y: p.y + height })
      const shoulder = up(arms.shoulder)
      // The trunk hangs from the shoulders, rounded forward, seat under them.
      const rounding = read(given, 'roundingDeg')
      const trunk: Trunk = trunkFrom(body, shoulder, 180 + rounding / 2, -rounding, 1)
      const leg = legFrom(body, trunk, { hipFlexionDeg, kneeBendDeg: read(given, 'kneeBendDeg') }, 1)
      return skeletonOf(
        { wrist: up(arms.wrist), elbow: up(arms.elbow), fingertip: up(arms.fingertip) },
        trunk,
        [leg, leg],
      )
    }
    const target = 0.3 * body.length.hand.valueCm
    const lean = turnFor((t) => centreOfMass(body, at(t)).x, target, -45, 45)
    if (lean === null)
      return refused({
        code: 'cannot-balance',
        key: 'hipFlexionDeg',
        plumbCm: target,
        fromCm: 0,
        toCm: handBase(body).toCm,
      })
    const patch = handPatch(body, 1, height)
    return ok(
      assemble({
        id: 'seated-lift',
        body,
        parameters: given,
        skeleton: at(lean),
        base: handBase(body),
        supports: { groups: [on({ ...patch, toCm: handBase(body).toCm })] },
      }),
    )
  },
}

/** What a seated lift leaves under the seat, cm; negative where the seat would still touch. */
export function seatClearance(body: Body, skeleton: Skeleton): number {
  return skeleton.hip.y - SEAT_DEPTH * body.statureCm
}
