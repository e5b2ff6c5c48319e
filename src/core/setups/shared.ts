import type { DerivedLengths } from '../body/derived'
import type { Body } from '../body/estimate'
import { parameter, type Parameter } from '../mechanics/parameters'
import type { Position } from '../mechanics/position'
import { solvePosition } from '../mechanics/positions/catalogue'
import type { Result } from '../result'
import { ok, refused } from '../result'
import { placement } from './define'
import { across } from './scene'
import type { Placement, SetupOption, SetupRefusal, SetupWarning } from './setup'
import type { Dimension } from './scene'

/** Holding opposite upper arms finds elbow width to within this, cm (props.md M1: ± 3). */
const OPPOSITE_ARMS_ERROR_CM = 3
/** Circumference by which a loop is off when it is judged just taut by eye, cm. */
const TAUT_BY_EYE_CM = 4
/** A loop this much narrower than the shoulders is still kind; wider never (progressions.md 8). */
const NARROWER_CM = 2

/** Makes options of one unit. */
const made =
  (unit: 'cm' | 'deg' | 'share') =>
  (
    key: string,
    label: string,
    min: number,
    max: number,
    usual: Parameter['usual'],
    rest: Partial<SetupOption> = {},
  ): SetupOption => ({ ...parameter[unit](key, label, min, max, usual), unit, ...rest })
const [cm, deg, share] = [made('cm'), made('deg'), made('share')]

/** Options that several setups share. */
export const option = {
  cm,
  deg,
  gap: (
    min: number,
    max: number,
    usual: Parameter['usual'],
    usualFrom: number,
    usualTo: number,
    faults: { below?: string; above?: string },
  ) => cm('fingertipGapCm', 'Fingertips to wall', min, max, usual, { usualFrom, usualTo, ...faults }),
  choice: (key: string, label: string, choices: readonly string[]): SetupOption => ({
    ...{ key, label, unit: 'choice', min: 0, max: choices.length - 1, usual: 0, choices },
  }),
  arch: share('archShare', 'Arch at the wall', 0, 1, 0),
  gaze: deg('gazeDeg', 'Head lifted to look ahead', 0, 45, 0, { usualTo: 25, above: 'FT-neck-crane' }),
  kneeBend: deg('kneeBendDeg', 'Knee bend', 0, 90, 10),
}

/** How much farther than a measured mark hands or elbows go, with the faults of too near and too far. */
export const farther = (label: string, max: number, usualTo: number, below: string, above = below) =>
  cm('fartherCm', label, -15, max, 0, { usualFrom: -5, usualTo, below, above })

/** The line of the elbows: a seated leg from the wall. */
export const elbowLine = ({ seatedLeg }: DerivedLengths): Placement =>
  placement('elbow-line', 'elbow', seatedLeg, { fingers: 'away-from-wall', method: 'M3', way: ['M3', 5] })

/** Elbows as wide as the shoulder joints, or a chosen step wider: found by holding opposite upper arms. */
export function elbowWidth({ jointWidth }: DerivedLengths, widerCm = 0): Placement {
  return placement(
    'elbow-width',
    'elbow',
    { ...jointWidth, valueCm: jointWidth.valueCm + widerCm },
    {
      give: 2,
      way: ['M1', OPPOSITE_ARMS_ERROR_CM],
    },
  )
}

/** Hands as wide as the shoulder joints: found by the width of the opposite-arm hold carried down. */
export function handWidth({ jointWidth }: DerivedLengths): Placement {
  return placement('hand-width', 'between', jointWidth, { give: 2, way: ['shoulder-line', 3] })
}

/** Error of a loop whose width and arm were both measured, one standard deviation, cm. */
const MEASURED_LOOP_SD_CM = 2.5

/** A loop round both upper arms; `widerCm` is the most it may exceed joint width. */
export function strapLoop({ elbowLoop }: DerivedLengths, widerCm = 0): Placement {
  // An arm nobody has measured may be thicker or thinner: the loop is closed on the body, within its own error.
  const openCm = elbowLoop.sdCm > MEASURED_LOOP_SD_CM ? 2 * elbowLoop.sdCm : 0
  return placement('strap-loop', 'loop', elbowLoop, {
    from: elbowLoop.valueCm - Math.max(2 * NARROWER_CM, openCm),
    to: elbowLoop.valueCm + Math.max(2 * widerCm, openCm),
    way: ['arms-forward', TAUT_BY_EYE_CM],
  })
}

