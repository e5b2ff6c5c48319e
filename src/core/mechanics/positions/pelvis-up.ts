import type { Body } from '../../body/estimate'
import { ok, refused } from '../../result'
import { withinRanges } from '../frame'
import { FRICTION, HIP_RANGE, parameter, read, tuned } from '../parameters'
import { angleAt, degrees, direction, type Point } from '../point'
import { legAlong, legFrom, legLength } from '../pose'
import { assemble, type PositionSpec } from '../position'
import { turnFor } from '../turn'
import { footInAir, type Leg } from '../skeleton'
import { on } from '../contacts'
import { patchAround } from '../surfaces'
import { lyingBack, SEAT_DEPTH } from './supine'
import { SHOULDER_HALF, HIP, shoulderAt, trunkUp } from './shoulders-down'

const { cm } = parameter

/** Pelvis on a chair seat, shoulders on a bolster before it, legs long. */
export const CHAIR: PositionSpec = {
  id: 'chair-shoulder-stand',
  name: 'Chair shoulder stand',
  parameters: [
    cm('seatHeightCm', 'Padded seat height', 35, 55, 47),
    cm('supportHeightCm', 'Support under the shoulders', 5, 30, 15),
    HIP(20),
  ],
  solve: (body, given) => {
    const support = read(given, 'supportHeightCm')
    const seat = read(given, 'seatHeightCm')
    const shoulder = shoulderAt(body, support)
    const hipY = seat + SEAT_DEPTH * body.statureCm
    const length = body.length.trunk.valueCm
    const climb = hipY - shoulder.y
    if (climb > length)
      return refused({
        code: 'trunk-does-not-reach',
        key: 'seatHeightCm',
        reach: { code: 'too-far', neededCm: climb, reachCm: length },
      })
    const trunk = trunkUp(body, shoulder, degrees(Math.asin(climb / length)), 1)
    const leg = legFrom(body, trunk, { hipFlexionDeg: read(given, 'hipFlexionDeg'), kneeBendDeg: 0 }, 1)
    return ok(
      assemble({
        id: 'chair-shoulder-stand',
        body,
        parameters: given,
        skeleton: lyingBack(body, shoulder, trunk, leg),
        supports: {
          groups: [
            on(patchAround('shoulders', 0, SHOULDER_HALF * body.statureCm, support)),
            // From the front edge to the middle of the seat.
            on({
              part: 'seat',
              fromCm: trunk.hip.x - 4,
              toCm: trunk.hip.x + 20,
              nominalCm: trunk.hip.x,
              heightCm: seat,
            }),
          ],
        },
      }),
    )
  },
}

/** Sacrum on a stack of slabs, calves level on a chair seat. */
export const PELVIS_ON_STACK: PositionSpec = {
  id: 'pelvis-on-stack',
  name: 'Pelvis on a stack, legs over a chair',
  parameters: [
    cm('stackHeightCm', 'Stack under the sacrum', 5, 35, 17),
    cm('seatHeightCm', 'Chair seat height', 35, 55, 45),
  ],
  solve: (body, given) => {
    const stack = read(given, 'stackHeightCm')
    const seat = read(given, 'seatHeightCm')
    const shoulder = shoulderAt(body, 0)
    const { thigh, shank, trunk: trunkLength } = body.length
    const hipY = stack + SEAT_DEPTH * body.statureCm
    const trunk = trunkUp(
      body,
      shoulder,
      degrees(Math.asin(Math.min(1, Math.max(0, (hipY - shoulder.y) / trunkLength.valueCm)))),
      1,
    )
    const knee = { x: 0, y: seat + CALF_HALF * body.statureCm }
    const climb = knee.y - trunk.hip.y
    if (climb > thigh.valueCm)
      return refused({
        code: 'legs-do-not-reach',
        key: 'stackHeightCm',
        reach: { code: 'too-far', neededCm: climb, reachCm: thigh.valueCm },
      })
    const kneeX = trunk.hip.x + Math.sqrt(thigh.valueCm ** 2 - climb ** 2)
    const ankle = { x: kneeX + shank.valueCm, y: knee.y }
    const placed = { x: kneeX, y: knee.y }
    const leg: Leg = { knee: placed, ...footInAir(body, ankle, direction(placed, ankle), -1) }
    const { shank: s, foot: f } = body.mass
    return ok(
      assemble({
        id: 'pelvis-on-stack',
        body,
        parameters: given,
        skeleton: lyingBack(body, shoulder, trunk, leg),
        supports: {
          groups: [
            on({
              part: 'upperBack',
              fromCm: -SHOULDER_HALF * body.statureCm,
              toCm: 0.5 * trunk.waist.x,
              nominalCm: 0.15 * trunk.waist.x,
            }),
            on(patchAround('seat', trunk.hip.x, 0.048 * body.statureCm, stack)),
          ],
          // Lower legs lie on the seat; the thighs' far halves hang on the knees.
          given: {
            part: 'prop',
            at: { x: (placed.x + ankle.x) / 2, y: seat },
            share: 2 * (s.mass + f.mass) + body.mass.thigh.mass * body.mass.thigh.com * 2,
            horizontalShare: 0,
          },
        },
      }),
    )
  },
}

