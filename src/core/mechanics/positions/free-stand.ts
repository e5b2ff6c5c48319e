import type { Body } from '../../body/estimate'
import { ok } from '../../result'
import { parameter, perBody, read, tuned, WAIST, type Parameter, type Parameters } from '../parameters'
import { legFrom, skeletonOf, straightArms, trunkFrom, type LegAngles } from '../pose'
import { assemble, type Position, type PositionSpec } from '../position'
import { rootOf } from '../root'
import { turnFor } from '../turn'
import { centreOfMass, type Leg, type Skeleton } from '../skeleton'
import { on } from '../contacts'
import { armSupport, forearmBase, handBase, type ArmKind } from '../surfaces'
import { GAZE, LEAN, SHOULDERS, upsideDown, STRAIGHT, both } from './upside-down'

const { deg } = parameter

/** How a free balance holds its legs: which of its parameters mean what. */
type Shape = {
  readonly parameters: readonly Parameter[]
  readonly legs: (p: Parameters) => readonly [LegAngles, LegAngles]
}

export const SHAPES = {
  straight: { parameters: [], legs: () => both(STRAIGHT) },
  tuck: {
    parameters: [
      deg('hipFlexionDeg', 'Hip fold', 30, 140, 110),
      deg('kneeBendDeg', 'Knee bend', 30, 150, 130),
    ],
    legs: (p) => both({ hipFlexionDeg: read(p, 'hipFlexionDeg'), kneeBendDeg: read(p, 'kneeBendDeg') }),
  },
  oneKnee: {
    parameters: [
      deg('hipFlexionDeg', 'Tucked hip fold', 30, 140, 100),
      deg('kneeBendDeg', 'Tucked knee bend', 30, 150, 120),
      deg('backLegDeg', 'Other leg behind upright', -10, 50, 15),
    ],
    legs: (p) => [
      { hipFlexionDeg: read(p, 'hipFlexionDeg'), kneeBendDeg: read(p, 'kneeBendDeg') },
      { hipFlexionDeg: -read(p, 'backLegDeg'), kneeBendDeg: 0 },
    ],
  },
  split: {
    parameters: [
      deg('frontLegDeg', 'Front leg from upright', 0, 90, 35),
      deg('backLegDeg', 'Back leg past upright', -10, 70, 35),
    ],
    legs: (p) => [
      { hipFlexionDeg: read(p, 'frontLegDeg'), kneeBendDeg: 0 },
      { hipFlexionDeg: -read(p, 'backLegDeg'), kneeBendDeg: 0 },
    ],
  },
} satisfies Record<string, Shape>

/** The lean of the whole body that brings the plumb line a third of the way along the base. */
function balancingLean(kind: ArmKind, shape: Shape): (body: Body) => number {
  return (body) => {
    const legs = shape.legs(Object.fromEntries(shape.parameters.map((p) => [p.key, p.usual as number])))
    const target = (kind === 'hands' ? handBase(body) : forearmBase(body)).toCm / 3
    const at = (lean: number): number =>
      centreOfMass(body, upsideDown(body, kind, { armLeanDeg: lean, ribLeanDeg: lean, waistDeg: 0, legs }))
        .x - target
    return rootOf(at, LEAN.min, LEAN.max) ?? 0
  }
}

/** A free balance with its legs in a shape; it begins where the plumb line falls a third of the way along the base. */
export function balance(id: string, name: string, kind: ArmKind, shape: Shape): PositionSpec {
  return {
    id,
    name,
    parameters: [
      tuned(LEAN, { usual: perBody(balancingLean(kind, shape)) }),
      SHOULDERS,
      WAIST,
      GAZE,
      ...shape.parameters,
    ],
    solve: (body, parameters) => {
      const lean = read(parameters, 'leanDeg')
      const skeleton = upsideDown(body, kind, {
        armLeanDeg: lean + read(parameters, 'shoulderLeanDeg'),
        ribLeanDeg: lean,
        waistDeg: read(parameters, 'waistDeg'),
        legs: shape.legs(parameters),
        gazeDeg: read(parameters, 'gazeDeg'),
      })
      return ok(freeStand(id, body, kind, parameters, skeleton))
    },
  }
}

function freeStand(
  id: string,
  body: Body,
  kind: ArmKind,
  parameters: Parameters,
  skeleton: Skeleton,
): Position {
  const { patch, base } = armSupport(body, kind, 0)
  return assemble({
    id,
    body,
    parameters,
    skeleton,
    base,
    // Fingertips may carry for a moment: the whole hand is the base, so pressure may reach its end.
    supports: { groups: [on({ ...patch, toCm: base.toCm })] },
  })
}

/** Legs held sideways: seen from the side they are shorter by the cosine of the opening. */
function straddle(body: Body, parameters: Parameters): Skeleton {
  const lean = read(parameters, 'leanDeg')
  const arms = straightArms(body, lean + read(parameters, 'shoulderLeanDeg'))
  const trunk = trunkFrom(body, arms.shoulder, lean, read(parameters, 'waistDeg'), 1)
  const full = legFrom(body, trunk, { hipFlexionDeg: read(parameters, 'hipFlexionDeg'), kneeBendDeg: 0 }, 1)
  const shorter = Math.cos((read(parameters, 'straddleDeg') * Math.PI) / 180)
  const pull = (p: { x: number; y: number }): { x: number; y: number } => ({
    x: trunk.hip.x + (p.x - trunk.hip.x) * shorter,
    y: trunk.hip.y + (p.y - trunk.hip.y) * shorter,
  })
  const leg: Leg = {
    knee: pull(full.knee),
    ankle: pull(full.ankle),
    heel: pull(full.heel),
    toe: pull(full.toe),
  }
  return skeletonOf(arms, trunk, [leg, leg])
}

const STRADDLE_PARAMETERS: readonly Parameter[] = [
  LEAN,
  SHOULDERS,
  WAIST,
  deg('straddleDeg', 'Each leg out to the side', 0, 75, 50),
  deg('hipFlexionDeg', 'Hip fold', 0, 90, 25),
]

export const STRADDLE: PositionSpec = {
  id: 'handstand-straddle',
  name: 'Handstand, legs wide',
  parameters: STRADDLE_PARAMETERS.map((p) =>
    p === LEAN
      ? tuned(p, {
          usual: perBody((body) => {
            const given = { shoulderLeanDeg: 0, waistDeg: 0, straddleDeg: 50, hipFlexionDeg: 25 }
            const at = (leanDeg: number): number =>
              centreOfMass(body, straddle(body, { ...given, leanDeg })).x
            return turnFor(at, handBase(body).toCm / 3, LEAN.min, LEAN.max) ?? 0
          }),
        })
      : p,
  ),
  solve: (body, parameters) =>
    ok(freeStand('handstand-straddle', body, 'hands', parameters, straddle(body, parameters))),
}
