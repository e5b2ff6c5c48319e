import { BALL_FRACTION, type Leg } from '../mechanics/skeleton'
import { between, direction, distance, tiltOf, turnBetween, type Point } from '../mechanics/point'
import { FOOT_SOLE, FOOT_TOP, TOES } from './stations'
import type { Contour } from './contour'

/** Heel, tendon, instep, ball and toes. @param length of the foot, cm */
export function footContour(leg: Leg, length: number): Contour {
  const { heel, toe, ankle } = leg
  const apart = distance(heel, toe)
  // No foot folds up this far: it points out of the picture and is seen shorter.
  const endOn = apart < (2 * BALL_FRACTION - 1) * length
  const ball = endOn ? between(heel, toe, BALL_FRACTION) : ballOf(leg, length)
  const along = endOn ? apart : length
  const up = Math.sign(cross(heel, ball, ankle)) || 1
  const rear = frame(heel, ball, along, up * length)
  const front = frame(ball, toe, along, up * length)
  const bend = Math.abs(turnBetween(tiltOf(heel, ball), tiltOf(ball, toe)))
  // High on tiptoe the roots of the toes fold into the instep.
  const toes = bend > FOLDED_DEG ? TOES.slice(1) : TOES
  return [
    ...FOOT_TOP.map(([u, v]) => rear(u, v)),
    ...toes.map(([u, v]) => front(u, v)),
    ...FOOT_SOLE.map(([u, v]) => rear(u, v)),
  ]
}

const FOLDED_DEG = 50

/** The ball of a foot that stands on it with the heel lifted: heel to toe is then shorter than the foot. */
function ballOf({ heel, toe, ankle }: Leg, length: number): Point {
  const apart = distance(heel, toe)
  const along = direction(heel, toe)
  const [rear, front] = [BALL_FRACTION * length, (1 - BALL_FRACTION) * length]
  const foot = (apart ** 2 + rear ** 2 - front ** 2) / (2 * apart)
  const drop = Math.sqrt(Math.max(0, rear ** 2 - foot ** 2))
  const side = cross(heel, toe, ankle) > 0 ? -1 : 1
  const reach = Math.min(foot, rear)
  return {
    x: heel.x + along.x * reach - along.y * side * drop,
    y: heel.y + along.y * reach + along.x * side * drop,
  }
}

/** Positive where `c` lies to the left of the line from `a` to `b`. */
function cross(a: Point, b: Point, c: Point): number {
  return (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x)
}

/** Places along a line and up from it. @param long cm for one along it @param high cm for one up, its sign the side */
function frame(from: Point, to: Point, long: number, high: number): (u: number, v: number) => Point {
  const { x, y } = direction(from, to)
  return (u, v) => ({ x: from.x + x * u * long - y * v * high, y: from.y + y * u * long + x * v * high })
}
