import type { Body } from '../body/estimate'
import { ANKLE_FRACTION, mapJoints, RIBCAGE_FRACTION, type Leg, type Skeleton } from '../mechanics/skeleton'
import type { Facing } from '../mechanics/pose'
import { rise, type Point } from '../mechanics/point'
import type { Shape } from '../practice/schema-pictures'
import type { Drawn } from './drawn'
import type { Rest } from './picture'

/** How far flesh stands below a joint that bears, as a fraction of stature. */
const FLESH: Readonly<Record<string, number>> = {
  hip: 0.056,
  waist: 0.052,
  shoulder: 0.046,
  crown: 0,
  elbow: 0.018,
  wrist: 0.011,
  fingertip: 0.004,
  knee: 0.026,
  ankle: 0.016,
  heel: 0,
  toe: 0,
}

/**
 * A resting shape from the directions of its parts, laid on the floor by whatever hangs lowest. It carries no loads:
 * the mechanics do not know these, and nothing is computed from them.
 */
export function drawFreehand(shape: Shape, body: Body): Drawn {
  const { length } = body
  const trunk = length.trunk.valueCm
  const hip = { x: 0, y: 0 }
  const waist = step(hip, (1 - RIBCAGE_FRACTION) * trunk, shape.pelvis)
  const shoulder = step(waist, RIBCAGE_FRACTION * trunk, shape.ribs)
  const elbow = step(shoulder, length.upperArm.valueCm, shape.arm[0])
  const wrist = step(elbow, length.forearm.valueCm, shape.arm[1])
  const legs = shape.legs.map((leg) => legOf(body, hip, leg))
  const [first, second] = legs
  if (!first) throw new RangeError(`shape ${shape.id} has no legs`)
  const skeleton: Skeleton = {
    crown: step(shoulder, length.headNeck.valueCm, shape.head),
    shoulder,
    waist,
    hip,
    elbow,
    wrist,
    fingertip: step(wrist, length.hand.valueCm, shape.arm[2]),
    legs: [first, second ?? first],
  }
  const down = lowest(skeleton, body.statureCm)
  const laid = mapJoints(skeleton, ({ x, y }) => ({ x, y: y - down }))
  return { body, skeleton: laid, facing: facingOf(shape), wallX: null }
}

/** Where a thing under a shape lies: below one of its joints, up to the flesh. */
export function underOf(shape: Shape, { skeleton, body }: Drawn): Rest[] {
  return (shape.under ?? []).map(({ at, wide }) => {
    const { knee, ankle } = skeleton.legs[0]
    const joint = at === 'calf' ? { x: (knee.x + ankle.x) / 2, y: ankle.y } : skeleton[at]
    const flesh = FLESH[at === 'calf' ? 'ankle' : at] ?? 0
    return {
      x: joint.x - wide / 2,
      widthCm: wide,
      heightCm: Math.max(1, joint.y - flesh * body.statureCm),
    }
  })
}

/** Directions of a shape turn left from the right; the mechanics’ tilts turn right from upright. */
function step(from: Point, length: number, towardsDeg: number): Point {
  return rise(from, length, 90 - towardsDeg)
}

function legOf({ length }: Body, hip: Point, [thigh, shank, foot]: Shape['legs'][number]): Leg {
  const knee = step(hip, length.thigh.valueCm, thigh)
  const ankle = step(knee, length.shank.valueCm, shank)
  const long = length.foot.valueCm
  // The sole lies on the far side of the ankle; a pointed foot carries on from the shank.
  const across = cross(shank, foot) > 0 ? foot - 90 : foot + 90
  const sole = step(ankle, length.ankleHeight.valueCm, across)
  return {
    knee,
    ankle,
    heel: step(sole, -ANKLE_FRACTION * long, foot),
    toe: step(sole, (1 - ANKLE_FRACTION) * long, foot),
  }
}

/** Positive where `b` lies to the left of `a`. */
function cross(aDeg: number, bDeg: number): number {
  return Math.sin(((bDeg - aDeg) * Math.PI) / 180)
}

/** Toes point to the belly's side. */
function facingOf({ legs }: Shape): Facing {
  const [leg] = legs
  return leg && cross(leg[1], leg[2]) < 0 ? -1 : 1
}

function lowest({ legs, ...rest }: Skeleton, statureCm: number): number {
  const bottoms = [...Object.entries(rest), ...legs.flatMap((leg) => Object.entries(leg))].map(
    ([name, at]) => at.y - (FLESH[name] ?? 0) * statureCm,
  )
  return Math.min(...bottoms)
}