/** Half a calf's thickness, as a fraction of stature. */
export const CALF_HALF = 0.03

/** Arms lying out to both sides, palms up: half of their length shows. */
const ARMS_OUT = 0.5

/** Back on the floor or the pelvis on a bolster, heels on the wall. */
export const LEGS_UP: PositionSpec = {
  id: 'legs-up-wall',
  name: 'Legs up the wall',
  parameters: [
    cm('seatDistanceCm', 'Seat from the wall', 0, 45, 12),
    cm('bolsterHeightCm', 'Pelvis raised by', 0, 22, 0),
    tuned(FRICTION, { usual: 0.2 }),
    tuned(HIP_RANGE, { usual: 110 }),
  ],
  solve: (body, given) => {
    const bolster = read(given, 'bolsterHeightCm')
    const shoulder = shoulderAt(body, 0)
    const hipY = bolster + SEAT_DEPTH * body.statureCm
    const trunk = trunkUp(
      body,
      shoulder,
      degrees(Math.asin((hipY - shoulder.y) / body.length.trunk.valueCm)),
      1,
    )
    const wallX = trunk.hip.x + SEAT_DEPTH * body.statureCm + read(given, 'seatDistanceCm')
    const at = (tilt: number): Leg => legAlong(body, trunk.hip, tilt, 0, 1)
    const tilt = turnFor((t) => at(t).heel.x, wallX, -30, 80)
    if (tilt === null)
      return refused({
        code: 'legs-do-not-reach',
        key: 'seatDistanceCm',
        reach: { code: 'too-far', neededCm: wallX - trunk.hip.x, reachCm: legLength(body) },
      })
    const leg = at(tilt)
    const limited = withinRanges(
      given,
      { hip: 180 - angleAt(trunk.hip, trunk.shoulder, leg.knee) },
      'seatDistanceCm',
    )
    if (!limited.ok) return limited
    return ok(
      assemble({
        id: 'legs-up-wall',
        body,
        parameters: given,
        skeleton: lyingBack(body, shoulder, trunk, leg, ARMS_OUT),
        wallX,
        supports: {
          groups: [
            on({ part: 'upperBack', fromCm: 0, toCm: 0.7 * trunk.waist.x, nominalCm: 0.3 * trunk.waist.x }),
            on(patchAround('seat', trunk.hip.x, 0.04 * body.statureCm, bolster)),
          ],
          wall: {
            part: 'wallFeet',
            at: leg.heel,
            friction: read(given, 'wallFriction'),
            frictionUse: 0,
            push: restingLegPush(body, trunk.hip, leg),
          },
        },
      }),
    )
  },
}

/** What leaning legs put on the wall: their own moment about the hip over the height of the heel. */
function restingLegPush(body: Body, hip: Point, leg: Leg): number {
  const { thigh, shank, foot } = body.mass
  const mass = 2 * (thigh.mass + shank.mass + foot.mass)
  const middleX = (hip.x + leg.ankle.x) / 2
  return Math.max(0, (mass * (middleX - hip.x)) / (leg.heel.y - hip.y))
}
