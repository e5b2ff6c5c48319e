import type { Body } from '../../body/estimate'
import { ok, refused, type Result } from '../../result'
import { plantedFrame } from '../frame'
import { joinLinks, spanAcross } from '../linkage'
import { HEEL_LIFT, HIP_RANGE, KNEE_BEND, parameter, read, SHOULDER_RANGE, tuned } from '../parameters'
import { between, degrees, direction, distance, rise, tiltOf } from '../point'
import { armLength, headLifted, legFrom, skeletonOf, straightArms, trunkFrom } from '../pose'
import { assemble, type PositionRefusal, type PositionSpec } from '../position'
import { riseBetween } from '../energy'
import { turnFor } from '../turn'
import {
  centreOfMass,
  crownInLine,
  footInAir,
  footOnBall,
  RIBCAGE_FRACTION,
  type Leg,
  type Skeleton,
} from '../skeleton'
import { on } from '../contacts'
import { handBase, handPatch, pointPatch } from '../surfaces'
import { SEATED_LIFT } from './seated-lift'

const { cm, deg, share } = parameter

/** Toes raised, walked in until the hips are over the wrists: the start of a press. */
const PRESS_START: PositionSpec = {
  id: 'press-start',
  name: 'Press, start with raised feet',
  parameters: [
    cm('blockHeightCm', 'Feet raised by', 0, 60, (body) => 0.13 * body.statureCm),
    cm('toeDistanceCm', 'Balls of the feet from the wrists', 10, 110, (body) => 0.26 * body.statureCm),
    deg('shoulderLeanDeg', 'Shoulders ahead of the wrists', -10, 30, 8),
    tuned(KNEE_BEND, { usual: 5 }),
    tuned(HEEL_LIFT, { usual: 60 }),
    tuned(HIP_RANGE, { usual: 155 }),
    SHOULDER_RANGE,
  ],
  solve: (body, given) => {
    const arms = straightArms(body, read(given, 'shoulderLeanDeg'))
    const height = read(given, 'blockHeightCm')
    const frame = plantedFrame(body, given, arms.shoulder, arms.wrist, height)
    if (!frame.ok) return frame
    const { trunk, leg, ballX } = frame.value
    const upright = trunkFrom(body, straightArms(body, 0).shoulder, 0, 0, 1)
    const level = legFrom(body, upright, { hipFlexionDeg: 90, kneeBendDeg: 0 }, 1)
    const halfway = centreOfMass(body, skeletonOf(straightArms(body, 0), upright, [level, level])).y
    return ok(
      assemble({
        id: 'press-start',
        body,
        parameters: given,
        skeleton: skeletonOf(arms, trunk, [leg, leg]),
        base: { fromCm: ballX, toCm: handBase(body).toCm },
        supports: { groups: [on(pointPatch('toes', ballX, height)), on(handPatch(body))] },
        // A press has to pass through arms and trunk upright with the legs level.
        rise: (centreY) => riseBetween(centreY, halfway),
      }),
    )
  },
}