/** A strap from the cupboard that closes round the loop and leaves a tail. */
export function strapFor(neededCm: number, straps: readonly number[]): Result<number, SetupRefusal> {
  const long = straps.filter((s) => s >= neededCm)
  return long.length > 0
    ? ok(Math.min(...long))
    : refused({
        code: 'not-in-stock',
        prop: straps.length === 0 ? 'strap' : 'strap-long',
        needed: 1,
        inStock: 0,
      })
}

/** A gap in the person's own hand breadths, to the half that is laid; nothing to lay where it is less than a quarter. */
export function byBreadths(
  gapCm: number,
  { handBreadth }: DerivedLengths,
  withinCm: number,
): readonly [measure: string, withinCm: number, numbers: { breadths: number }] | undefined {
  const breadths = Math.round((2 * gapCm) / handBreadth.valueCm) / 2
  if (breadths === 0) return undefined
  return ['hand-breadths', withinCm + Math.abs(breadths * handBreadth.valueCm - gapCm), { breadths }]
}

/** Two feet more than the own length, lying; told only where that comes near what is asked. */
export function ownLength(
  { statureCm, length }: Body,
  wantedCm: number,
): readonly [measure: string, withinCm: number] | undefined {
  const offCm = Math.abs(statureCm + 2 * length.foot.valueCm - wantedCm)
  return offCm > LYING_MOST_OFF_CM ? undefined : ['own-height-lying', LYING_WITHIN_CM + offCm]
}

/** How exactly one lies down and marks, and from where on the own length is no measure of it, cm. */
const LYING_WITHIN_CM = 10
const LYING_MOST_OFF_CM = 20

/** Balls of the feet from the elbows or wrists, told in the person's own foot lengths (M15). */
export function walkIn(position: Position, key = 'walk-in'): Placement {
  const { body } = position
  const valueCm = -position.base.fromCm
  const foot = body.length.foot
  return placement(key, 'ball-of-foot', valueCm, {
    sdCm: 2.5,
    from: 0.35 * body.statureCm,
    to: 0.65 * body.statureCm,
    way: ['M15', foot.valueCm / 2, { feet: Math.round((valueCm / foot.valueCm) * 2) / 2 }],
  })
}

/** The walk-in drawn under the floor. */
export function walkInDimension(position: Position, row: 1 | 2 | 3 = 1): Dimension {
  return across('walk-in', position.base.fromCm, 0, row)
}

const feetFrom = (mark: string, share: number) =>
  option.cm('toeDistanceCm', `Feet from the ${mark}`, 30, 140, (body) => share * body.statureCm)

/** Options of a dolphin-like shape: how far the feet are. */
export const FEET = feetFrom('elbows', 0.52)
export const KICK_FEET = feetFrom('elbows', 0.45)
export const HAND_KICK_FEET = feetFrom('wrists', 0.5)

/** A dolphin walked half-way in: where the walk to the target starts. */
export function fartherOut(body: Body, toeDistanceCm: number): number {
  return Math.min(140, toeDistanceCm + 0.1 * body.statureCm)
}

/** Farther than this from the wall, heels that rest there pull a stacked body into a hanging arch: how much, in degrees. */
export function archWarning(
  positionId: string,
  body: Body,
  fingertipGapCm: number,
  gapCm: number,
  holdMaxCm: number,
): SetupWarning[] {
  if (gapCm <= holdMaxCm) return []
  const arched = solvePosition(positionId, body, { fingertipGapCm, archShare: 1 })
  const archDeg = arched.ok ? arched.value.angles.archDeg : 0
  return [
    { code: 'gap-too-far-to-hold', faultId: 'FT-low-back-arch', numbers: { gapCm, archDeg, holdMaxCm } },
  ]
}
