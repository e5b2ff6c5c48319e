import type { Body } from '../body/estimate'
import { ok, type Result } from '../result'
import type { Parameters } from './parameters'
import type { Position, PositionRefusal } from './position'
import { solvePosition } from './positions/catalogue'
import { neckFlexion } from './positions/shoulders-down'

/** The number that tells a fault from the clean shape, with its unit for the words. */
type Sign = {
  readonly key: string
  readonly unit: 'cm' | 'deg' | 'share' | 'NmPerKg'
  readonly read: (position: Position) => number
  /** Which way the fault moves it. */
  readonly faultIs: 'more' | 'less'
}

type Beside = {
  readonly faultId: string
  readonly position: string
  readonly right?: Parameters | ((body: Body) => Parameters)
  readonly wrong: Parameters | ((body: Body) => Parameters)
  readonly sign: Sign
}

const sign = (key: string, unit: Sign['unit'], faultIs: Sign['faultIs'], read: Sign['read']): Sign => ({
  key,
  unit,
  faultIs,
  read,
})

const TRAVEL_MORE = sign('shoulderTravelCm', 'cm', 'more', (p) => p.shoulderTravelCm)
const TRAVEL_LESS = sign('shoulderTravelCm', 'cm', 'less', (p) => p.shoulderTravelCm)
const MOMENT = sign('shoulderMomentNmPerKg', 'NmPerKg', 'more', (p) => Math.abs(p.shoulderMomentNmPerKg))
const HEAD = sign('headClearanceCm', 'cm', 'less', (p) => p.headClearanceCm)
const ARCH = sign('archDeg', 'deg', 'more', (p) => p.angles.archDeg)
const HIP_HIGH = sign('hipHeightCm', 'cm', 'more', (p) => p.skeleton.hip.y)
const HIP_LOW = sign('hipHeightCm', 'cm', 'less', (p) => p.skeleton.hip.y)
const LEAN = sign('trunkLeanDeg', 'deg', 'more', (p) => Math.abs(p.angles.trunkLeanDeg))
const PLUMB_PAST = sign('marginForwardCm', 'cm', 'less', (p) => p.margin.forwardCm)
const PLUMB_BACK = sign('marginBackCm', 'cm', 'less', (p) => p.margin.backCm)
const RISE = sign('riseCm', 'cm', 'more', (p) => p.rise?.riseCm ?? 0)
const WALL_PUSH = sign('wallShare', 'share', 'more', (p) =>
  Math.abs(p.contacts.find((c) => c.part === 'wallFeet')?.horizontalShare.value ?? 0),
)
const CROWN = sign(
  'crownMaxShare',
  'share',
  'more',
  (p) => p.contacts.find((c) => c.part === 'crown')?.share.value ?? 0,
)
const SHOULDER_LOW = sign('shoulderHeightCm', 'cm', 'less', (p) => p.skeleton.shoulder.y)
const NECK = sign('neckFoldDeg', 'deg', 'more', (p) =>
  neckFlexion(p.body, p.parameters.platformHeightCm ?? 0, p.parameters.trunkDeg ?? 80),
)
const KNEE = sign('kneeBendDeg', 'deg', 'more', (p) => p.angles.kneeBendDeg)
const ELBOW = sign('elbowBendDeg', 'deg', 'more', (p) => p.angles.elbowBendDeg)
const LEVEL = sign('legsOffLevelDeg', 'deg', 'more', (p) => legSlope(p))
const SEAT = sign('hipHeightCm', 'cm', 'less', (p) => p.skeleton.hip.y)

/** How far the legs are from level, degrees. */
function legSlope({ skeleton: { hip, legs } }: Position): number {
  const { ankle } = legs[0]
  return Math.abs((Math.atan2(ankle.y - hip.y, Math.abs(ankle.x - hip.x)) * 180) / Math.PI)
}

