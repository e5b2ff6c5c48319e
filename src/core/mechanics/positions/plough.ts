import type { Body } from '../../body/estimate'
import { ok, refused, type Result } from '../../result'
import { bentKnee, withinRanges } from '../frame'
import { joinLinks } from '../linkage'
import { FRICTION, HIP_RANGE, parameter, read, tuned, type Parameter } from '../parameters'
import { angleAt, type Point } from '../point'
import { legLength, skeletonOf } from '../pose'
import { assemble, type PositionRefusal, type PositionSpec } from '../position'
import type { Leg } from '../skeleton'
import { on } from '../contacts'
import { pointPatch } from '../surfaces'
import { headOnFloor } from './supine'
import { soleOnWall } from './right-angle'
import { SHOULDER_HALF, TRUNK, shoulderAt, trunkUp, shouldersAndElbows, handsOnBack } from './shoulders-down'

const { cm } = parameter

/** Feet beyond the head: on the wall, on a seat or on the floor. */
export function plough(
  id: string,
  name: string,
  parameters: readonly Parameter[],
  onWall: boolean,
): PositionSpec {
  return {
    id,
    name,
    parameters,
    solve: (body, given) => {
      const platform = read(given, 'platformHeightCm')
      const shoulder = shoulderAt(body, platform)
      const trunk = trunkUp(body, shoulder, read(given, 'trunkDeg'), -1)
      const { ankleHeight, foot } = body.length
      const distance = read(given, 'footDistanceCm')
      const height = read(given, 'footHeightCm')
      const ankle = onWall
        ? { x: distance - ankleHeight.valueCm, y: height }
        : onTiptoe(body, distance, height)
      const reach = ankleFrom(body, trunk.hip, ankle, onWall ? 'height' : 'distance')
      if (!reach.ok) return reach
      const knee = bentKnee(body, trunk.hip, reach.value, 'down')
      const limited = withinRanges(
        given,
        { hip: 180 - angleAt(trunk.hip, trunk.shoulder, knee) },
        'footDistanceCm',
      )
      if (!limited.ok) return limited
      const leg: Leg = onWall
        ? soleOnWall(body, knee, reach.value, distance)
        : {
            knee,
            ankle: reach.value,
            heel: { x: reach.value.x - 0.1 * foot.valueCm, y: reach.value.y + 0.3 * foot.valueCm },
            toe: { x: reach.value.x, y: height },
          }
      const pair = shouldersAndElbows(body, platform, -1)
      return ok(
        assemble({
          id,
          body,
          parameters: given,
          facing: -1,
          skeleton: skeletonOf(
            handsOnBack(body, trunk, platform, -1),
            trunk,
            [leg, leg],
            headOnFloor(body, shoulder, 1),
          ),
          wallX: onWall ? distance : null,
          base: { fromCm: pair.patches[0].fromCm, toCm: onWall ? pair.patches[1].toCm : reach.value.x },
          supports: onWall
            ? {
                groups: [pair],
                wall: {
                  part: 'wallFeet',
                  at: { x: distance, y: reach.value.y },
                  friction: read(given, 'wallFriction'),
                  frictionUse: 1,
                },
              }
            : { groups: [pair, on(pointPatch('toes', reach.value.x, height))] },
        }),
      )
    },
  }
}

function onTiptoe(body: Body, x: number, height: number): Point {
  return { x, y: height + 0.73 * body.length.foot.valueCm }
}

/** Bends the knees where the feet are nearer than the legs are long, refuses where they are further. */
function ankleFrom(
  body: Body,
  hip: Point,
  ankle: Point,
  free: 'height' | 'distance',
): Result<Point, PositionRefusal> {
  const legs = legLength(body)
  const apart = Math.hypot(ankle.x - hip.x, ankle.y - hip.y)
  if (apart <= legs) return ok(ankle)
  const across = Math.abs(ankle.x - hip.x)
  // Feet may slide down the wall, or in along the floor, until the legs are straight.
  if (free === 'height' && across <= legs)
    return ok({ x: ankle.x, y: hip.y - Math.sqrt(legs ** 2 - across ** 2) })
  const drop = hip.y - ankle.y
  if (free === 'distance' && drop <= legs)
    return ok({ x: hip.x + Math.sqrt(legs ** 2 - drop ** 2), y: ankle.y })
  return refused({
    code: 'legs-do-not-reach',
    key: 'footDistanceCm',
    reach: { code: 'too-far', neededCm: apart, reachCm: legs },
  })
}

/** Rolled up on the upper back, palms on the wall beyond the head, feet walking down it: no weight on the neck. */
export const HANDS_ON_WALL: PositionSpec = {
  id: 'plough-hands-on-wall',
  name: 'Plough lying, hands and feet on the wall',
  parameters: [
    cm('footDistanceCm', 'Shoulders from the wall', 40, 100, (body) => 0.35 * body.statureCm),
    cm('footHeightCm', 'Feet on the wall, height', 10, 90, (body) => 0.18 * body.statureCm),
    TRUNK(58),
    tuned(FRICTION, { usual: 0.4 }),
    tuned(HIP_RANGE, { usual: 160 }),
  ],
  solve: (body, given) => {
    const wallX = read(given, 'footDistanceCm')
    const shoulder = shoulderAt(body, 0)
    const trunk = trunkUp(body, shoulder, read(given, 'trunkDeg'), -1)
    const { ankleHeight, upperArm, forearm, hand } = body.length
    const wanted = { x: wallX - ankleHeight.valueCm, y: read(given, 'footHeightCm') }
    const ankle = ankleFrom(body, trunk.hip, wanted, 'height')
    if (!ankle.ok) return ankle
    const knee = bentKnee(body, trunk.hip, ankle.value, 'down')
    const limited = withinRanges(
      given,
      { hip: 180 - angleAt(trunk.hip, trunk.shoulder, knee) },
      'footHeightCm',
    )
    if (!limited.ok) return limited
    // Palms flat on the wall a little above the floor, elbows lifted beside the ears.
    const wrist = { x: wallX - 0.02 * body.statureCm, y: shoulder.y }
    const elbow = joinLinks(shoulder, upperArm.valueCm, wrist, forearm.valueCm, 'up')
    if (!elbow.ok) return refused({ code: 'arms-do-not-reach', key: 'footDistanceCm', reach: elbow.refusal })
    const arms = { elbow: elbow.value, wrist, fingertip: { x: wrist.x, y: wrist.y + hand.valueCm } }
    const leg = soleOnWall(body, knee, ankle.value, wallX)
    return ok(
      assemble({
        id: 'plough-hands-on-wall',
        body,
        parameters: given,
        facing: -1,
        skeleton: skeletonOf(arms, trunk, [leg, leg], headOnFloor(body, shoulder, 1)),
        wallX,
        supports: {
          groups: [
            on({
              part: 'upperBack',
              fromCm: -0.13 * body.statureCm,
              toCm: SHOULDER_HALF * body.statureCm,
              nominalCm: -0.05 * body.statureCm,
            }),
          ],
          wall: {
            part: 'wallFeet',
            at: { x: wallX, y: ankle.value.y },
            friction: read(given, 'wallFriction'),
            frictionUse: 0.5,
          },
        },
      }),
    )
  },
}
