import { ok, refused, type Result } from '../result'
import type { Cm } from '../units'
import {
  inertia,
  LENGTH_RATIO,
  SD_FRACTION,
  SEGMENT_NAMES,
  TAPE_SD_CM,
  type BodyTable,
  type Inertia,
  type MassSegment,
  type SegmentName,
} from './anthropometry'

/** A length with where it came from and how far it may be off (one standard deviation, cm). */
export type Reading = { readonly valueCm: Cm; readonly sdCm: Cm; readonly source: 'estimated' | 'measured' }

export type Body = {
  readonly statureCm: Cm
  readonly table: BodyTable
  readonly length: Readonly<Record<SegmentName, Reading>>
  readonly mass: Readonly<Record<MassSegment, Inertia>>
}

export type BodyInput = {
  statureCm: number
  table?: BodyTable | undefined
  measured?: Partial<Record<SegmentName, number>> | undefined
}

export type BodyRefusal =
  | { code: 'stature-implausible'; statureCm: number; minCm: number; maxCm: number }
  | { code: 'length-implausible'; segment: SegmentName; valueCm: number; minCm: number; maxCm: number }

/** Adults and teenagers; outside it a height is far more often a slip of the hand. cm. */
export const STATURE_RANGE = { minCm: 120, maxCm: 220 } as const

/** A measured length beyond this fraction of its estimate is taken for a wrong line, not a rare body. */
const LENGTH_TOLERANCE = 0.35

/**
 * Every segment of a body from its stature, with measured lengths in place of estimates where given.
 * @param input stature in cm; `table` defaults to the blend; `measured` in cm
 * @returns lengths with source and standard deviation, and the mass table
 */
export function estimateBody(input: BodyInput): Result<Body, BodyRefusal> {
  const { statureCm, table = 'blend', measured = {} } = input
  if (!(statureCm >= STATURE_RANGE.minCm && statureCm <= STATURE_RANGE.maxCm))
    return refused({ code: 'stature-implausible', statureCm, ...STATURE_RANGE })

  const length = {} as Record<SegmentName, Reading>
  for (const segment of SEGMENT_NAMES) {
    const estimate = LENGTH_RATIO[segment] * statureCm
    const own = measured[segment]
    if (own === undefined) {
      length[segment] = { valueCm: estimate, sdCm: estimate * SD_FRACTION, source: 'estimated' }
      continue
    }
    const range = plausibleLength(segment, statureCm)
    if (!(own >= range.minCm && own <= range.maxCm))
      return refused({ code: 'length-implausible', segment, valueCm: own, ...range })
    length[segment] = { valueCm: own, sdCm: TAPE_SD_CM, source: 'measured' }
  }
  return ok({ statureCm, table, length, mass: inertia(table) })
}

/** The span within which a measured length is believed, cm. */
function plausibleLength(segment: SegmentName, statureCm: Cm): { minCm: Cm; maxCm: Cm } {
  const estimate = LENGTH_RATIO[segment] * statureCm
  return { minCm: estimate * (1 - LENGTH_TOLERANCE), maxCm: estimate * (1 + LENGTH_TOLERANCE) }
}
