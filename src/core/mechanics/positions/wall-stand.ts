import type { Body } from '../../body/estimate'
import { riseBetween } from '../energy'
import { ok, refused, type Result } from '../../result'
import { FRICTION, GAP, LEAD_LEG, parameter, read, tuned, WAIST, type Parameters } from '../parameters'
import { legFrom, skeletonOf, trunkFrom, type LegAngles } from '../pose'
import { assemble, type Position, type PositionRefusal, type PositionSpec } from '../position'
import { subtract } from '../point'
import { rootOf } from '../root'
import { turnFor } from '../turn'
import { mirrored, type Skeleton } from '../skeleton'
import { on } from '../contacts'
import { armSupport, forearmBase, handBase, type ArmKind } from '../surfaces'
import { DOLPHIN_PARAMETERS, dolphinShape, TOE_DISTANCE } from './dolphin'
import {
  pivotOf,
  SHOULDERS,
  upsideDown,
  STRAIGHT,
  both,
  GAZE,
  turnedX,
  skeletonLean,
  uprightCentreHeight,
} from './upside-down'

const { cm, deg, share } = parameter

/** Legs no further from upright than this are still a stand; beyond it the heels cannot rest. */
const MOST_LEAN_DEG = 75

type AtWall = { id: string; name: string; kind: ArmKind; oneFoot?: boolean }

/** Heels on the wall. `archShare` 0 leans the whole body as one, 1 stacks arms and trunk and leans the legs only. */
export function heelsOnWall({ id, name, kind, oneFoot = false }: AtWall): PositionSpec {
  return {
    id,
    name,
    parameters: [
      GAP,
      share('archShare', 'How much the waist arches', 0, 1, 0),
      SHOULDERS,
      GAZE,
      FRICTION,
      ...(oneFoot ? [deg('freeLegDeg', 'Free leg in front of the other', 0, 60, 0)] : []),
    ],
    solve: (body, parameters) => {
      const base = kind === 'hands' ? handBase(body) : forearmBase(body)
      const wallX = base.toCm + read(parameters, 'fingertipGapCm')
      const arch = read(parameters, 'archShare')
      const shoulders = read(parameters, 'shoulderLeanDeg')
      const free = parameters.freeLegDeg ?? 0
      const at = (legLean: number): Skeleton => {
        const trunkLean = (1 - arch) * legLean
        const onWall = { hipFlexionDeg: trunkLean - legLean, kneeBendDeg: 0 }
        const legs: readonly [LegAngles, LegAngles] = oneFoot
          ? [onWall, { hipFlexionDeg: trunkLean - legLean * (1 - arch) + free, kneeBendDeg: 0 }]
          : both(onWall)
        return upsideDown(body, kind, {
          armLeanDeg: trunkLean + shoulders,
          ribLeanDeg: trunkLean,
          waistDeg: 0,
          legs,
          gazeDeg: read(parameters, 'gazeDeg'),
        })
      }
      // Arms, trunk and legs turn as three rigid pieces, so the heel's way needs no whole figure at every step.
      const still = at(0)
      const [{ heel }] = still.legs
      const heelX = (legLean: number): number => {
        const trunkLean = (1 - arch) * legLean
        return (
          turnedX(subtract(still.hip, pivotOf(still, kind)), trunkLean) +
          turnedX(subtract(heel, still.hip), legLean)
        )
      }
      const lean = rootOf((legLean) => heelX(legLean) - wallX, -MOST_LEAN_DEG, MOST_LEAN_DEG)
      if (lean === null)
        return refused({ code: 'wall-out-of-reach', elbowToWallCm: wallX, reachCm: heelX(MOST_LEAN_DEG) })
      const skeleton = at(lean)
      const { patch } = armSupport(body, kind, skeletonLean(skeleton, kind))
      return ok(
        assemble({
          id,
          body,
          parameters,
          skeleton,
          base,
          wallX,
          supports: {
            groups: [on({ ...patch, toCm: base.toCm })],
            wall: {
              part: 'wallFeet',
              at: skeleton.legs[0].heel,
              friction: read(parameters, 'wallFriction'),
              frictionUse: 0,
            },
          },
        }),
      )
    },
  }
}

/** Chest to the wall: fingers point away from it, toes touch it, the whole body leans in as one or arches. */
export const CHEST_TO_WALL: PositionSpec = {
  id: 'handstand-chest-to-wall',
  name: 'Handstand, chest to the wall',
  parameters: [cm('handDistanceCm', 'Heels of the hands from the wall', 8, 60, 20), WAIST, GAZE, FRICTION],
  solve: (body, parameters) => chestToWall('handstand-chest-to-wall', 'hands', body, parameters),
}

export const FOREARM_CHEST_TO_WALL: PositionSpec = {
  id: 'forearm-stand-chest-to-wall',
  name: 'Forearm stand, chest to the wall',
  parameters: [cm('handDistanceCm', 'Elbows from the wall', 12, 60, 25), WAIST, GAZE, FRICTION],
  solve: (body, parameters) => chestToWall('forearm-stand-chest-to-wall', 'forearms', body, parameters),
}

