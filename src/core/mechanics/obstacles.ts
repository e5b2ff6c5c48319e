import { tiltOf, turnBetween, type Point } from './point'
import type { Position, PositionRefusal } from './position'

export type BodyPart = 'arms' | 'head' | 'trunk' | 'legs'

/** Rounding, and how far a joint's centre may sink into padding, cm and degrees. */
const WITHIN_CM = 0.5
const BACKWARDS_DEG = 0.5

/**
 * The first thing that no body can do in a solved position: a part inside the floor or the wall, a knee bent the wrong
 * way. A crown over forearms may read below the floor: arms too short for head and neck are told as such, not refused.
 * @returns null where all of it is possible
 */
export function obstacle(position: Position): PositionRefusal | null {
  const { skeleton, facing, wallX, contacts } = position
  for (const { knee, ankle } of skeleton.legs) {
    const backDeg = -facing * turnBetween(tiltOf(skeleton.hip, knee), tiltOf(knee, ankle))
    if (backDeg > BACKWARDS_DEG) return { code: 'knee-backwards', backDeg }
  }
  const onForearms = contacts.some(({ part }) => part === 'forearms')
  for (const [part, { x, y }] of partsOf(skeleton)) {
    if (y < -WITHIN_CM && !(part === 'head' && onForearms)) return { code: 'in-the-floor', part, byCm: -y }
    if (wallX !== null && x > wallX + WITHIN_CM) return { code: 'in-the-wall', part, byCm: x - wallX }
  }
  return null
}

function partsOf(skeleton: Position['skeleton']): [BodyPart, Point][] {
  const { crown, shoulder, waist, hip, elbow, wrist, fingertip, legs } = skeleton
  const all = (part: BodyPart, points: Point[]): [BodyPart, Point][] => points.map((at) => [part, at])
  return [
    ...all('arms', [elbow, wrist, fingertip]),
    ...all('trunk', [shoulder, waist, hip]),
    ...all('head', [crown]),
    ...legs.flatMap((leg) => all('legs', [leg.knee, leg.ankle, leg.heel, leg.toe])),
  ]
}
