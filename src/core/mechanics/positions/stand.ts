import type { Body } from '../../body/estimate'
import { riseBetween } from '../energy'
import { ok, refused, type Result } from '../../result'
import {
  FRICTION,
  GAP,
  LEAD_LEG,
  parameter,
  perBody,
  read,
  tuned,
  WAIST,
  type Parameter,
  type Parameters,
} from '../parameters'
import { legFrom, skeletonOf, straightArms, trunkFrom, type LegAngles } from '../pose'
import { assemble, type Position, type PositionRefusal, type PositionSpec } from '../position'
import { radians, subtract, type Point } from '../point'
import { rootOf } from '../root'
import { turnFor } from '../turn'
import { centreOfMass, mirrored, type Leg, type Skeleton } from '../skeleton'
import { on } from '../supports'
import { armSupport, forearmBase, handBase, type ArmKind } from '../surfaces'
import { DOLPHIN_PARAMETERS, dolphinShape, TOE_DISTANCE } from './dolphin'

const { cm, deg, share } = parameter

const LEAN = deg('leanDeg', 'Whole body towards the wall', -25, 35, 0)
const SHOULDERS = deg('shoulderLeanDeg', 'Shoulders ahead of the support', -20, 30, 0)

/** Lean of arms, ribs and legs of a body upside down, and how each leg is folded. */
type Upside = {
  readonly armLeanDeg: number
  readonly ribLeanDeg: number
  readonly waistDeg: number
  readonly legs: readonly [LegAngles, LegAngles]
}

/** A body upside down on hands or forearms, fingers towards the wall, back to the wall. */
function upsideDown(body: Body, kind: ArmKind, { armLeanDeg, ribLeanDeg, waistDeg, legs }: Upside): Skeleton {
  const { arms } = armSupport(body, kind, armLeanDeg)
  const trunk = trunkFrom(body, arms.shoulder, ribLeanDeg, waistDeg, 1)
  const [a, b] = legs
  const first = legFrom(body, trunk, a, 1)
  return skeletonOf(arms, trunk, [first, a === b ? first : legFrom(body, trunk, b, 1)])
}

const STRAIGHT: LegAngles = { hipFlexionDeg: 0, kneeBendDeg: 0 }

/** How a free balance holds its legs: which of its parameters mean what. */
type Shape = {
  readonly parameters: readonly Parameter[]
  readonly legs: (p: Parameters) => readonly [LegAngles, LegAngles]
}

const both = (leg: LegAngles): readonly [LegAngles, LegAngles] => [leg, leg]

