import { estimateBody, type BodyInput } from '../body/estimate'
import { contactOf, type Position } from '../mechanics/position'
import { solvePosition } from '../mechanics/positions/catalogue'
import type { ContactPart, LoadRange } from '../mechanics/contacts'
import { ok, refused, type Result } from '../result'

/** A share of body weight that was weighed: reading under a part ÷ reading standing. Neither reading is kept. */
export type Weighing = { readonly shapeId: string; readonly share: number }

/** Shapes that may be weighed, with the part that goes on the scale. */
export type WeighingShape = {
  readonly id: string
  readonly position: string
  readonly part: ContactPart
  /** Whether the share tells how mass lies; the crown’s tells only how arms and neck split the load. */
  readonly calibrates: boolean
}
export const WEIGHING_SHAPES: readonly WeighingShape[] = [
  { id: 'plank-hands', position: 'high-plank', part: 'hands', calibrates: true },
  { id: 'knee-plank-hands', position: 'knee-plank', part: 'hands', calibrates: true },
  { id: 'dolphin-forearms', position: 'dolphin', part: 'forearms', calibrates: true },
  { id: 'headbase-crown', position: 'headstand-base', part: 'crown', calibrates: false },
]

/** One weighing on a bathroom scale may be off by this much of body weight: the scale, the tilt of the part, a sway. */
export const WEIGHING_SD = 0.012
/** More than this moved between trunk and legs is no body but a wrong reading, share of all mass. */
const MOST_SHIFT = 0.1
/** Without a weighing, how far bodies differ: one standard deviation, share of all mass. */
const PRIOR_SD = 0.02

export type Calibration = {
  /** Share of all mass that lies in hips and legs instead of the trunk. */
  readonly massToLegs: number
  /** One standard deviation. */
  readonly sd: number
}

export type WeighingRefusal =
  | { readonly code: 'share-impossible'; readonly share: number }
  | { readonly code: 'unknown-shape'; readonly shapeId: string }
  | {
      readonly code: 'weighing-does-not-fit'
      readonly shapeId: string
      readonly share: number
      readonly least: number
      readonly most: number
    }

/** The share from two readings of the same scale, in whatever it shows. */
export function shareOf(under: number, standing: number): Result<number, WeighingRefusal> {
  const share = under / standing
  if (!(share > 0.02 && share < 1.05)) return refused({ code: 'share-impossible', share })
  return ok(share)
}

/**
 * How mass lies on this body, from weighings: each is solved for the shift that explains it, and they are weighed with
 * what is known of bodies in general by their errors.
 * @returns the shift with its standard deviation; refused where no body fits a reading
 */
export function calibrate(
  input: BodyInput,
  weighings: readonly Weighing[],
): Result<Calibration, WeighingRefusal> {
  let sum = 0
  let weight = 1 / PRIOR_SD ** 2
  for (const { shapeId, share } of weighings) {
    const shape = WEIGHING_SHAPES.find((s) => s.id === shapeId)
    if (!shape) return refused({ code: 'unknown-shape', shapeId })
    if (!shape.calibrates) continue
    const at = (shift: number): number => modelShare(input, shape, shift)
    const [a, b] = [at(-MOST_SHIFT), at(MOST_SHIFT)]
    const [least, most] = [Math.min(a, b), Math.max(a, b)]
    if (!(share >= least && share <= most))
      return refused({ code: 'weighing-does-not-fit', shapeId, share, least, most })
    const slope = (b - a) / (2 * MOST_SHIFT)
    const sd = Math.abs(WEIGHING_SD / slope)
    sum += solveShift(at, share, slope) / sd ** 2
    weight += 1 / sd ** 2
  }
  return ok({ massToLegs: sum / weight, sd: Math.sqrt(1 / weight) })
}

/** The shape that is weighed, on a body; null where the body cannot take it. */
export function weighedPosition(input: BodyInput, shape: WeighingShape): Position | null {
  const body = estimateBody(input)
  if (!body.ok) return null
  const position = solvePosition(shape.position, body.value, {})
  return position.ok ? position.value : null
}

/** What the model allows for a part: its range, for a split that balance alone does not settle. */
export function modelRange(input: BodyInput, shape: WeighingShape): LoadRange | null {
  const position = weighedPosition(input, shape)
  return position && (contactOf(position, shape.part)?.share ?? null)
}

/** The model's share of a weighed part for a body with some shift; NaN where the body cannot take the shape. */
export function modelShare(input: BodyInput, shape: WeighingShape, massToLegs: number): number {
  return modelRange({ ...input, massToLegs }, shape)?.value ?? Number.NaN
}

/** The share runs almost straight with the shift, so a few secant steps end on it. */
function solveShift(at: (shift: number) => number, share: number, slope: number): number {
  let shift = 0
  for (let i = 0; i < 12; i += 1) {
    const miss = share - at(shift)
    if (Math.abs(miss) < 1e-9) break
    shift = Math.max(-MOST_SHIFT, Math.min(MOST_SHIFT, shift + miss / slope))
  }
  return shift
}
