import { seatedLegOf } from '../../body/derived'
import type { Body } from '../../body/estimate'
import { ok, refused, type Result } from '../../result'
import { bentKnee, plantedFrame } from '../frame'
import { joinLinks } from '../linkage'
import {
  FRICTION,
  HEEL_LIFT,
  HIP_RANGE,
  KNEE_BEND,
  parameter,
  perBody,
  read,
  tuned,
  type Parameter,
  type Parameters,
} from '../parameters'
import { rise, type Point } from '../point'
import { legFrom, legLength, skeletonOf, trunkBetween, trunkFrom } from '../pose'
import { assemble, type PositionRefusal, type PositionSpec } from '../position'
import { turnFor } from '../turn'
import { centreOfMass, mirrored, type Skeleton } from '../skeleton'
import { on, type Patch } from '../contacts'
import { handPatch, patchAround, pointPatch } from '../surfaces'
import { soleOnWall } from './right-angle'
import { both, CROWN, FOREARM_LIFT, headstand, LEAN, onCrown, triangle, type Legs } from './head-base'

const { cm, deg } = parameter

/** Where load in front comes down between elbows and crown: free within the range, and light on the crown midway. */
const MIDWAY = 0.5

/** Feet walked in, crown light: toes, forearms and crown share. */
const BASE: PositionSpec = {
  id: 'headstand-base',
  name: 'Headstand base, feet walked in',
  parameters: [
    CROWN,
    FOREARM_LIFT,
    cm('toeDistanceCm', 'Balls of the feet from the elbows', 20, 140, (body) => 0.4 * body.statureCm),
    KNEE_BEND,
    HEEL_LIFT,
    tuned(HIP_RANGE, { usual: 140 }),
  ],
  solve: (body, given) => {
    const base = triangle(body, given)
    if (!base.ok) return base
    const { arms, shoulder, crown, group } = base.value
    const frame = plantedFrame(body, given, shoulder, arms.elbow)
    if (!frame.ok) return frame
    const { trunk, leg, ballX } = frame.value
    return ok(
      onCrown(
        assemble({
          id: 'headstand-base',
          body,
          parameters: given,
          skeleton: skeletonOf(arms, trunk, [leg, leg], crown),
          base: { fromCm: ballX, toCm: arms.fingertip.x },
          // What comes down in front is taken midway between elbows and crown, where somebody keeps the crown light.
          supports: { groups: [on(pointPatch('toes', ballX)), group(MIDWAY * crown.x)] },
        }),
        base.value,
      ),
    )
  },
}

/** Right angle with the soles on the wall, crown light; fingers point away from the wall. */
const AT_WALL: PositionSpec = {
  id: 'headstand-right-angle',
  name: 'Headstand, right angle at the wall',
  parameters: [
    CROWN,
    FOREARM_LIFT,
    cm('elbowDistanceCm', 'Elbows from the wall', 40, 140, (body) => seatedLegOf(body).valueCm),
    tuned(FRICTION, { usual: 0.3 }),
  ],
  solve: (body, given) => {
    const base = triangle(body, given)
    if (!base.ok) return base
    const { arms, shoulder, crown, group } = base.value
    const wallX = read(given, 'elbowDistanceCm')
    // Built with the legs away from the wall like every other headstand, and turned round at the end.
    const ankle = { x: body.length.ankleHeight.valueCm - wallX, y: shoulder.y + body.length.trunk.valueCm }
    const hip = joinLinks(shoulder, body.length.trunk.valueCm, ankle, legLength(body), 'up')
    if (!hip.ok) return refused({ code: 'legs-do-not-reach', key: 'elbowDistanceCm', reach: hip.refusal })
    const trunk = trunkBetween(body, shoulder, hip.value)
    const sole = soleOnWall(body, bentKnee(body, hip.value, ankle, 'down'), ankle, -wallX)
    const [forearms, head] = group(0).patches
    return ok(
      onCrown(
        assemble({
          id: 'headstand-right-angle',
          body,
          parameters: given,
          facing: -1,
          skeleton: mirrored(skeletonOf(arms, trunk, [sole, sole], crown)),
          wallX,
          base: { fromCm: -arms.fingertip.x, toCm: 0 },
          supports: {
            groups: [
              {
                patches: [turned(head), turned(forearms)],
                throughCm: -MIDWAY * crown.x,
              },
            ],
            anchor: 1,
            wall: {
              part: 'wallFeet',
              at: { x: wallX, y: ankle.y },
              friction: read(given, 'wallFriction'),
              frictionUse: 0.5,
            },
          },
        }),
        base.value,
      ),
    )
  },
}

