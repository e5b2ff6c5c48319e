import { ok, refused, type Result } from './result'

declare const unit: unique symbol
/** A number that carries its unit in its type, so that centimetres are never added to degrees. */
type Branded<U extends string> = number & { readonly [unit]?: U }
export type Cm = Branded<'cm'>
export type Deg = Branded<'deg'>
export type Seconds = Branded<'s'>
/** Fraction of body weight. */
export type Share = Branded<'share'>

export type LengthUnit = 'cm' | 'in'

export const CM_PER_INCH = 2.54
const INCHES_PER_FOOT = 12

export type LengthRefusal =
  | { code: 'length-empty' }
  | { code: 'length-not-a-number'; typed: string }
  | { code: 'length-inches-over-foot'; inches: number }
  | { code: 'length-out-of-range'; cm: number; minCm: number; maxCm: number }

const NUMBER = '(\\d+(?:[.,]\\d+)?)'
const CENTIMETRES = new RegExp(`^${NUMBER}\\s*(?:cm)?$`, 'i')
const METRES = new RegExp(`^${NUMBER}\\s*m$`, 'i')
const FEET_INCHES = new RegExp(
  `^(\\d+)\\s*(?:'|’|′|ft|feet|foot)\\s*(?:${NUMBER}\\s*(?:"|”|″|''|in|inch|inches)?)?$`,
  'i',
)
const INCHES = new RegExp(`^${NUMBER}\\s*(?:"|”|″|in|inch|inches)$`, 'i')

/**
 * Reads a length as people type it: `168`, `168,5 cm`, `1.68 m`, a bare `1,68` where only metres are plausible, `5'6"`, `5 ft 6`, `66 in`.
 * A bare number is taken in `bare` units.
 * Outside the plausible `range` (cm) it is refused with the numbers, never clamped.
 * @returns centimetres
 */
export function parseLength(
  typed: string,
  range: { minCm: number; maxCm: number },
  bare: LengthUnit = 'cm',
): Result<Cm, LengthRefusal> {
  const text = typed.trim()
  if (text === '') return refused({ code: 'length-empty' })
  const read = readCm(text, bare)
  if (!read.ok) return read
  const cm = inMetres(text, read.value, range) ? read.value * 100 : read.value
  if (cm < range.minCm || cm > range.maxCm) return refused({ code: 'length-out-of-range', cm, ...range })
  return ok(cm)
}

/**
 * A bare `1.82` or `4,2` where only that many metres are plausible. A number with a unit is never reread.
 */
function inMetres(text: string, value: number, { minCm, maxCm }: { minCm: number; maxCm: number }): boolean {
  return /^\d[.,]\d{1,2}$/.test(text) && value < minCm && value * 100 >= minCm && value * 100 <= maxCm
}

function readCm(text: string, bare: LengthUnit): Result<Cm, LengthRefusal> {
  const feet = FEET_INCHES.exec(text)
  if (feet) {
    const inches = decimal(feet[2] ?? '0')
    if (inches >= INCHES_PER_FOOT) return refused({ code: 'length-inches-over-foot', inches })
    return ok((decimal(feet[1] ?? '0') * INCHES_PER_FOOT + inches) * CM_PER_INCH)
  }
  const inches = INCHES.exec(text)
  if (inches) return ok(decimal(inches[1] ?? '') * CM_PER_INCH)
  const metres = METRES.exec(text)
  if (metres) return ok(decimal(metres[1] ?? '') * 100)
  const cm = CENTIMETRES.exec(text)
  if (cm) return ok(decimal(cm[1] ?? '') * (bare === 'in' && !/cm/i.test(text) ? CM_PER_INCH : 1))
  return refused({ code: 'length-not-a-number', typed: text })
}

/** Accepts comma or point. */
function decimal(text: string): number {
  return Number(text.replace(',', '.'))
}

/**
 * Prints a length for reading: whole or half centimetres, or inches to a quarter.
 * @param cm length in centimetres
 */
export function formatLength(cm: Cm, units: LengthUnit = 'cm'): string {
  if (units === 'in') return `${trimZeros((Math.round((cm / CM_PER_INCH) * 4) / 4).toFixed(2))} in`
  return `${trimZeros((Math.round(cm * 2) / 2).toFixed(1))} cm`
}

/** A person's height: centimetres, or feet and inches where inches are used. */
export function formatStature(cm: Cm, units: LengthUnit = 'cm'): string {
  if (units === 'cm') return formatLength(cm)
  const inches = Math.round(cm / CM_PER_INCH)
  return `${Math.floor(inches / INCHES_PER_FOOT)} ft ${inches % INCHES_PER_FOOT} in`
}

/** Seconds as `m:ss`, for clocks. */
export function formatClock(seconds: Seconds): string {
  const whole = Math.max(0, Math.floor(seconds))
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
}

function trimZeros(text: string): string {
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text
}
