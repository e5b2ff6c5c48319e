import type { Body } from '../../body/estimate'
import { ok } from '../../result'
import { plantedFrame } from '../frame'
import {
  HEEL_LIFT,
  HIP_RANGE,
  KNEE_BEND,
  LEAD_LEG,
  parameter,
  read,
  SHOULDER_LEAN,
  SHOULDER_RANGE,
  tuned,
  type Parameter,
  type Parameters,
} from '../parameters'
import { armsOnForearms, headBeforeWall, legAlong, skeletonOf } from '../pose'
import { assemble, type Assembly, type PositionSpec } from '../position'
import { on } from '../contacts'
import { armSupport, patchAround, pointPatch, type ArmKind } from '../surfaces'

// props.md M15: walk-in 0.35–0.65 of stature; the middle is a usual dolphin.
export const TOE_DISTANCE = parameter.cm(
  'toeDistanceCm',
  'Balls of the feet from the support',
  30,
  140,
  (b) => 0.52 * b.statureCm,
)

/** Shared by every shape on forearms and feet. */
export const DOLPHIN_PARAMETERS: readonly Parameter[] = [
  TOE_DISTANCE,
  SHOULDER_LEAN,
  KNEE_BEND,
  HEEL_LIFT,
  HIP_RANGE,
  SHOULDER_RANGE,
]

/** With the forearms up a wall only the elbow end carries: half of that patch, as a fraction of stature. */
const ELBOW_END = 0.012

type Variant = {
  id: string
  name: string
  arms?: ArmKind
  parameters: readonly Parameter[]
  /** What is added once the joints are known. */
  extra?: (body: Body, parameters: Parameters) => Partial<Pick<Assembly, 'wallX' | 'rise'>>
}

/** Any shape on forearms (or straight arms) and the balls of the feet, perhaps with one leg lifted, perhaps on a raised surface. */
export function dolphinShape({
  id,
  name,
  arms: kind = 'forearms',
  parameters,
  extra,
}: Variant): PositionSpec {
  return {
    id,
    name,
    parameters,
    solve: (body, given) => {
      const height = given.forearmHeightCm ?? 0
      const lean = read(given, 'shoulderLeanDeg')
      const flat = armSupport(body, kind, lean, height)
      const upWall = given.forearmTiltDeg
      const { arms, patch, base } =
        upWall === undefined
          ? flat
          : {
              ...flat,
              arms: armsOnForearms(body, lean, -upWall),
              patch: patchAround('forearms', ELBOW_END * body.statureCm, ELBOW_END * body.statureCm),
            }
      const frame = plantedFrame(body, given, arms.shoulder, arms.elbow)
      if (!frame.ok) return frame
      const { trunk, leg, ballX } = frame.value
      const more = extra?.(body, given)
      const head = headBeforeWall(body, trunk, more?.wallX ?? null)
      const lifted =
        given.leadLegDeg === undefined ? leg : legAlong(body, trunk.hip, given.leadLegDeg - 90, 0, 1)
      return ok(
        assemble({
          id,
          body,
          parameters: given,
          skeleton: skeletonOf(arms, trunk, [leg, lifted], head),
          base: { fromCm: ballX, toCm: base.toCm },
          supports: {
            groups: [on(pointPatch('toes', ballX)), on(patch)],
          },
          ...more,
        }),
      )
    },
  }
}

const leaning = (usual: number): readonly Parameter[] =>
  DOLPHIN_PARAMETERS.map((p) => (p === SHOULDER_LEAN ? tuned(p, { usual }) : p))

export const DOLPHINS: readonly PositionSpec[] = [
  dolphinShape({ id: 'dolphin', name: 'Dolphin', parameters: DOLPHIN_PARAMETERS }),
  dolphinShape({
    id: 'dolphin-raised',
    name: 'Dolphin with raised forearms',
    parameters: [parameter.cm('forearmHeightCm', 'Forearms raised by', 0, 75, 45), ...DOLPHIN_PARAMETERS],
  }),
  dolphinShape({
    id: 'dolphin-leg-lifted',
    name: 'Dolphin, one leg lifted',
    parameters: [...DOLPHIN_PARAMETERS, LEAD_LEG],
  }),
  dolphinShape({ id: 'dolphin-rock-forward', name: 'Dolphin rock, forward end', parameters: leaning(20) }),
  dolphinShape({ id: 'dolphin-rock-back', name: 'Dolphin rock, back end', parameters: leaning(-15) }),
  dolphinShape({
    id: 'dolphin-at-corner',
    name: 'Elbows where floor meets wall, forearms up it',
    parameters: [
      parameter.deg('forearmTiltDeg', 'Forearms off the wall', 0, 30, 3),
      ...DOLPHIN_PARAMETERS.map((p) => (p === SHOULDER_LEAN ? tuned(p, { usual: -25, min: -60 }) : p)),
    ],
    extra: (body) => ({ wallX: 0.02 * body.statureCm }),
  }),
]
