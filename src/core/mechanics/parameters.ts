import type { Body } from '../body/estimate'
import { ok, refused, type Result } from '../result'

/** One thing about a position or setup that can be changed, with its sensible range. */
export type Parameter = {
  readonly key: string
  readonly label: string
  readonly unit: 'cm' | 'deg' | 'share' | 'choice'
  readonly min: number
  readonly max: number
  /** Usual value; a function of the body where it scales with it. */
  readonly usual: number | ((body: Body) => number)
  /** What the whole numbers of a choice mean, from 0. */
  readonly choices?: readonly string[]
}

export type Parameters = Readonly<Record<string, number>>

export type ParameterRefusal =
  | { code: 'unknown-parameter'; key: string; known: readonly string[] }
  | { code: 'parameter-out-of-range'; key: string; value: number; min: number; max: number }

/** The usual value for this body, kept inside the parameter's own range. */
export function usualValue({ usual, min, max }: Parameter, body: Body): number {
  return Math.min(max, Math.max(min, typeof usual === 'function' ? usual(body) : usual))
}

/** Fills usual values, checks every given one against its range and refuses what it does not know. */
export function fillParameters(
  parameters: readonly Parameter[],
  body: Body,
  given: Parameters,
): Result<Parameters, ParameterRefusal> {
  const filled: Record<string, number> = {}
  for (const parameter of parameters) {
    const { key, unit, min, max } = parameter
    const value = given[key] ?? usualValue(parameter, body)
    // A choice is a whole number: between two there is nothing.
    if (!(value >= min && value <= max) || (unit === 'choice' && !Number.isInteger(value)))
      return refused({ code: 'parameter-out-of-range', key, value, min, max })
    filled[key] = value
  }
  for (const key in given)
    if (!(key in filled))
      return refused({ code: 'unknown-parameter', key, known: parameters.map((p) => p.key) })
  return ok(filled)
}

/** The value of a parameter that has already been validated and filled. */
export function read(parameters: Parameters, key: string): number {
  const value = parameters[key]
  if (value === undefined) throw new Error(`parameter ${key} was not filled`)
  return value
}

/** The same parameter with another usual value or range. */
export function tuned(parameter: Parameter, change: Partial<Parameter>): Parameter {
  return { ...parameter, ...change }
}

/** Makes parameters of one unit. */
const made =
  (unit: Parameter['unit']) =>
  (key: string, label: string, min: number, max: number, usual: Parameter['usual']): Parameter => ({
    ...{ key, label, unit, min, max, usual },
  })
const [cm, deg, share] = [made('cm'), made('deg'), made('share')]
export const parameter = { cm, deg, share }

/** Parameters that several families share. */
export const GAP = cm('fingertipGapCm', 'Fingertips from the wall', 0, 40, 5)
export const SHOULDER_LEAN = deg('shoulderLeanDeg', 'Shoulders ahead of the support', -30, 30, 0)
export const KNEE_BEND = deg('kneeBendDeg', 'Knee bend', 0, 90, 10)
export const HEEL_LIFT = deg('heelLiftDeg', 'Heel lift', 0, 75, 35)
export const HIP_RANGE = deg('hipRangeDeg', 'Hip flexion available', 30, 170, 125)
export const SHOULDER_RANGE = deg('shoulderRangeDeg', 'Shoulder flexion available', 90, 190, 180)
export const WAIST = deg('waistDeg', 'Waist: arch (+) or round (−)', -45, 45, 0)
export const FRICTION = share('wallFriction', 'Wall friction', 0, 0.5, 0.2)
export const LEAD_LEG = deg('leadLegDeg', 'Lifted leg above the floor', 0, 150, 60)

/** Remembers a usual value that takes a search, for as long as the body lives; a body never changes. */
export function perBody(usual: (body: Body) => number): (body: Body) => number {
  const known = new WeakMap<Body, number>()
  return (body) => {
    const seen = known.get(body)
    if (seen !== undefined) return seen
    const value = usual(body)
    known.set(body, value)
    return value
  }
}