function chestToWall(
  id: string,
  kind: ArmKind,
  body: Body,
  parameters: Parameters,
): Result<Position, PositionRefusal> {
  const wallX = read(parameters, 'handDistanceCm')
  // Built with the back to the wall, leaning away from it, and turned round.
  const at = (lean: number): Skeleton =>
    mirrored(
      upsideDown(body, kind, {
        armLeanDeg: -lean,
        ribLeanDeg: -lean,
        waistDeg: read(parameters, 'waistDeg'),
        legs: both(STRAIGHT),
        gazeDeg: read(parameters, 'gazeDeg'),
      }),
    )
  const still = at(0)
  const toe = subtract(still.legs[0].toe, pivotOf(still, kind))
  const lean = turnFor((tilt) => turnedX(toe, tilt), wallX, -40, 60)
  if (lean === null)
    return refused({ code: 'wall-out-of-reach', elbowToWallCm: wallX, reachCm: turnedX(toe, 60) })
  const skeleton = at(lean)
  const { patch, base } = armSupport(body, kind, 0)
  return ok(
    assemble({
      id,
      body,
      parameters,
      facing: -1,
      skeleton,
      wallX,
      base: { fromCm: -base.toCm, toCm: 0 },
      supports: {
        groups: [on({ ...patch, fromCm: -base.toCm, toCm: 0, nominalCm: -patch.nominalCm })],
        wall: {
          part: 'wallFeet',
          at: skeleton.legs[0].toe,
          friction: read(parameters, 'wallFriction'),
          frictionUse: 0,
        },
      },
    }),
  )
}

/** The dolphin from which a kick to the wall leaves, with the rise that its centre of mass still has to make. */
export function kickStart(id: string, name: string, arms: ArmKind): PositionSpec {
  return dolphinShape({
    id,
    name,
    arms,
    parameters: [
      GAP,
      ...DOLPHIN_PARAMETERS.map((p) =>
        p === TOE_DISTANCE
          ? tuned(p, { usual: (body: Body) => (arms === 'hands' ? 0.5 : 0.45) * body.statureCm })
          : p,
      ),
      LEAD_LEG,
    ],
    extra: (body, given) => ({
      wallX: (arms === 'hands' ? handBase(body) : forearmBase(body)).toCm + read(given, 'fingertipGapCm'),
      rise: (centreY) => riseBetween(centreY, uprightCentreHeight(body, arms)),
    }),
  })
}

/** Upper back leaning on a stack at the wall: forearms carry, the stack pushes, the crown hangs free. */
export const BACK_ON_STACK: PositionSpec = {
  id: 'forearm-stand-back-on-stack',
  name: 'Forearms, upper back on a stack',
  parameters: [
    cm('stackDistanceCm', 'Elbows from the face of the stack', 10, 60, (b) => 0.18 * b.statureCm),
    cm('forearmLiftCm', 'Forearms raised by', 0, 15, 0),
    deg('hipFlexionDeg', 'Hip fold', 0, 110, 85),
    deg('kneeBendDeg', 'Knee bend', 0, 130, 75),
    share('wallFriction', 'Friction of the stack', 0, 0.5, 0.3),
  ],
  solve: (body, parameters) => {
    // The face of the stack; the wall stands behind it.
    const faceX = read(parameters, 'stackDistanceCm')
    const lift = read(parameters, 'forearmLiftCm')
    // The blades lie half a chest's depth behind the trunk's line, a quarter of the way down the ribs.
    const chest = 0.06 * body.statureCm
    const at = (lean: number): { skeleton: Skeleton; blade: { x: number; y: number } } => {
      const { arms } = armSupport(body, 'forearms', lean, lift)
      const trunk = trunkFrom(body, arms.shoulder, lean, 0, 1)
      const leg = legFrom(
        body,
        trunk,
        { hipFlexionDeg: read(parameters, 'hipFlexionDeg'), kneeBendDeg: read(parameters, 'kneeBendDeg') },
        1,
      )
      const along = {
        x: trunk.shoulder.x + (trunk.waist.x - trunk.shoulder.x) * 0.25,
        y: trunk.shoulder.y + (trunk.waist.y - trunk.shoulder.y) * 0.25,
      }
      const tilt = (lean * Math.PI) / 180
      return {
        skeleton: skeletonOf(arms, trunk, [leg, leg]),
        blade: { x: along.x + chest * Math.cos(tilt), y: along.y - chest * Math.sin(tilt) },
      }
    }
    const lean = turnFor((t) => at(t).blade.x, faceX, -30, 60)
    if (lean === null)
      return refused({ code: 'wall-out-of-reach', elbowToWallCm: faceX, reachCm: at(60).blade.x })
    const { skeleton, blade } = at(lean)
    const { patch, base } = armSupport(body, 'forearms', lean, lift)
    return ok(
      assemble({
        id: 'forearm-stand-back-on-stack',
        body,
        parameters,
        skeleton,
        base,
        supports: {
          groups: [on({ ...patch, toCm: base.toCm })],
          wall: {
            part: 'upperBack',
            at: { x: faceX, y: blade.y },
            friction: read(parameters, 'wallFriction'),
            frictionUse: 0,
          },
        },
      }),
    )
  },
}
