import type { Body } from '../../body/estimate'
import { ok, refused, type Result } from '../../result'
import { joinLinks } from '../linkage'
import { add, angleAt, direction, polar, type Point } from '../point'
import {
  assemble,
  read,
  type Parameter,
  type Parameters,
  type Position,
  type PositionRefusal,
  type PositionSpec,
} from '../position'
import { crownInLine, footInAir, footOnBall, straightWaist, type Skeleton } from '../skeleton'
import { twoSupports } from '../statics'
import { handBase, handPatch, pointPatch } from '../surfaces'

/** Heels over the balls of the feet. */
const PLANK_HEEL_LIFT_DEG = 65

const PARAMETERS: readonly Parameter[] = [
  {
    key: 'shoulderOffsetCm',
    label: 'Shoulders ahead of the wrists',
    unit: 'cm',
    min: -10,
    max: 15,
    usual: 0,
  },
  { key: 'depthCm', label: 'Lowered by', unit: 'cm', min: 0, max: 45, usual: 0 },
]

/** High plank: hands and balls of the feet, one line from crown to heel; `depthCm` lowers it towards the push-up. */
export const HIGH_PLANK: PositionSpec = {
  id: 'high-plank',
  name: 'High plank',
  parameters: PARAMETERS,
  solve: (body, parameters) => solvePlank('high-plank', body, parameters),
}

/** Plank on the knees, shins lifted: straight from crown to knees. */
export const KNEE_PLANK: PositionSpec = {
  id: 'knee-plank',
  name: 'Knee plank',
  parameters: PARAMETERS,
  solve: (body, parameters) => solvePlank('knee-plank', body, parameters),
}

type PlankId = 'high-plank' | 'knee-plank'

function solvePlank(id: PlankId, body: Body, parameters: Parameters): Result<Position, PositionRefusal> {
  const offset = read(parameters, 'shoulderOffsetCm')
  const depth = read(parameters, 'depthCm')
  const arm = body.length.upperArm.valueCm + body.length.forearm.valueCm
  const top = { x: offset, y: Math.sqrt(arm ** 2 - offset ** 2) }
  const lineAt = id === 'high-plank' ? onToes : onKnees
  const upright = lineAt(body, top)
  const lowered = lineAt(body, { x: 0, y: top.y - depth })
  if (!upright || !lowered)
    return refused({
      code: 'parameter-out-of-range',
      key: 'depthCm',
      value: depth,
      min: 0,
      max: Math.floor(top.y),
    })
  // Feet or knees stay put while the body is lowered, so the shoulders swing forward about them.
  const shoulder = { x: upright.supportX - lowered.supportX, y: top.y - depth }
  const line = lineAt(body, shoulder) ?? lowered
  const arms = placeArms(body, shoulder)
  if (!arms.ok) return arms
  const waist = straightWaist(shoulder, line.hip)
  const skeleton: Skeleton = {
    ...arms.value,
    shoulder,
    crown: crownInLine(body, shoulder, waist),
    waist,
    hip: line.hip,
    legs: [line.leg, line.leg],
  }
  return ok(
    assemble({
      id,
      body,
      parameters,
      skeleton,
      base: { fromCm: line.supportX, toCm: handBase(body).toCm },
      wallX: null,
      angles: {
        hipFlexionDeg: 180 - angleAt(line.hip, shoulder, line.leg.knee),
        shoulderFlexionDeg: angleAt(shoulder, line.hip, skeleton.elbow),
        trunkLeanDeg: line.leanDeg,
        kneeBendDeg: 180 - angleAt(line.leg.knee, line.hip, line.leg.ankle),
        archDeg: 0,
      },
      carry: (centreX) =>
        twoSupports(
          centreX,
          pointPatch(id === 'high-plank' ? 'toes' : 'knees', line.supportX),
          handPatch(body),
        ),
    }),
  )
}

function placeArms(
  body: Body,
  shoulder: Point,
): Result<Pick<Skeleton, 'wrist' | 'fingertip' | 'elbow'>, PositionRefusal> {
  const { upperArm, forearm, hand } = body.length
  const wrist = { x: 0, y: 0 }
  // A straight arm is exactly at its reach; rounding must not turn that into "too far".
  const reachable = Math.min(
    1,
    (upperArm.valueCm + forearm.valueCm) / Math.hypot(shoulder.x, shoulder.y) - 1e-12,
  )
  const target = { x: shoulder.x * reachable, y: shoulder.y * reachable }
  const elbow = joinLinks(wrist, forearm.valueCm, target, upperArm.valueCm, 'back')
  if (!elbow.ok || reachable < 1 - 1e-9) {
    const reach = elbow.ok
      ? ({
          code: 'too-far',
          neededCm: Math.hypot(shoulder.x, shoulder.y),
          reachCm: upperArm.valueCm + forearm.valueCm,
        } as const)
      : elbow.refusal
    return refused({ code: 'arms-do-not-reach', key: 'shoulderOffsetCm', reach })
  }
  return ok({ wrist, fingertip: { x: hand.valueCm, y: 0 }, elbow: elbow.value })
}

type Line = { hip: Point; leg: Skeleton['legs'][0]; supportX: number; leanDeg: number }

/** One line from the shoulder to the ankle; the ball of the foot falls where that line puts it. */
function onToes(body: Body, shoulder: Point): Line | null {
  const { trunk, thigh, shank } = body.length
  const foot = footOnBall(body, { x: 0, y: 0 }, PLANK_HEEL_LIFT_DEG)
  const slope = slopeTo(shoulder.y - foot.ankle.y, trunk.valueCm + thigh.valueCm + shank.valueCm)
  if (slope === null) return null
  const hip = polar(shoulder, trunk.valueCm, slope)
  const knee = polar(hip, thigh.valueCm, slope)
  const ankle = polar(knee, shank.valueCm, slope)
  const shift = { x: ankle.x - foot.ankle.x, y: 0 }
  return {
    hip,
    leg: { knee, ankle, heel: add(foot.heel, shift), toe: add(foot.toe, shift) },
    supportX: shift.x,
    leanDeg: slope - 90,
  }
}

/** One line from the shoulder to the knee on the floor; shins lifted to a right angle, as in the published trials. */
function onKnees(body: Body, shoulder: Point): Line | null {
  const { trunk, thigh, shank } = body.length
  const slope = slopeTo(shoulder.y, trunk.valueCm + thigh.valueCm)
  if (slope === null) return null
  const hip = polar(shoulder, trunk.valueCm, slope)
  const knee = polar(hip, thigh.valueCm, slope)
  const ankle = polar(knee, shank.valueCm, slope - 90)
  return {
    hip,
    leg: { knee, ...footInAir(body, ankle, direction(knee, ankle), -1) },
    supportX: knee.x,
    leanDeg: slope - 90,
  }
}

/** Angle above the floor, pointing away from the wall, of a straight line that drops `height` over `length`. */
function slopeTo(height: number, length: number): number | null {
  if (height < 0 || height > length) return null
  return 180 + (Math.asin(height / length) * 180) / Math.PI
}
