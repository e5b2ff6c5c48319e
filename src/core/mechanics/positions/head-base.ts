import { jointWidthOf } from '../../body/derived'
import type { Body } from '../../body/estimate'
import { ok, refused, type Result } from '../../result'
import { joinLinks } from '../linkage'
import { parameter, perBody, read, tuned, WAIST, type Parameter, type Parameters } from '../parameters'
import type { Point } from '../point'
import { legFrom, skeletonOf, trunkFrom, type LegAngles } from '../pose'
import { assemble, type PositionRefusal, type PositionSpec } from '../position'
import { turnFor } from '../turn'
import { centreOfMass, type Skeleton } from '../skeleton'
import type { PatchPair } from '../contacts'
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

export const CROWN = cm('crownDistanceCm', 'Crown from the elbow line', 6, 32, usualCrownDistance)
export const LEAN = deg('leanDeg', 'Trunk towards the hands', -40, 40, 0)

type Triangle = {
  arms: Pick<Skeleton, 'elbow' | 'wrist' | 'fingertip'>
  shoulder: Point
  crown: Point
  group: (throughCm: number) => PatchPair
}

/** Elbows, crown and clasped hands on the floor; the shoulder follows from arm and neck length. */
export function triangle(body: Body, parameters: Parameters): Result<Triangle, PositionRefusal> {
  const { upperArm, headNeck, hand } = body.length
  const crown = { x: read(parameters, 'crownDistanceCm'), y: 0 }
  const elbow = { x: 0, y: 0 }
  const shoulder = joinLinks(elbow, upperArm.valueCm, crown, headNeck.valueCm, 'up')
  if (!shoulder.ok)
    return refused({ code: 'arms-do-not-reach', key: 'crownDistanceCm', reach: shoulder.refusal })
  const depth = claspDepth(body)
  const nominalCm = Math.min(CLASPED_PRESSURE * depth, 0.8 * crown.x)
  return ok({
    shoulder: shoulder.value,
    crown,
    arms: { elbow, wrist: { x: depth, y: 0 }, fingertip: { x: depth + CUP * hand.valueCm, y: 0 } },
    group: (throughCm) => ({
      patches: [
        { part: 'forearms', fromCm: 0, toCm: Math.max(depth, crown.x), nominalCm },
        pointPatch('crown', crown.x),
      ],
      throughCm,
    }),
  })
}

export const both = (leg: LegAngles): readonly [LegAngles, LegAngles] => [leg, leg]
export type Legs = (p: Parameters) => readonly [LegAngles, LegAngles]

/** Any headstand with both feet off the floor. Where no lean is given, the plumb line falls midway to the crown. */
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
    const { shoulder, crown } = base.value
    const at = (leanDeg: number): number =>
      centreOfMass(body, figure(body, base.value, leanDeg, 0, usualLegs())).x
    return turnFor(at, Math.max(shoulder.x, 0.5 * crown.x), LEAN.min, LEAN.max) ?? 0
  }
  return {
    id,
    name,
    parameters: [CROWN, stacked ? LEAN : tuned(LEAN, { usual: perBody(lean) }), WAIST, ...parameters],
    solve: (body, given) => {
      const base = triangle(body, given)
      if (!base.ok) return base
      const skeleton = figure(body, base.value, read(given, 'leanDeg'), read(given, 'waistDeg'), legs(given))
      const through = centreOfMass(body, skeleton).x
      return ok(
        assemble({
          id,
          body,
          parameters: given,
          skeleton,
          base: { fromCm: 0, toCm: base.value.arms.fingertip.x },
          supports: { groups: [base.value.group(through)] },
        }),
      )
    },
  }
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
