import type { Body } from '../../body/estimate'
import { ok } from '../../result'
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
import { legFrom, skeletonOf } from '../pose'
import { assemble, type PositionSpec } from '../position'
import { turnFor } from '../turn'
import { centreOfMass, type Skeleton } from '../skeleton'
import { headOnFloor } from './supine'
import {
  TO_ELBOWS,
  PLATFORM,
  TRUNK,
  HIP,
  shoulderAt,
  trunkUp,
  shouldersAndElbows,
  handsOnBack,
} from './shoulders-down'
import { plough, HANDS_ON_WALL } from './plough'
import { innerLeg, HALF, WALL_SUPPORTED } from './half-shoulder-stand'
import { CHAIR, PELVIS_ON_STACK, LEGS_UP } from './pelvis-up'

const { cm } = parameter

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
      tuned(HIP_RANGE, { usual: 145 }),
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
