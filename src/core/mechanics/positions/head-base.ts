import { jointWidthOf } from '../../body/derived'
import type { Body } from '../../body/estimate'
import { ok, refused, type Result } from '../../result'
import { joinLinks } from '../linkage'
import { parameter, perBody, read, tuned, WAIST, type Parameter, type Parameters } from '../parameters'
import type { Point } from '../point'
import { ELBOW_HEIGHT, legFrom, skeletonOf, trunkFrom, WRIST_HEIGHT, type LegAngles } from '../pose'
import { assemble, type Position, type PositionRefusal, type PositionSpec } from '../position'
import { turnFor } from '../turn'
import { centreOfMass, type Skeleton } from '../skeleton'
import type { Contact, PatchPair } from '../contacts'
import { pointPatch } from '../surfaces'

const { cm, deg } = parameter

/**
 * The little-finger edge of a clasped forearm bears over its fleshy two thirds, load falling off evenly from the elbow,
 * so its centre lies two ninths along. At the elbow itself the crown of an average body would carry about 15 points
 * more, a third along about 15 points less.
 */
const CLASPED_PRESSURE = 2 / 9

/** Crown to the back of the head, which lies in the cupped hands, as a fraction of stature. */
const CROWN_TO_HANDS = 0.05

/** How far the cupped palms reach beyond the wrist line, as a fraction of the hand. */
const CUP = 0.25

/** Elbow line to wrists, seen from the side: forearms close in from elbow width to the clasp. */
function claspDepth(body: Body): number {
  const forearm = body.length.forearm.valueCm
  const half = Math.min(0.9 * forearm, jointWidthOf(body).valueCm / 2)
  return Math.sqrt(forearm ** 2 - half ** 2)
}

/** Elbow line to crown with the back of the head in the cupped hands. */
function usualCrownDistance(body: Body): number {
  return claspDepth(body) + CUP * body.length.hand.valueCm - CROWN_TO_HANDS * body.statureCm
}

/**
 * How far the shoulder blades glide on the ribs under load, cm (props.md M14: 3–5, the lower for what counts on it, the
 * middle for what is drawn).
 */
const PUSH_CM = 3
const GLIDE_CM = 4

/**
 * Of a straight headstand the plumb line is taken to fall this far from the elbows to the crown: it is free, and where
 * practised students keep it the crown peaks at the published 40–48 %. A longer or shorter arm does not move it.
 */
const PLUMB_STRAIGHT = 0.6

/** What lies under both forearms so that the arms can carry the head. */
export const FOREARM_LIFT = cm('forearmLiftCm', 'Laid under the forearms', 0, 15, 0)

export const CROWN = cm('crownDistanceCm', 'Crown from the elbow line', 6, 32, usualCrownDistance)
export const LEAN = deg('leanDeg', 'Trunk towards the hands', -40, 40, 0)

type Triangle = {
  arms: Pick<Skeleton, 'elbow' | 'wrist' | 'fingertip'>
  shoulder: Point
  crown: Point
  group: (throughCm: number) => PatchPair
  /** The least that the crown carries of what comes down through the shoulders: above 0 where arms cannot reach. */
  leastOnCrown: number
}

/**
 * Elbows, crown and clasped hands; the neck stands upright over the crown and the glide of the blades takes up what arm
 * and neck leave between them, so that a centimetre of arm does not move the plumb line.
 */
export function triangle(body: Body, parameters: Parameters): Result<Triangle, PositionRefusal> {
  const { upperArm, headNeck, hand } = body.length
  const crown = { x: read(parameters, 'crownDistanceCm'), y: 0 }
  const lift = 'forearmLiftCm' in parameters ? read(parameters, 'forearmLiftCm') : 0
  const elbow = { x: 0, y: ELBOW_HEIGHT * body.statureCm + lift }
  const wanted = Math.hypot(crown.x - elbow.x, headNeck.valueCm - elbow.y)
  const arm = Math.min(upperArm.valueCm + GLIDE_CM, Math.max(upperArm.valueCm - GLIDE_CM, wanted))
  const shoulder = joinLinks(elbow, arm, crown, headNeck.valueCm, 'up')
  if (!shoulder.ok)
    return refused({ code: 'arms-do-not-reach', key: 'crownDistanceCm', reach: shoulder.refusal })
  const depth = claspDepth(body)
  const nominalCm = Math.min(CLASPED_PRESSURE * depth, 0.8 * crown.x)
  return ok({
    shoulder: shoulder.value,
    crown,
    arms: {
      elbow,
      wrist: { x: depth, y: WRIST_HEIGHT * body.statureCm + lift },
      fingertip: { x: depth + CUP * hand.valueCm, y: lift },
    },
    leastOnCrown: leastOnCrown(body, crown.x, elbow.y),
    group: (throughCm) => ({
      patches: [
        { part: 'forearms', fromCm: 0, toCm: Math.max(depth, crown.x), nominalCm },
        pointPatch('crown', crown.x),
      ],
      throughCm,
    }),
  })
}

