import { sides, type MassSegment } from '../body/anthropometry'
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
const RIBCAGE_FRACTION = 0.6

/** A point mass: where it is and which fraction of the body it is. */
export type Particle = { readonly at: Point; readonly mass: number; readonly segment: MassSegment }

/**
 * The body as point masses at the centres of its segments.
 * The trunk's mass is split between ribcage and pelvis so that a straight trunk keeps de Leva's centre.
 * @returns particles whose masses sum to one
 */
export function particles(body: Body, skeleton: Skeleton): Particle[] {
  const { crown, shoulder, waist, hip, elbow, wrist, fingertip, legs } = skeleton
  const { mass } = body
  // Ribcage centre at R/2, pelvis centre at (1 + R)/2, so share × 1/2 + R/2 = centre of the whole.
  const pelvisShare = 2 * mass.trunk.com - RIBCAGE_FRACTION
  const limb = (segment: MassSegment, from: Point, to: Point, count: number): Particle => ({
    at: between(from, to, mass[segment].com),
    mass: (mass[segment].mass * sides(segment) * count) / 2,
    segment,
  })
  return [
    { at: between(crown, shoulder, mass.head.com), mass: mass.head.mass, segment: 'head' },
    { at: between(shoulder, waist, 0.5), mass: mass.trunk.mass * (1 - pelvisShare), segment: 'trunk' },
    { at: between(waist, hip, 0.5), mass: mass.trunk.mass * pelvisShare, segment: 'trunk' },
    limb('upperArm', shoulder, elbow, 2),
    limb('forearm', elbow, wrist, 2),
    limb('hand', wrist, fingertip, 2),
    ...legs.flatMap((leg) => [
      limb('thigh', hip, leg.knee, 1),
      limb('shank', leg.knee, leg.ankle, 1),
      limb('foot', leg.heel, leg.toe, 1),
    ]),
  ]
}

const ARM: ReadonlySet<MassSegment> = new Set(['upperArm', 'forearm', 'hand'])

/** Everything below the shoulder joint on the arm's side: what the floor carries before the shoulder does. */
export function isArm(particle: Particle): boolean {
  return ARM.has(particle.segment)
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
const BALL_FRACTION = 0.73
const ANKLE_FRACTION = 0.25

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
