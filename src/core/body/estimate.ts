import { ok, refused, type Result } from '../result'
import { shiftMass } from './build'
import type { Cm } from '../units'
import {
  DIRECT_MEASURES,
  DIRECT_RATIO,
  inertia,
  LENGTH_RATIO,
  SD_FRACTION,
  SEGMENT_NAMES,
  TAPE_SD_CM,
  type BodyTable,
  type DirectMeasure,
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
  /** Combined lengths taken directly, which then replace what the segments would give. */
  readonly direct: Readonly<Partial<Record<DirectMeasure, Cm>>>
  readonly mass: Readonly<Record<MassSegment, Inertia>>
}

/** Any length that a teacher may measure. */
export type LengthName = SegmentName | DirectMeasure

export type BodyInput = {
  statureCm: number
  table?: BodyTable | undefined
  measured?: Partial<Record<LengthName, number>> | undefined
  /** Share of the whole mass that lies in hips and legs instead of the trunk, from weighings of this person. */
  massToLegs?: number | undefined
}

export type BodyRefusal =
  | { code: 'stature-implausible'; statureCm: number; minCm: number; maxCm: number }
  | { code: 'length-implausible'; segment: LengthName; valueCm: number; minCm: number; maxCm: number }
  /** Two lengths that cannot belong to one body: a combined one and what its parts, or the other way of taking it, give. */
  | { code: 'lengths-contradict'; segment: LengthName; valueCm: number; otherCm: number }

/** Adults and teenagers; outside it a height is far more often a slip of the hand. cm. */
export const STATURE_RANGE = { minCm: 120, maxCm: 220 } as const

/** A measured length beyond this fraction of its estimate is taken for a wrong line, not a rare body. */
const LENGTH_TOLERANCE = 0.35
/** Arms of one length differ far more in girth: 7 to 14 cm thick at one stature. */
const TOLERANCE: Partial<Record<DirectMeasure, number>> = { armGirth: 0.8 }

/**
 * Every segment of a body from its stature, with measured lengths in place of estimates where given.
 * @param input stature in cm; `table` defaults to the blend; `measured` in cm; `massToLegs` as a share of all mass
 * @returns lengths with source and standard deviation, and the mass table
 */
export function estimateBody(input: BodyInput): Result<Body, BodyRefusal> {
  const { statureCm, table = 'blend', measured = {}, massToLegs = 0 } = input
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
    const range = plausibleLength(estimate)
    if (!(own >= range.minCm && own <= range.maxCm))
      return refused({ code: 'length-implausible', segment, valueCm: own, ...range })
    length[segment] = { valueCm: own, sdCm: TAPE_SD_CM, source: 'measured' }
  }
  const direct: Partial<Record<DirectMeasure, Cm>> = {}
  for (const name of DIRECT_MEASURES) {
    const own = measured[name]
    if (own === undefined) continue
    const range = plausibleLength(DIRECT_RATIO[name] * statureCm, TOLERANCE[name])
    if (!(own >= range.minCm && own <= range.maxCm))
      return refused({ code: 'length-implausible', segment: name, valueCm: own, ...range })
    direct[name] = own
    spreadOver(length, PARTS[name], asParts(name, own))
  }
  for (const name of DIRECT_MEASURES) {
    const [own, parts] = [direct[name], PARTS[name]]
    if (own === undefined || parts.length === 0) continue
    const wanted = asParts(name, own)
    const otherCm = parts.reduce((sum, part) => sum + length[part].valueCm, 0)
    if (Math.abs(otherCm - wanted) > MOST_DISAGREEMENT * wanted)
      return refused({
        code: 'lengths-contradict',
        segment: name,
        valueCm: own,
        otherCm: (otherCm * own) / wanted,
      })
  }
  return ok({ statureCm, table, length, direct, mass: shiftMass(inertia(table), massToLegs) })
}

/** A combined length as its parts make it up: the groin lies below the hip joint. */
function asParts(name: DirectMeasure, own: Cm): Cm {
  return own * (name === 'innerLeg' ? DIRECT_RATIO.seatedLeg / DIRECT_RATIO.innerLeg : 1)
}

/** Two ways to one length differ by reading and clothes; beyond this share one of them is a slip. */
const MOST_DISAGREEMENT = 0.12

/** Segments that a combined length runs over: those still estimated are stretched so that their sum agrees with it. */
const PARTS: Readonly<Record<DirectMeasure, readonly SegmentName[]>> = {
  seatedLeg: ['thigh', 'shank', 'ankleHeight'],
  innerLeg: ['thigh', 'shank', 'ankleHeight'],
  armReach: ['upperArm', 'forearm', 'hand'],
  elbowToFingertip: ['forearm', 'hand'],
  jointWidth: [],
  thumb: [],
  handBreadth: [],
  armGirth: [],
  headWidth: [],
}

/** Combined and segment lengths may disagree by reading error; stretching further than this would make odd limbs. */
const MOST_STRETCH = 0.3

function spreadOver(length: Record<SegmentName, Reading>, parts: readonly SegmentName[], wanted: Cm): void {
  const free = parts.filter((part) => length[part].source === 'estimated')
  if (free.length === 0) return
  const fixed = parts.reduce((sum, part) => sum + (free.includes(part) ? 0 : length[part].valueCm), 0)
  const loose = free.reduce((sum, part) => sum + length[part].valueCm, 0)
  const stretch = Math.min(1 + MOST_STRETCH, Math.max(1 - MOST_STRETCH, (wanted - fixed) / loose))
  for (const part of free) length[part] = { ...length[part], valueCm: length[part].valueCm * stretch }
}

/** The span within which a measured length is believed, cm. */
function plausibleLength(estimate: Cm, tolerance = LENGTH_TOLERANCE): { minCm: Cm; maxCm: Cm } {
  return { minCm: estimate * (1 - tolerance), maxCm: estimate * (1 + tolerance) }
}
