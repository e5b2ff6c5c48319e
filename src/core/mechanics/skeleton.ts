import type { MassSegment } from '../body/anthropometry'
import type { Body } from '../body/estimate'
import { between, direction, type Point } from './point'

export type Leg = { readonly knee: Point; readonly ankle: Point; readonly heel: Point; readonly toe: Point }

/** Joints in the side view. Arms are taken together; legs are apart where they do different things. */
export type Skeleton = {
  readonly crown: Point
  readonly shoulder: Point
  readonly waist: Point
  readonly hip: Point
  readonly elbow: Point
  readonly wrist: Point
  readonly fingertip: Point
  readonly legs: readonly [Leg, Leg]
}

/** Where the ribcage ends, as a fraction of shoulder–hip. The trunk is two rigid pieces with one bend. */
export const RIBCAGE_FRACTION = 0.6

/** A point mass: where it is, which fraction of the body it is, and how long the rod is that it stands for (cm). */
export type Particle = {
  readonly at: Point
  readonly mass: number
  readonly segment: MassSegment
  readonly rodCm: number
}

/**
 * The body as point masses at the centres of its segments.
 * The trunk's mass is split between ribcage and pelvis so that a straight trunk keeps de Leva's centre.
 * @returns particles whose masses sum to one
 */
export function particles(body: Body, skeleton: Skeleton): Particle[] {
  const { crown, shoulder, waist, hip, elbow, wrist, fingertip, legs } = skeleton
  const { mass } = body
  const pelvis = pelvisShare(body)
  const list: Particle[] = []
  const put = (segment: MassSegment, from: Point, to: Point, fraction: number, share: number): void => {
    list.push({
      at: between(from, to, fraction),
      mass: share,
      segment,
      rodCm: Math.hypot(to.x - from.x, to.y - from.y),
    })
  }
  put('head', crown, shoulder, mass.head.com, mass.head.mass)
  put('trunk', shoulder, waist, 0.5, mass.trunk.mass * (1 - pelvis))
  put('trunk', waist, hip, 0.5, mass.trunk.mass * pelvis)
  put('upperArm', shoulder, elbow, mass.upperArm.com, 2 * mass.upperArm.mass)
  put('forearm', elbow, wrist, mass.forearm.com, 2 * mass.forearm.mass)
  put('hand', wrist, fingertip, mass.hand.com, 2 * mass.hand.mass)
  for (const leg of legs) {
    put('thigh', hip, leg.knee, mass.thigh.com, mass.thigh.mass)
    put('shank', leg.knee, leg.ankle, mass.shank.com, mass.shank.mass)
    put('foot', leg.heel, leg.toe, mass.foot.com, mass.foot.mass)
  }
  return list
}

/** Ribcage centre at R/2, pelvis centre at (1 + R)/2, so share × 1/2 + R/2 = centre of the whole. */
function pelvisShare(body: Body): number {
  return 2 * body.mass.trunk.com - RIBCAGE_FRACTION
}

/** Centre of mass straight from the joints, cm: for searches that need nothing else. */
export function centreOfMass(body: Body, skeleton: Skeleton): Point {
  const { crown, shoulder, waist, hip, elbow, wrist, fingertip, legs } = skeleton
  const { mass } = body
  const pelvis = pelvisShare(body)
  let x = 0
  let y = 0
  const put = (from: Point, to: Point, fraction: number, share: number): void => {
    x += (from.x + (to.x - from.x) * fraction) * share
    y += (from.y + (to.y - from.y) * fraction) * share
  }
  put(crown, shoulder, mass.head.com, mass.head.mass)
  put(shoulder, waist, 0.5, mass.trunk.mass * (1 - pelvis))
  put(waist, hip, 0.5, mass.trunk.mass * pelvis)
  put(shoulder, elbow, mass.upperArm.com, 2 * mass.upperArm.mass)
  put(elbow, wrist, mass.forearm.com, 2 * mass.forearm.mass)
  put(wrist, fingertip, mass.hand.com, 2 * mass.hand.mass)
  for (const leg of legs) {
    put(hip, leg.knee, mass.thigh.com, mass.thigh.mass)
    put(leg.knee, leg.ankle, mass.shank.com, mass.shank.mass)
    put(leg.heel, leg.toe, mass.foot.com, mass.foot.mass)
  }
  return { x, y }
}