/** Squatting on the balls of the feet, hands on the floor ahead, shoulders travelling over them. */
const LOADED_SQUAT: PositionSpec = {
  id: 'loaded-squat',
  name: 'Loaded squat',
  parameters: [
    cm('footDistanceCm', 'Balls of the feet from the wrists', 5, 60, (body) => 0.2 * body.statureCm),
    cm('heelHeightCm', 'Heels raised by', 0, 16, 8),
    deg('shinLeanDeg', 'Shins towards the hands', 0, 60, 45),
    deg('kneeBendDeg', 'Knee bend', 80, 155, 140),
  ],
  solve: (body, given) => {
    const ballX = -read(given, 'footDistanceCm')
    const { foot, thigh, shank, trunk: trunkLength } = body.length
    const lift =
      (Math.asin(Math.min(0.99, read(given, 'heelHeightCm') / (0.73 * foot.valueCm))) * 180) / Math.PI
    const planted = footOnBall(body, { x: ballX, y: 0 }, lift)
    const shin = read(given, 'shinLeanDeg')
    const knee = rise(planted.ankle, shank.valueCm, shin)
    const hip = rise(knee, thigh.valueCm, shin - read(given, 'kneeBendDeg'))
    const wrist = { x: 0, y: 0 }
    const shoulder = joinLinks(hip, trunkLength.valueCm, wrist, armLength(body), 'up')
    if (!shoulder.ok)
      return refused({ code: 'arms-do-not-reach', key: 'footDistanceCm', reach: shoulder.refusal })
    const waist = between(shoulder.value, hip, RIBCAGE_FRACTION)
    const leg: Leg = { knee, ...planted }
    const arms = {
      wrist,
      fingertip: { x: body.length.hand.valueCm, y: 0 },
      elbow: between(wrist, shoulder.value, body.length.forearm.valueCm / armLength(body)),
    }
    return ok(
      assemble({
        id: 'loaded-squat',
        body,
        parameters: given,
        skeleton: {
          ...arms,
          shoulder: shoulder.value,
          waist,
          hip,
          crown: crownInLine(body, shoulder.value, waist),
          legs: [leg, leg],
        },
        base: { fromCm: ballX - 0.73 * foot.valueCm, toCm: handBase(body).toCm },
        supports: {
          groups: [
            on({
              part: 'feet',
              fromCm: planted.heel.y > 1 ? ballX : planted.heel.x,
              toCm: ballX,
              nominalCm: ballX,
            }),
            on(handPatch(body)),
          ],
        },
      }),
    )
  },
}

type Perch = {
  readonly elbowBendDeg: number
  /** Where the knee meets the upper arm: 0 at the elbow, 1 at the shoulder. */
  readonly kneeContact: number
  readonly roundingDeg: number
  readonly plumbCm: number
  /** How much of shin and foot shows from the side; knees to one side show less. */
  readonly shinShown: number
}

/**
 * Knees on the backs of the upper arms, hands alone carry. The forearms lean until the plumb line falls where it is
 * asked to; how far the shoulders then travel ahead of the wrists is the answer, not a setting.
 */
function perch(
  id: string,
  name: string,
  usual: Omit<Perch, 'plumbCm' | 'shinShown'>,
  shinShown: number,
): PositionSpec {
  return {
    id,
    name,
    parameters: [
      deg('elbowBendDeg', 'Elbow bend', 0, 110, usual.elbowBendDeg),
      share('kneeContact', 'Knee up the upper arm', 0.1, 0.95, usual.kneeContact),
      deg('roundingDeg', 'Rounding of the back', 0, 70, usual.roundingDeg),
      cm('plumbCm', 'Plumb line ahead of the wrists', 1, 16, (body) => 0.3 * body.length.hand.valueCm),
    ],
    solve: (body, given) => {
      const closed = closing(body, {
        elbowBendDeg: read(given, 'elbowBendDeg'),
        kneeContact: read(given, 'kneeContact'),
        roundingDeg: read(given, 'roundingDeg'),
        plumbCm: read(given, 'plumbCm'),
        shinShown,
      })
      if (!closed.ok) return closed
      const asked = closed.value
      const plumbAt = (tilt: number): number => centreOfMass(body, perched(body, asked, tilt)).x
      const tilt = turnFor(plumbAt, asked.plumbCm, -45, 75)
      if (tilt === null) return refused(cannotBalance(body, asked))
      const [patch, base] = [handPatch(body), handBase(body)]
      return ok(
        assemble({
          id,
          body,
          parameters: { ...given, roundingDeg: asked.roundingDeg },
          skeleton: perched(body, asked, tilt),
          base,
          supports: { groups: [on({ ...patch, toCm: base.toCm })] },
        }),
      )
    },
  }
}

function cannotBalance(body: Body, { plumbCm }: Perch): PositionRefusal {
  return { code: 'cannot-balance', key: 'plumbCm', plumbCm, fromCm: 0, toCm: handBase(body).toCm }
}

/** Distance of a perched knee from the bone of the arm, as a fraction of stature. */
const KNEE_OFF_BONE = 0.015

/** Knees a little wider than the hips: what shows of the thighs from the side (23° out). */
const THIGH_SHOWN = 0.92

/** No back rounds further than this. */
const MOST_ROUNDING_DEG = 80

/** Ribs, pelvis and the thigh as it shows from the side, cm. */
function links({ length: { trunk, thigh } }: Body): { ribs: number; pelvis: number; thighShown: number } {
  const ribs = RIBCAGE_FRACTION * trunk.valueCm
  return { ribs, pelvis: trunk.valueCm - ribs, thighShown: THIGH_SHOWN * thigh.valueCm }
}

