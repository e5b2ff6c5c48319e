import { derivedLengths } from './derived'
import type { Body } from './estimate'
import { parseLength, type Cm, type LengthUnit } from '../units'

/** Units that a body carries with it: what a gap is counted in when nobody has a tape. */
const SPANS = ['fists', 'hands', 'feet'] as const
export type Span = (typeof SPANS)[number]
export type Spans = Readonly<Record<Span, Cm>>

/** Fist and hand breadth of a grown hand (props.md M16), cm: a body without a height has the middle of it. */
export const FIST_CM = { least: 8, usual: 9, most: 10 } as const
/** Foot of somebody whose height nobody knows: 0.152 of 168 cm, cm. */
const FOOT_CM = 25.5

/** What a fist, a hand and a foot measure on this body, cm; the usual ones where nothing is known of it. */
export function spansOf(body: Body | null): Spans {
  if (!body) return { fists: FIST_CM.usual, hands: FIST_CM.usual, feet: FOOT_CM }
  const breadth = derivedLengths(body).handBreadth.valueCm
  const hand = Math.min(FIST_CM.most, Math.max(FIST_CM.least, breadth))
  return { fists: hand, hands: hand, feet: body.length.foot.valueCm }
}

/** Whether a check is counted in one of them. */
export function isSpan(unit: string): unit is Span {
  return (SPANS as readonly string[]).includes(unit)
}

/**
 * A length typed beside a check in the unit of that check: `2` stays two fists, `18 cm` and `7 in` become as many fists as
 * this body's make; a bare number beside a check in centimetres is in the units that were chosen. Null where it is no
 * length with a unit of its own, and should be read as it stands.
 */
export function inUnitOf(typed: string, unit: string, spans: Spans, bare: LengthUnit = 'cm'): number | null {
  if (unit !== 'cm' && !isSpan(unit)) return null
  const hasUnit = /[a-z"”″']/i.test(typed)
  if (!hasUnit && (unit !== 'cm' || bare === 'cm')) return null
  const length = parseLength(typed, { minCm: 0, maxCm: 300 }, bare)
  if (!length.ok) return null
  const inUnit = unit === 'cm' ? length.value : length.value / spans[unit]
  return Math.round(inUnit * 10) / 10
}