/** Everything below the shoulder joint on the arm's side: what the floor carries before the shoulder does. */
export function isArm({ segment }: Particle): boolean {
  return segment === 'upperArm' || segment === 'forearm' || segment === 'hand'
}

/** Centre of a set of masses, cm. */
export function centreOf(parts: readonly Particle[]): Point {
  let x = 0
  let y = 0
  let total = 0
  for (const { at, mass } of parts) {
    x += at.x * mass
    y += at.y * mass
    total += mass
  }
  return { x: x / total, y: y / total }
}

/** The same figure with every joint carried along; legs that are one stay one. */
export function mapJoints(skeleton: Skeleton, move: (at: Point) => Point): Skeleton {
  const { crown, shoulder, waist, hip, elbow, wrist, fingertip, legs } = skeleton
  const leg = (l: Leg): Leg => ({
    knee: move(l.knee),
    ankle: move(l.ankle),
    heel: move(l.heel),
    toe: move(l.toe),
  })
  const first = leg(legs[0])
  return {
    crown: move(crown),
    shoulder: move(shoulder),
    waist: move(waist),
    hip: move(hip),
    elbow: move(elbow),
    wrist: move(wrist),
    fingertip: move(fingertip),
    legs: [first, legs[0] === legs[1] ? first : leg(legs[1])],
  }
}

/** Every joint of a figure, in no particular order. */
export function jointsOf({ legs, ...rest }: Skeleton): Point[] {
  return [...Object.values(rest), ...legs.flatMap((leg) => Object.values(leg))]
}

/** The same figure turned to face the other way. */
export function mirrored(skeleton: Skeleton): Skeleton {
  return mapJoints(skeleton, ({ x, y }) => ({ x: -x, y }))
}

/** The waist of a trunk without a bend. */
export function straightWaist(shoulder: Point, hip: Point): Point {
  return between(shoulder, hip, RIBCAGE_FRACTION)
}

/** The crown when head and neck carry on in the line of the ribcage. */
export function crownInLine(body: Body, shoulder: Point, waist: Point): Point {
  const along = direction(waist, shoulder)
  const reach = body.length.headNeck.valueCm
  return { x: shoulder.x + along.x * reach, y: shoulder.y + along.y * reach }
}

/** Where along the foot, from the heel, the ball of the foot and the ankle lie. */
export const BALL_FRACTION = 0.73
export const ANKLE_FRACTION = 0.25

/**
 * A foot standing on its ball with the toes towards the wall.
 * @param ball where the ball of the foot meets the floor, cm
 * @param heelLiftDeg 0 with the sole flat, about 60 on tiptoe
 */
export function footOnBall(
  body: Body,
  ball: Point,
  heelLiftDeg: number,
): { ankle: Point; heel: Point; toe: Point } {
  const foot = body.length.foot.valueCm
  const ankleHeight = body.length.ankleHeight.valueCm
  const lift = (heelLiftDeg * Math.PI) / 180
  const turn = (back: number, up: number): Point => ({
    x: ball.x - back * Math.cos(lift) + up * Math.sin(lift),
    y: ball.y + back * Math.sin(lift) + up * Math.cos(lift),
  })
  const toHeel = BALL_FRACTION * foot
  return {
    heel: turn(toHeel, 0),
    ankle: turn(toHeel - ANKLE_FRACTION * foot, ankleHeight),
    // Toes stay flat in front of the ball whatever the heel does.
    toe: { x: ball.x + (1 - BALL_FRACTION) * foot, y: ball.y },
  }
}

/**
 * A foot in the air, at a right angle to a shank that points along `along` (knee to ankle).
 * @param towards which way the toes point, as a turn from the shank: 1 is to its right when looking along it
 */
export function footInAir(
  body: Body,
  ankle: Point,
  along: Point,
  towards: 1 | -1,
): { ankle: Point; heel: Point; toe: Point } {
  const foot = body.length.foot.valueCm
  const ankleHeight = body.length.ankleHeight.valueCm
  const sole = { x: ankle.x + along.x * ankleHeight, y: ankle.y + along.y * ankleHeight }
  const forward = { x: along.y * towards, y: -along.x * towards }
  return {
    ankle,
    heel: { x: sole.x - forward.x * ANKLE_FRACTION * foot, y: sole.y - forward.y * ANKLE_FRACTION * foot },
    toe: {
      x: sole.x + forward.x * (1 - ANKLE_FRACTION) * foot,
      y: sole.y + forward.y * (1 - ANKLE_FRACTION) * foot,
    },
  }
}
