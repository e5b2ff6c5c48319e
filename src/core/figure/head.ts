import { tiltOf, turnBetween, type Point } from '../mechanics/point'
import type { Contour } from './contour'
import type { Drawn } from './drawn'
import { limb } from './limb'
import { EYE, NECK, PROFILE, SKULL_DOWN } from './stations'

/** A head turns further than the line from shoulder to crown does: the top of the neck bends as well. */
const FURTHER = 0.5

/** A crown this near the floor bears on it, as a fraction of stature. */
const CROWN_DOWN = 0.004

/** How far the neck bends off the line of the ribs, degrees. */
function neckTurn({ skeleton: { crown, shoulder, waist } }: Drawn): number {
  return turnBetween(tiltOf(shoulder, crown), tiltOf(waist, shoulder))
}

/** The profile of a head with its neck, looking where the position looks. */
export function headContours(drawn: Drawn): { skull: Contour; neck: Contour; eye: readonly Point[] } {
  const { skeleton, body, facing } = drawn
  const { crown, shoulder } = skeleton
  const scale = body.statureCm
  const length = Math.hypot(shoulder.x - crown.x, shoulder.y - crown.y) || 1
  const down = { x: (shoulder.x - crown.x) / length, y: (shoulder.y - crown.y) / length }
  const middle = {
    x: crown.x + down.x * SKULL_DOWN * scale,
    y: crown.y + down.y * SKULL_DOWN * scale,
  }
  // On the crown the head stands as the neck does.
  const carries = crown.y < CROWN_DOWN * scale
  const turn = carries ? 0 : (FURTHER * neckTurn(drawn) * Math.PI) / 180
  const axis = rotated(down, turn)
  const front = { x: -axis.y * facing, y: axis.x * facing }
  const place = ([u, v]: readonly [number, number]): Point => ({
    x: middle.x + (axis.x * (u - SKULL_DOWN) + front.x * v) * scale,
    y: middle.y + (axis.y * (u - SKULL_DOWN) + front.y * v) * scale,
  })
  // Looking from shoulder to crown the belly lies on the other hand than looking down the trunk.
  return { skull: PROFILE.map(place), neck: limb(shoulder, crown, NECK, scale, -facing), eye: EYE.map(place) }
}

function rotated({ x, y }: Point, by: number): Point {
  const [c, s] = [Math.cos(by), Math.sin(by)]
  return { x: x * c - y * s, y: x * s + y * c }
}