/** Every fault that shows from the side, as a change of the stage's own shape. */
export const BESIDE: readonly Beside[] = [
  { faultId: 'FT-shoulder-forward', position: 'dolphin', wrong: { shoulderLeanDeg: 22 }, sign: TRAVEL_MORE },
  {
    faultId: 'FT-shoulder-behind',
    position: 'handstand-kick-start',
    right: { shoulderLeanDeg: 4 },
    wrong: { shoulderLeanDeg: -14 },
    sign: TRAVEL_LESS,
  },
  {
    faultId: 'FT-head-drop',
    position: 'dolphin',
    right: { shoulderLeanDeg: 0 },
    wrong: { shoulderLeanDeg: -25 },
    sign: HEAD,
  },
  {
    faultId: 'FT-shoulder-overlean',
    position: 'handstand-heels-on-wall',
    wrong: { shoulderLeanDeg: 12 },
    sign: MOMENT,
  },
  { faultId: 'FT-shoulder-sink', position: 'down-dog-long', wrong: { shoulderAngleDeg: 188 }, sign: HEAD },
  {
    faultId: 'FT-shoulder-dip',
    position: 'low-push-up',
    right: (body) => ({ depthCm: 0.8 * body.length.upperArm.valueCm }),
    wrong: (body) => ({ depthCm: Math.min(45, 1.15 * body.length.upperArm.valueCm) }),
    sign: SHOULDER_LOW,
  },
  { faultId: 'FT-hip-sag', position: 'high-plank', wrong: { hipBendDeg: -18 }, sign: HIP_LOW },
  { faultId: 'FT-hip-pike', position: 'high-plank', wrong: { hipBendDeg: 30 }, sign: HIP_HIGH },
  {
    faultId: 'FT-low-back-arch',
    position: 'forearm-stand-heels-on-wall',
    right: { fingertipGapCm: 5 },
    wrong: { fingertipGapCm: 15, archShare: 1 },
    sign: ARCH,
  },
  {
    faultId: 'FT-rib-flare',
    position: 'handstand-straight',
    right: { leanDeg: 3 },
    wrong: { leanDeg: 3, waistDeg: 25 },
    sign: ARCH,
  },
  {
    faultId: 'FT-seat-drop',
    position: 'forearm-stand-one-foot-on-wall',
    wrong: { archShare: 1 },
    sign: ARCH,
  },
  {
    faultId: 'FT-leg-past-vertical',
    position: 'right-angle-hands-leg-lifted',
    wrong: { raisedLegDeg: 125 },
    sign: PLUMB_BACK,
  },
  {
    faultId: 'FT-l-foot-height',
    position: 'right-angle-hands',
    wrong: (body) => ({ footHeightCm: 0.53 * body.statureCm, hipRangeDeg: 150 }),
    sign: LEVEL,
  },
  {
    faultId: 'FT-l-shoulder-slide',
    position: 'right-angle-hands',
    wrong: { shoulderAngleDeg: 150 },
    sign: MOMENT,
  },
  {
    faultId: 'FT-setup-distance',
    position: 'right-angle-hands',
    wrong: (body) => ({ handDistanceCm: 0.45 * body.statureCm, kneeBendDeg: 60, hipRangeDeg: 150 }),
    sign: KNEE,
  },
  {
    faultId: 'FT-hands-too-close',
    position: 'handstand-chest-to-wall',
    wrong: { handDistanceCm: 8 },
    sign: PLUMB_BACK,
  },
  {
    faultId: 'FT-no-weight-shift',
    position: 'dolphin-leg-lifted',
    right: { shoulderLeanDeg: 5 },
    wrong: { shoulderLeanDeg: -20 },
    sign: TRAVEL_LESS,
  },
  {
    faultId: 'FT-hips-short',
    position: 'forearm-stand-kick-start',
    wrong: (body) => ({ toeDistanceCm: 0.56 * body.statureCm }),
    sign: RISE,
  },
  {
    faultId: 'FT-underkick',
    position: 'handstand-kick-start',
    wrong: (body) => ({ toeDistanceCm: 0.62 * body.statureCm }),
    sign: RISE,
  },
  {
    faultId: 'FT-lead-knee-bends',
    position: 'forearm-stand-one-knee',
    right: { kneeBendDeg: 30, hipFlexionDeg: 40, leanDeg: 10 },
    wrong: { kneeBendDeg: 120, hipFlexionDeg: 100, leanDeg: 10 },
    sign: KNEE,
  },
  {
    faultId: 'FT-overkick',
    position: 'forearm-stand-v-split',
    right: { leanDeg: 10 },
    wrong: { leanDeg: 32, backLegDeg: 60 },
    sign: PLUMB_PAST,
  },
  {
    faultId: 'FT-wall-rest',
    position: 'forearm-stand-heels-on-wall',
    right: { fingertipGapCm: 2 },
    wrong: { fingertipGapCm: 30 },
    sign: LEAN,
  },
  {
    faultId: 'FT-swing-kick',
    position: 'handstand-kick-start',
    right: { shoulderLeanDeg: 0 },
    wrong: { shoulderLeanDeg: -20 },
    sign: TRAVEL_LESS,
  },
  {
    faultId: 'FT-head-overload',
    position: 'headstand-straight',
    right: { leanDeg: -3 },
    wrong: { leanDeg: 3 },
    sign: CROWN,
  },
  {
    faultId: 'FT-rounded-walk-in',
    position: 'headstand-base',
    right: (body) => ({ toeDistanceCm: 0.36 * body.statureCm }),
    wrong: (body) => ({ toeDistanceCm: 0.6 * body.statureCm }),
    sign: HIP_LOW,
  },
  { faultId: 'FT-no-forward-lean', position: 'crow', right: {}, wrong: { plumbCm: 1 }, sign: TRAVEL_LESS },
  {
    faultId: 'FT-seat-low',
    position: 'seated-lift',
    right: { roundingDeg: 40, blockHeightCm: 15 },
    wrong: { roundingDeg: 0, blockHeightCm: 15 },
    sign: SEAT,
  },
  { faultId: 'FT-crow-elbow-splay', position: 'crow', wrong: { elbowBendDeg: 105 }, sign: ELBOW },
  {
    faultId: 'FT-boat-round',
    position: 'boat',
    wrong: { waistDeg: -40 },
    sign: sign('archDeg', 'deg', 'less', (p) => p.angles.archDeg),
  },
  {
    faultId: 'FT-chin-jam',
    position: 'platform-shoulder-stand',
    right: { platformHeightCm: 10 },
    wrong: { platformHeightCm: 0 },
    sign: NECK,
  },
  {
    faultId: 'FT-hip-fold',
    position: 'platform-shoulder-stand',
    wrong: { trunkDeg: 60, hipFlexionDeg: 50 },
    sign: sign('hipFlexionDeg', 'deg', 'more', (p) => p.angles.hipFlexionDeg),
  },
  {
    faultId: 'FT-hip-distance',
    position: 'legs-up-wall',
    right: { seatDistanceCm: 8 },
    wrong: { seatDistanceCm: 40 },
    sign: WALL_PUSH,
  },
  { faultId: 'FT-elbow-bend', position: 'high-plank', wrong: { depthCm: 8 }, sign: ELBOW },
  {
    faultId: 'FT-head-load-hidden',
    position: 'headstand-head-free',
    wrong: (body) => ({ supportHeightCm: Math.max(20, body.length.headNeck.valueCm) }),
    sign: HEAD,
  },
  {
    faultId: 'FT-flat-foot-takeoff',
    position: 'handstand-kick-start',
    right: { heelLiftDeg: 55 },
    wrong: { heelLiftDeg: 0 },
    sign: RISE,
  },
]

export type BesideFigures = {
  readonly faultId: string
  readonly right: Position
  readonly wrong: Position
  readonly sign: {
    readonly key: string
    readonly unit: Sign['unit']
    readonly right: number
    readonly wrong: number
  }
}

/** The clean figure and the fault on one body, with the number that betrays it; null where nothing shows from the side. */
export function rightBesideWrong(faultId: string, body: Body): Result<BesideFigures, PositionRefusal> | null {
  const entry = BESIDE.find((b) => b.faultId === faultId)
  if (!entry) return null
  const of = (p: Beside['right']): Parameters => (typeof p === 'function' ? p(body) : (p ?? {}))
  const right = solvePosition(entry.position, body, of(entry.right))
  if (!right.ok) return right
  const wrong = solvePosition(entry.position, body, { ...of(entry.right), ...of(entry.wrong) })
  if (!wrong.ok) return wrong
  const { key, unit, read } = entry.sign
  return ok({
    faultId,
    right: right.value,
    wrong: wrong.value,
    sign: { key, unit, right: read(right.value), wrong: read(wrong.value) },
  })
}