function turned(patch: Patch): Patch {
  return { ...patch, fromCm: -patch.toCm, toCm: -patch.fromCm, nominalCm: -patch.nominalCm }
}

/** Crown and two hands; forearms upright, fingers towards the crown. */
const TRIPOD: PositionSpec = {
  id: 'headstand-tripod',
  name: 'Headstand on crown and hands',
  parameters: [
    cm('crownDistanceCm', 'Crown from the wrist line', 8, 40, (body) => 0.87 * body.length.forearm.valueCm),
    tuned(LEAN, { usual: perBody(tripodLean) }),
    deg('hipFlexionDeg', 'Hip fold', 0, 140, 110),
    deg('kneeBendDeg', 'Knee bend', 0, 150, 130),
  ],
  solve: (body, given) => {
    const made = tripodFigure(body, given)
    if (!made.ok) return made
    const { skeleton, crown } = made.value
    return ok(
      assemble({
        id: 'headstand-tripod',
        body,
        parameters: given,
        skeleton,
        base: { fromCm: 0, toCm: crown.x },
        supports: { groups: [on(handPatch(body)), on(pointPatch('crown', crown.x))] },
      }),
    )
  },
}

function tripodFigure(
  body: Body,
  given: Parameters,
): Result<{ skeleton: Skeleton; crown: Point }, PositionRefusal> {
  const { forearm, upperArm, hand, headNeck } = body.length
  const crown = { x: read(given, 'crownDistanceCm'), y: 0 }
  const elbow = { x: 0, y: forearm.valueCm }
  const shoulder = joinLinks(elbow, upperArm.valueCm, crown, headNeck.valueCm, 'up')
  if (!shoulder.ok)
    return refused({ code: 'arms-do-not-reach', key: 'crownDistanceCm', reach: shoulder.refusal })
  const trunk = trunkFrom(body, shoulder.value, read(given, 'leanDeg'), 0, 1)
  const leg = legFrom(
    body,
    trunk,
    { hipFlexionDeg: read(given, 'hipFlexionDeg'), kneeBendDeg: read(given, 'kneeBendDeg') },
    1,
  )
  const arms = { wrist: { x: 0, y: 0 }, fingertip: { x: hand.valueCm, y: 0 }, elbow }
  return ok({ crown, skeleton: skeletonOf(arms, trunk, [leg, leg], crown) })
}

function tripodLean(body: Body): number {
  const crownDistanceCm = 0.87 * body.length.forearm.valueCm
  const at = (leanDeg: number): number => {
    const made = tripodFigure(body, { crownDistanceCm, leanDeg, hipFlexionDeg: 110, kneeBendDeg: 130 })
    return made.ok ? centreOfMass(body, made.value.skeleton).x : 0
  }
  return turnFor(at, 0.5 * crownDistanceCm, LEAN.min, LEAN.max) ?? 0
}

/** Height at which hands hold the legs of the supports, as a fraction of stature. */
const HAND_HOLD = 0.07