const SHAPES = {
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

function balance(id: string, name: string, kind: ArmKind, shape: Shape, stacked = false): PositionSpec {
  return {
    id,
    name,
    parameters: [
      stacked ? LEAN : tuned(LEAN, { usual: perBody(balancingLean(kind, shape)) }),
      SHOULDERS,
      WAIST,
      ...shape.parameters,
    ],
    solve: (body, parameters) => {
      const lean = read(parameters, 'leanDeg')
      const skeleton = upsideDown(body, kind, {
        armLeanDeg: lean + read(parameters, 'shoulderLeanDeg'),
        ribLeanDeg: lean,
        waistDeg: read(parameters, 'waistDeg'),
        legs: shape.legs(parameters),
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

const STRADDLE: PositionSpec = {
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

/** Legs no further from upright than this are still a stand; beyond it the heels cannot rest. */
const MOST_LEAN_DEG = 75

type AtWall = { id: string; name: string; kind: ArmKind; oneFoot?: boolean }

/** Heels on the wall. `archShare` 0 leans the whole body as one, 1 stacks arms and trunk and leans the legs only. */
function heelsOnWall({ id, name, kind, oneFoot = false }: AtWall): PositionSpec {
  return {
    id,
    name,
    parameters: [
      GAP,
      share('archShare', 'How much the waist arches', 0, 1, 0),
      SHOULDERS,
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
        })
      }
      // Arms, trunk and legs turn as three rigid pieces, so the heel's way needs no whole figure at every step.
      const still = at(0)
      const [{ heel }] = still.legs
      const heelX = (legLean: number): number => {
        const trunkLean = (1 - arch) * legLean
        return turnedX(still.hip, trunkLean) + turnedX(subtract(heel, still.hip), legLean)
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

/** The x of a place after a tilt towards the wall about the origin. */
function turnedX({ x, y }: Point, tiltDeg: number): number {
  const tilt = radians(tiltDeg)
  return x * Math.cos(tilt) + y * Math.sin(tilt)
}

function skeletonLean({ shoulder, elbow, wrist }: Skeleton, kind: ArmKind): number {
  const from = kind === 'hands' ? wrist : elbow
  return (Math.atan2(shoulder.x - from.x, shoulder.y - from.y) * 180) / Math.PI
}

/** Chest to the wall: fingers point away from it, toes touch it, the whole body leans in as one or arches. */
const CHEST_TO_WALL: PositionSpec = {
  id: 'handstand-chest-to-wall',
  name: 'Handstand, chest to the wall',
  parameters: [cm('handDistanceCm', 'Heels of the hands from the wall', 8, 60, 20), WAIST, FRICTION],
  solve: (body, parameters) => chestToWall('handstand-chest-to-wall', 'hands', body, parameters),
}
const FOREARM_CHEST_TO_WALL: PositionSpec = {
  id: 'forearm-stand-chest-to-wall',
  name: 'Forearm stand, chest to the wall',
  parameters: [cm('handDistanceCm', 'Elbows from the wall', 12, 60, 25), WAIST, FRICTION],
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
      }),
    )
  const [{ toe }] = at(0).legs
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

/** Height of the centre of mass when stacked straight over the support: what a kick has to reach. */
function uprightCentreHeight(body: Body, kind: ArmKind): number {
  return centreOfMass(
    body,
    upsideDown(body, kind, { armLeanDeg: 0, ribLeanDeg: 0, waistDeg: 0, legs: both(STRAIGHT) }),
  ).y
}

function kickStart(id: string, name: string, arms: ArmKind): PositionSpec {
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
const BACK_ON_STACK: PositionSpec = {
  id: 'forearm-stand-back-on-stack',
  name: 'Forearms, upper back on a stack',
  parameters: [
    cm('stackDistanceCm', 'Elbows from the face of the stack', 10, 60, (b) => 0.18 * b.statureCm),
    cm('forearmLiftCm', 'Forearms raised by', 0, 15, 0),
    deg('hipFlexionDeg', 'Hip fold', 0, 110, 85),
    deg('kneeBendDeg', 'Knee bend', 0, 130, 95),
    share('wallFriction', 'Friction of the stack', 0, 0.5, 0.3),
  ],
  solve: (body, parameters) => {
    const wallX = read(parameters, 'stackDistanceCm')
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
    const lean = turnFor((t) => at(t).blade.x, wallX, -30, 60)
    if (lean === null)
      return refused({ code: 'wall-out-of-reach', elbowToWallCm: wallX, reachCm: at(60).blade.x })
    const { skeleton, blade } = at(lean)
    const { patch, base } = armSupport(body, 'forearms', lean, lift)
    return ok(
      assemble({
        id: 'forearm-stand-back-on-stack',
        body,
        parameters,
        skeleton,
        base,
        wallX,
        supports: {
          groups: [on({ ...patch, toCm: base.toCm })],
          wall: {
            part: 'upperBack',
            at: { x: wallX, y: blade.y },
            friction: read(parameters, 'wallFriction'),
            frictionUse: 0,
          },
        },
      }),
    )
  },
}

export const FOREARM_STANDS: readonly PositionSpec[] = [
  kickStart('forearm-stand-kick-start', 'Forearm stand, kick start', 'forearms'),
  balance('forearm-stand-tuck', 'Forearm stand, tuck', 'forearms', SHAPES.tuck),
  balance('forearm-stand-one-knee', 'Forearm stand, one knee in', 'forearms', SHAPES.oneKnee),
  balance('forearm-stand-v-split', 'Forearm stand, legs in a V', 'forearms', SHAPES.split),
  balance('forearm-stand-straight', 'Forearm stand, straight', 'forearms', SHAPES.straight, true),
  heelsOnWall({
    id: 'forearm-stand-heels-on-wall',
    name: 'Forearm stand, heels on the wall',
    kind: 'forearms',
  }),
  heelsOnWall({
    id: 'forearm-stand-one-foot-on-wall',
    name: 'Forearm stand, one foot on the wall',
    kind: 'forearms',
    oneFoot: true,
  }),
  FOREARM_CHEST_TO_WALL,
  BACK_ON_STACK,
]

export const HANDSTANDS: readonly PositionSpec[] = [
  kickStart('handstand-kick-start', 'Handstand, kick start', 'hands'),
  balance('handstand-tuck', 'Handstand, tuck', 'hands', SHAPES.tuck),
  balance('handstand-v-split', 'Handstand, legs in a V', 'hands', SHAPES.split),
  STRADDLE,
  balance('handstand-straight', 'Handstand, straight', 'hands', SHAPES.straight, true),
  heelsOnWall({ id: 'handstand-heels-on-wall', name: 'Handstand, heels on the wall', kind: 'hands' }),
  heelsOnWall({
    id: 'handstand-one-foot-on-wall',
    name: 'Handstand, one foot on the wall',
    kind: 'hands',
    oneFoot: true,
  }),
  CHEST_TO_WALL,
]