/** Folded thighs hold the trunk at least this far off the way from shoulder to knee: less and the seat hangs below. */
const SEAT_LIFTED = Math.cos((50 * Math.PI) / 180)

/**
 * A perch whose trunk and thighs meet with the seat up: with the knee high on the arm a long trunk rounds more than was
 * asked, as everybody does who draws the knees up; where no back rounds so far, it is refused.
 */
function closing(body: Body, asked: Perch): Result<Perch, PositionRefusal> {
  const { shoulder, legs } = perched(body, asked, 0)
  const span = distance(shoulder, legs[0].knee)
  const { ribs, pelvis, thighShown } = links(body)
  // The law of cosines at the shoulder: the longest chord of the trunk that keeps the seat up.
  const most = span * SEAT_LIFTED + Math.sqrt(thighShown ** 2 - span ** 2 * (1 - SEAT_LIFTED ** 2))
  const roundest = spanAcross(ribs, pelvis, 180 - MOST_ROUNDING_DEG)
  if (roundest > most)
    return refused({
      code: 'trunk-does-not-reach',
      key: 'kneeContact',
      reach: { code: 'too-near', neededCm: most, leastCm: roundest },
    })
  const cosine = (most ** 2 - ribs ** 2 - pelvis ** 2) / (2 * ribs * pelvis)
  const least = cosine >= 1 ? 0 : degrees(Math.acos(cosine))
  return ok({ ...asked, roundingDeg: Math.max(asked.roundingDeg, least) })
}

function perched(
  body: Body,
  { elbowBendDeg, kneeContact, roundingDeg, shinShown }: Perch,
  forearmTilt: number,
): Skeleton {
  const { forearm, upperArm, hand, shank } = body.length
  const wrist = { x: 0, y: 0 }
  const elbow = rise(wrist, forearm.valueCm, forearmTilt - elbowBendDeg / 2)
  const shoulder = rise(elbow, upperArm.valueCm, forearmTilt + elbowBendDeg / 2)
  // Knees press on the backs of the arms from the sides: in this view close to the bone, thighs a little foreshortened.
  const bone = between(elbow, shoulder, kneeContact)
  const out = direction(elbow, shoulder)
  const flesh = KNEE_OFF_BONE * body.statureCm
  const knee = { x: bone.x - out.y * flesh, y: bone.y + out.x * flesh }
  const { ribs, pelvis, thighShown } = links(body)
  const chord = spanAcross(ribs, pelvis, 180 - roundingDeg)
  const joined = joinLinks(shoulder, chord, knee, thighShown, 'right')
  // Only until the rounding that closes it is known (`closing`).
  const hip = joined.ok ? joined.value : rise(shoulder, chord, forearmTilt - 60)
  const bent = joinLinks(shoulder, ribs, hip, pelvis, 'right')
  const waist = bent.ok ? bent.value : between(shoulder, hip, RIBCAGE_FRACTION)
  const thighTilt = tiltOf(hip, knee)
  const reach = shinShown * shank.valueCm
  const ankle = rise(knee, reach, thighTilt + 150)
  const foot = footInAir(body, ankle, direction(knee, ankle), -1)
  const leg: Leg = { knee, ...foot }
  return {
    wrist,
    elbow,
    shoulder,
    fingertip: { x: hand.valueCm, y: 0 },
    waist,
    hip,
    crown: headLifted(body, shoulder, waist, CROW_GAZE_DEG),
    legs: [leg, leg],
  }
}

/** Gaze ahead of the hands. */
const CROW_GAZE_DEG = 35

export const ARM_BALANCES: readonly PositionSpec[] = [
  PRESS_START,
  LOADED_SQUAT,
  perch('crow', 'Crow', { elbowBendDeg: 75, kneeContact: 0.6, roundingDeg: 45 }, 1),
  perch('crane', 'Crane', { elbowBendDeg: 10, kneeContact: 0.75, roundingDeg: 65 }, 1),
  perch('side-crow', 'Side crow', { elbowBendDeg: 85, kneeContact: 0.45, roundingDeg: 20 }, 0.35),
  SEATED_LIFT,
]