/** Shoulders on two padded supports, head hanging free between them, heels on the wall. */
const HEAD_FREE: PositionSpec = {
  id: 'headstand-head-free',
  name: 'Shoulders on two supports, head free',
  parameters: [
    cm(
      'supportHeightCm',
      'Padded height under the shoulders',
      20,
      80,
      (body) => body.length.headNeck.valueCm + 6,
    ),
    cm('wallDistanceCm', 'Shoulders from the wall', 5, 60, 20),
    FRICTION,
  ],
  solve: (body, given) => {
    const height = read(given, 'supportHeightCm')
    const wallX = read(given, 'wallDistanceCm')
    const shoulder = { x: 0, y: height }
    const { upperArm, forearm, hand } = body.length
    // Hands hold the feet of the supports in front of the head and carry nothing.
    const wrist = { x: -0.07 * body.statureCm, y: Math.min(height, HAND_HOLD * body.statureCm) }
    const joined = joinLinks(shoulder, upperArm.valueCm, wrist, forearm.valueCm, 'back')
    if (!joined.ok)
      return refused({ code: 'arms-do-not-reach', key: 'supportHeightCm', reach: joined.refusal })
    const arms = { elbow: joined.value, wrist, fingertip: rise(wrist, 0.5 * hand.valueCm, 200) }
    const at = (lean: number): Skeleton => {
      const trunk = trunkFrom(body, shoulder, lean, 0, 1)
      const leg = legFrom(body, trunk, { hipFlexionDeg: 0, kneeBendDeg: 0 }, 1)
      return skeletonOf(arms, trunk, [leg, leg])
    }
    const lean = turnFor((t) => at(t).legs[0].heel.x, wallX, -20, 60)
    if (lean === null)
      return refused({ code: 'wall-out-of-reach', elbowToWallCm: wallX, reachCm: at(60).legs[0].heel.x })
    const skeleton = at(lean)
    return ok(
      assemble({
        id: 'headstand-head-free',
        body,
        parameters: given,
        skeleton,
        wallX,
        supports: {
          groups: [on(patchAround('shoulders', 0, 0.05 * body.statureCm, height))],
          wall: {
            part: 'wallFeet',
            at: skeleton.legs[0].heel,
            friction: read(given, 'wallFriction'),
            frictionUse: 0,
          },
        },
      }),
    )
  },
}

const HIP = (usual: number): Parameter => deg('hipFlexionDeg', 'Hip fold', 0, 150, usual)
const KNEE = (usual: number): Parameter => deg('kneeBendDeg', 'Knee bend', 0, 150, usual)

const folded: Legs = (p) =>
  both({ hipFlexionDeg: read(p, 'hipFlexionDeg'), kneeBendDeg: read(p, 'kneeBendDeg') })

export const HEADSTANDS: readonly PositionSpec[] = [
  BASE,
  TRIPOD,
  headstand(
    'headstand-one-knee-in',
    'Headstand, one knee in',
    [HIP(110), KNEE(120), deg('otherHipDeg', 'Other hip fold', -20, 110, 60)],
    (p) => [
      { hipFlexionDeg: read(p, 'hipFlexionDeg'), kneeBendDeg: read(p, 'kneeBendDeg') },
      { hipFlexionDeg: read(p, 'otherHipDeg'), kneeBendDeg: 20 },
    ],
  ),
  headstand('headstand-tuck', 'Headstand, tuck', [HIP(115), KNEE(130)], folded),
  headstand('headstand-knees-up', 'Headstand, knees to the ceiling', [HIP(5), KNEE(110)], folded),
  headstand('headstand-half-bend', 'Headstand, half bend', [HIP(90)], (p) =>
    both({ hipFlexionDeg: read(p, 'hipFlexionDeg'), kneeBendDeg: 0 }),
  ),
  headstand(
    'headstand-straight',
    'Headstand, straight',
    [],
    () => both({ hipFlexionDeg: 0, kneeBendDeg: 0 }),
    true,
  ),
  AT_WALL,
  HEAD_FREE,
]
