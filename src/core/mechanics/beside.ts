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

/** A fault that a number tells: the shape in which it shows, what goes wrong in it, and how it is right where that is not the usual. */
const shows = (
  sign: Sign,
  faultId: string,
  position: string,
  wrong: Beside['wrong'],
  right?: Beside['right'],
): Beside => ({ sign, faultId, position, wrong, ...(right === undefined ? {} : { right }) })

/** Every fault that shows from the side, as a change of the stage's own shape. */
export const BESIDE: readonly Beside[] = [
  shows(TRAVEL_MORE, 'FT-shoulder-forward', 'dolphin', { shoulderLeanDeg: 22 }),
  shows(
    TRAVEL_LESS,
    'FT-shoulder-behind',
    'handstand-kick-start',
    { shoulderLeanDeg: -14 },
    { shoulderLeanDeg: 4 },
  ),
  shows(HEAD, 'FT-head-drop', 'dolphin', { shoulderLeanDeg: -25 }, { shoulderLeanDeg: 0 }),
  shows(MOMENT, 'FT-shoulder-overlean', 'handstand-heels-on-wall', { shoulderLeanDeg: 12 }),
  shows(HEAD, 'FT-shoulder-sink', 'down-dog-long', { shoulderAngleDeg: 188 }),
  shows(
    SHOULDER_LOW,
    'FT-shoulder-dip',
    'low-push-up',
    (body) => ({ depthCm: Math.min(45, 1.15 * body.length.upperArm.valueCm) }),
    (body) => ({ depthCm: 0.8 * body.length.upperArm.valueCm }),
  ),
  shows(HIP_LOW, 'FT-hip-sag', 'high-plank', { hipBendDeg: -18 }),
  shows(HIP_HIGH, 'FT-hip-pike', 'high-plank', { hipBendDeg: 30 }),
  shows(
    ARCH,
    'FT-low-back-arch',
    'forearm-stand-heels-on-wall',
    { fingertipGapCm: 15, archShare: 1 },
    { fingertipGapCm: 5 },
  ),
  shows(ARCH, 'FT-rib-flare', 'handstand-straight', { leanDeg: 3, waistDeg: 25 }, { leanDeg: 3 }),
  shows(ARCH, 'FT-seat-drop', 'forearm-stand-one-foot-on-wall', { archShare: 1 }),
  shows(PLUMB_BACK, 'FT-leg-past-vertical', 'right-angle-hands-leg-lifted', { raisedLegDeg: 125 }),
  shows(LEVEL, 'FT-l-foot-height', 'right-angle-hands', (body) => ({
    footHeightCm: 0.53 * body.statureCm,
    hipRangeDeg: 150,
  })),
  shows(MOMENT, 'FT-l-shoulder-slide', 'right-angle-hands', { shoulderAngleDeg: 150 }),
  shows(KNEE, 'FT-setup-distance', 'right-angle-hands', (body) => ({
    handDistanceCm: 0.45 * body.statureCm,
    kneeBendDeg: 60,
    hipRangeDeg: 150,
  })),
  shows(PLUMB_BACK, 'FT-hands-too-close', 'handstand-chest-to-wall', { handDistanceCm: 8 }),
  shows(
    TRAVEL_LESS,
    'FT-no-weight-shift',
    'dolphin-leg-lifted',
    { shoulderLeanDeg: -20 },
    { shoulderLeanDeg: 5 },
  ),
  shows(RISE, 'FT-hips-short', 'forearm-stand-kick-start', (body) => ({
    toeDistanceCm: 0.56 * body.statureCm,
  })),
  shows(RISE, 'FT-underkick', 'handstand-kick-start', (body) => ({ toeDistanceCm: 0.62 * body.statureCm })),
  shows(
    KNEE,
    'FT-lead-knee-bends',
    'forearm-stand-one-knee',
    { kneeBendDeg: 120, hipFlexionDeg: 100, leanDeg: 10 },
    { kneeBendDeg: 30, hipFlexionDeg: 40, leanDeg: 10 },
  ),
  shows(PLUMB_PAST, 'FT-overkick', 'forearm-stand-v-split', { leanDeg: 32, backLegDeg: 60 }, { leanDeg: 10 }),
  shows(LEAN, 'FT-wall-rest', 'forearm-stand-heels-on-wall', { fingertipGapCm: 30 }, { fingertipGapCm: 2 }),
  shows(
    TRAVEL_LESS,
    'FT-swing-kick',
    'handstand-kick-start',
    { shoulderLeanDeg: -20 },
    { shoulderLeanDeg: 0 },
  ),
  shows(CROWN, 'FT-head-overload', 'headstand-straight', { leanDeg: 3 }, { leanDeg: -3 }),
  shows(
    HIP_LOW,
    'FT-rounded-walk-in',
    'headstand-base',
    (body) => ({ toeDistanceCm: 0.6 * body.statureCm }),
    (body) => ({ toeDistanceCm: 0.36 * body.statureCm }),
  ),
  shows(TRAVEL_LESS, 'FT-no-forward-lean', 'crow', { plumbCm: 1 }, {}),
  shows(
    SEAT,
    'FT-seat-low',
    'seated-lift',
    { roundingDeg: 0, blockHeightCm: 15 },
    { roundingDeg: 40, blockHeightCm: 15 },
  ),
  shows(ELBOW, 'FT-crow-elbow-splay', 'crow', { elbowBendDeg: 105 }),
  shows(
    sign('archDeg', 'deg', 'less', (p) => p.angles.archDeg),
    'FT-boat-round',
    'boat',
    { waistDeg: -40 },
  ),
  shows(NECK, 'FT-chin-jam', 'platform-shoulder-stand', { platformHeightCm: 0 }, { platformHeightCm: 10 }),
  shows(
    sign('hipFlexionDeg', 'deg', 'more', (p) => p.angles.hipFlexionDeg),
    'FT-hip-fold',
    'platform-shoulder-stand',
    { trunkDeg: 60, hipFlexionDeg: 50 },
  ),
  shows(WALL_PUSH, 'FT-hip-distance', 'legs-up-wall', { seatDistanceCm: 40 }, { seatDistanceCm: 8 }),
  shows(ELBOW, 'FT-elbow-bend', 'high-plank', { depthCm: 8 }),
  shows(HEAD, 'FT-head-load-hidden', 'headstand-head-free', (body) => ({
    supportHeightCm: Math.max(20, body.length.headNeck.valueCm),
  })),
  shows(RISE, 'FT-flat-foot-takeoff', 'handstand-kick-start', { heelLiftDeg: 0 }, { heelLiftDeg: 55 }),
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