/**
 * Arms whose push still leaves the head on the floor cannot take it off: once a whole push is lacking they have nothing
 * left to press with, and the crown carries all. Between the two it rises evenly; it never falls as arms get shorter.
 */
function leastOnCrown(body: Body, crownX: number, elbowY: number): number {
  const arm = body.length.upperArm.valueCm + PUSH_CM
  const reach = elbowY + Math.sqrt(Math.max(0, arm ** 2 - crownX ** 2))
  return Math.min(1, Math.max(0, (body.length.headNeck.valueCm - reach) / PUSH_CM))
}

/** Contacts with no less on the crown than arms of this length leave there; the forearms carry so much less. */
function heldByCrown(contacts: readonly Contact[], least: number): Contact[] {
  const crown = contacts.find((c) => c.part === 'crown')
  const forearms = contacts.find((c) => c.part === 'forearms')
  if (least === 0 || !crown || !forearms) return [...contacts]
  const value = Math.max(crown.share.value, least * (crown.share.value + forearms.share.value))
  const most = Math.max(crown.share.max, value)
  const [low, high] = [crown, forearms].map((c) => c.share.min + c.share.max) as [number, number]
  const min = Math.min(value, Math.max(crown.share.min, (least * (low + high)) / 2))
  const rest = crown.share.value + forearms.share.value - value
  return contacts.map((c) =>
    c === crown
      ? { ...c, share: { value, min, max: most } }
      : c === forearms
        ? {
            ...c,
            share: {
              value: rest,
              min: Math.min(c.share.min, rest),
              max: Math.max(rest, Math.min(c.share.max, crown.share.value + forearms.share.value - min)),
            },
          }
        : c,
  )
}

export const both = (leg: LegAngles): readonly [LegAngles, LegAngles] => [leg, leg]
export type Legs = (p: Parameters) => readonly [LegAngles, LegAngles]

/** Any headstand with both feet off the floor. Where no lean is given, the plumb line falls midway to the crown; straight, a little further. */
export function headstand(
  id: string,
  name: string,
  parameters: readonly Parameter[],
  legs: Legs,
  stacked = false,
): PositionSpec {
  const usualLegs = (): readonly [LegAngles, LegAngles] =>
    legs(Object.fromEntries(parameters.map((p) => [p.key, p.usual as number])))
  const lean = (body: Body): number => {
    const base = triangle(body, { crownDistanceCm: usualCrownDistance(body) })
    if (!base.ok) return 0
    const { crown } = base.value
    const at = (leanDeg: number): number =>
      centreOfMass(body, figure(body, base.value, leanDeg, 0, usualLegs())).x
    return turnFor(at, (stacked ? PLUMB_STRAIGHT : 0.5) * crown.x, LEAN.min, LEAN.max) ?? 0
  }
  return {
    id,
    name,
    parameters: [CROWN, tuned(LEAN, { usual: perBody(lean) }), FOREARM_LIFT, WAIST, ...parameters],
    solve: (body, given) => {
      const base = triangle(body, given)
      if (!base.ok) return base
      const skeleton = figure(body, base.value, read(given, 'leanDeg'), read(given, 'waistDeg'), legs(given))
      const through = centreOfMass(body, skeleton).x
      return ok(
        onCrown(
          assemble({
            id,
            body,
            parameters: given,
            skeleton,
            base: { fromCm: 0, toCm: base.value.arms.fingertip.x },
            supports: { groups: [base.value.group(through)] },
          }),
          base.value,
        ),
      )
    },
  }
}

/** A position with at least on the crown what its arms leave there. */
export function onCrown(position: Position, { leastOnCrown: least }: Triangle): Position {
  return { ...position, contacts: heldByCrown(position.contacts, least) }
}

function figure(
  body: Body,
  { arms, shoulder, crown }: Triangle,
  leanDeg: number,
  waistDeg: number,
  [a, b]: readonly [LegAngles, LegAngles],
): Skeleton {
  const trunk = trunkFrom(body, shoulder, leanDeg, waistDeg, 1)
  const first = legFrom(body, trunk, a, 1)
  return skeletonOf(arms, trunk, [first, a === b ? first : legFrom(body, trunk, b, 1)], crown)
}
