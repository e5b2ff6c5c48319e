import { inUnitOf, type Spans } from '../body/spans'
import { parseQuantity, type QuantityRefusal } from '../entry'
import type { ReadinessCheck } from '../practice/schema'
import { ok, refused, type Result } from '../result'
import type { LengthUnit } from '../units'
import type { Values } from './evidence'

/** A value as it is typed: in the check's own unit, or with a unit of its own where the check is a length. */
export function readValue(
  typed: string,
  check: Pick<ReadinessCheck, 'unit' | 'min' | 'max'>,
  spans: Spans,
  bare: LengthUnit = 'cm',
): Result<number, QuantityRefusal> {
  const converted = inUnitOf(typed, check.unit, spans, bare)
  return parseQuantity(converted === null ? typed : String(converted), check)
}

export type CardRefusal =
  | QuantityRefusal
  | { readonly code: 'sides-missing' }
  | { readonly code: 'one-side-only' }
  | { readonly code: 'unknown-mark'; readonly mark: string }

export type CardCell = {
  readonly values: Values
  readonly faults: readonly string[]
  readonly aided: boolean
}

/** On the card `y` and `n` stand for yes and not yet. */
const YES_NO: Readonly<Record<string, string>> = { y: '1', yes: '1', n: '0', no: '0' }

/**
 * One cell of the check card, as it is copied from paper: a value, `left/right` where sides are asked for, then the
 * letters of the faults that were ringed and `+` where something helped: `34`, `6/5 a`, `y`, `2 cm/18 cm b+`.
 * @param faults ids in the order of their letters a, b, c …
 * @returns null for an empty cell
 */
export function readCardCell(
  typed: string,
  check: CellCheck,
  faults: readonly string[],
  spans: Spans,
  bare: LengthUnit = 'cm',
): Result<CardCell, CardRefusal> | null {
  const text = typed.trim().toLowerCase()
  if (text === '') return null
  const sides = text.split('/').map((side) => SIDE.exec(side.trim())?.groups)
  const given: string[] = []
  let marks = ''
  for (const [i, side] of sides.entries()) {
    // Marks stand after the last side.
    if (!side || (i < sides.length - 1 && side.marks !== ''))
      return refused({ code: 'quantity-not-a-number', typed: text })
    given.push(side.value ?? '')
    marks = side.marks ?? ''
  }
  const ringed: string[] = []
  for (const mark of marks.replaceAll('+', '')) {
    const fault = faults[mark.charCodeAt(0) - 'a'.charCodeAt(0)]
    if (fault === undefined) return refused({ code: 'unknown-mark', mark })
    ringed.push(fault)
  }
  const values = readSides(given, check, spans, bare)
  return values.ok ? ok({ values: values.value, faults: ringed, aided: marks.includes('+') }) : values
}

/** Letters on the card stand for the faults that void a check, and for a held breath where it is a hold. */
export function cardFaults({ voids, kind }: Pick<ReadinessCheck, 'voids' | 'kind'>): string[] {
  return [...new Set([...voids, ...(kind === 'hold' ? ['FT-breath-hold'] : [])])]
}

type CellCheck = Pick<ReadinessCheck, 'unit' | 'min' | 'max' | 'side' | 'kind'>

/** A value with or without a unit of its own, then the marks. */
const SIDE = /^(?<value>yes|no|y|n|-?\d+(?:[.,]\d+)?\s*(?:cm|in|m)?)\s*(?<marks>[a-z+]*)$/

function readSides(
  given: readonly string[],
  check: CellCheck,
  spans: Spans,
  bare: LengthUnit,
): Result<Values, CardRefusal> {
  if (check.side === 'each' && given.length !== 2) return refused({ code: 'sides-missing' })
  if (check.side !== 'each' && given.length !== 1) return refused({ code: 'one-side-only' })
  const numbers: number[] = []
  for (const one of given) {
    const value = readValue(check.kind === 'yes-no' ? (YES_NO[one] ?? one) : one, check, spans, bare)
    if (!value.ok) return value
    numbers.push(value.value)
  }
  const [first = 0, second = 0] = numbers
  return ok(check.side === 'each' ? { left: first, right: second } : { single: first })
}
