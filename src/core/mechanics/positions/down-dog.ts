import type { Body } from '../../body/estimate'
import { ok, refused, type Result } from '../../result'
import { bentKnee, withinRanges } from '../frame'
import { joinLinks, spanAcross } from '../linkage'
import {
  HEEL_LIFT,
  HIP_RANGE,
  KNEE_BEND,
  LEAD_LEG,
  parameter,
  read,
  SHOULDER_RANGE,
  tuned,
  type Parameter,
} from '../parameters'
import { angleAt, between, type Point } from '../point'
import { armLength, legAlong, legLength, skeletonOf, trunkBetween, type Trunk } from '../pose'
import { assemble, type PositionRefusal, type PositionSpec } from '../position'
import { footOnBall, type Leg, type Skeleton } from '../skeleton'
import { on } from '../contacts'
import { handBase, handPatch, pointPatch } from '../surfaces'
import { placeArms } from './plank'

const { cm, deg } = parameter

export const SHOULDER_ANGLE = deg('shoulderAngleDeg', 'Arms to trunk', 120, 190, 175)
const DISTANCE = cm('footDistanceCm', 'Balls of the feet from the wrists', 40, 180, (b) => 0.7 * b.statureCm)

const PARAMETERS: readonly Parameter[] = [
  DISTANCE,
  SHOULDER_ANGLE,
  KNEE_BEND,
  HEEL_LIFT,
  HIP_RANGE,
  SHOULDER_RANGE,
]

export type Upper = { readonly arms: Pick<Skeleton, 'elbow' | 'wrist' | 'fingertip'>; readonly trunk: Trunk }

/**
 * Arms and trunk as one bent link between what the arms stand on (the wrist, or the elbow a little above the floor) and a
 * placed ankle, legs as the other; each with its own span, cm.
 */
export function hipOverHands(
  body: Body,
  shoulderAngleDeg: number,
  arm: { readonly support?: Point; readonly spanCm: number },
  leg: { readonly ankle: Point; readonly spanCm: number },
  key: string,
): Result<{ shoulder: Point; hip: Point }, PositionRefusal> {
  const trunk = body.length.trunk.valueCm
  const { support = { x: 0, y: 0 }, spanCm: armSpan } = arm
  const { ankle, spanCm: legSpan } = leg
  const reach = spanAcross(armSpan, trunk, shoulderAngleDeg)
  const hip = joinLinks(support, reach, ankle, legSpan, 'up')
  if (!hip.ok) return refused({ code: 'legs-do-not-reach', key, reach: hip.refusal })
  // An open angle under 180° leaves the shoulders on the outer side, away from the feet.
  const outer = ankle.x < 0 ? 'front' : 'back'
  const inner = ankle.x < 0 ? 'back' : 'front'
  const shoulder = joinLinks(support, armSpan, hip.value, trunk, shoulderAngleDeg <= 180 ? outer : inner)
  // Exactly straight: rounding may leave the links a hair apart.
  const straight = between(support, hip.value, armSpan / reach)
  return ok({ hip: hip.value, shoulder: shoulder.ok ? shoulder.value : straight })
}

function downDog(id: string, name: string, parameters: readonly Parameter[]): PositionSpec {
  return {
    id,
    name,
    parameters,
    solve: (body, given) => {
      const ballX = -read(given, 'footDistanceCm')
      const foot = footOnBall(body, { x: ballX, y: 0 }, read(given, 'heelLiftDeg'))
      const legSpan = spanAcross(
        body.length.thigh.valueCm,
        body.length.shank.valueCm,
        180 - read(given, 'kneeBendDeg'),
      )
      const placed = hipOverHands(
        body,
        read(given, 'shoulderAngleDeg'),
        { spanCm: armLength(body) },
        { ankle: foot.ankle, spanCm: legSpan },
        'footDistanceCm',
      )
      if (!placed.ok) return placed
      const { shoulder, hip } = placed.value
      const arms = placeArms(body, shoulder)
      if (!arms.ok) return arms
      const knee = bentKnee(body, hip, foot.ankle)
      const limited = withinRanges(
        given,
        { hip: 180 - angleAt(hip, shoulder, knee), shoulder: angleAt(shoulder, hip, arms.value.elbow) },
        'footDistanceCm',
      )
      if (!limited.ok) return limited
      const leg: Leg = { knee, ...foot }
      const lifted = given.leadLegDeg === undefined ? leg : legAlong(body, hip, given.leadLegDeg - 90, 0, 1)
      return ok(
        assemble({
          id,
          body,
          parameters: given,
          skeleton: skeletonOf(arms.value, trunkBetween(body, shoulder, hip), [leg, lifted]),
          base: { fromCm: ballX, toCm: handBase(body).toCm },
          supports: { groups: [on(pointPatch('toes', ballX)), on(handPatch(body))] },
        }),
      )
    },
  }
}

/** Feet this far from the wrists make the short dog: heels at the wall, hands at seated leg length. */
const shortDistance = (body: Body): number =>
  legLength(body) + body.length.ankleHeight.valueCm - 0.73 * body.length.foot.valueCm

export const DOWN_DOGS: readonly PositionSpec[] = [
  downDog('down-dog-long', 'Downward dog, long', PARAMETERS),
  downDog(
    'down-dog-short',
    'Downward dog, short',
    PARAMETERS.map((p) =>
      p === DISTANCE
        ? tuned(p, { usual: shortDistance })
        : p === HIP_RANGE
          ? tuned(p, { usual: 140 })
          : p === HEEL_LIFT
            ? tuned(p, { usual: 10 })
            : p,
    ),
  ),
  downDog('down-dog-leg-lifted', 'Downward dog, one leg lifted', [...PARAMETERS, LEAD_LEG]),
]
