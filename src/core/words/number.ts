import { formatLength, type LengthUnit } from '../units'

/** How things are said: the units somebody chose, and the house's own words for props. */
export type Wording = {
  readonly units: LengthUnit
  /** What this house calls a kind of prop, where it is not the usual word. */
  readonly propNames?: Readonly<Record<string, string>>
}

export const METRIC: Wording = { units: 'cm' }

/** A length in the chosen units. */
export function length(cm: number, { units }: Wording): string {
  return formatLength(cm, units)
}

/** Whole degrees. */
export function deg(value: number): string {
  return `${Math.round(value)}°`
}

/** Whole percent from a share. */
export function percent(share: number): string {
  return `${Math.round(share * 100)} %`
}

/** One decimal at most, no trailing zero. */
export function plain(value: number): string {
  return String(Math.round(value * 10) / 10)
}

/** Minutes to the half: `8.5`. */
export function halfMinutes(seconds: number): string {
  return String(Math.round((seconds / 60) * 2) / 2)
}

/** `1 day`, `2 days`. */
export function count(n: number, one: string, many = `${one}s`): string {
  return `${n} ${n === 1 ? one : many}`
}

/** `Ines`, `Ines and Pell`, `Ines, Pell and Moro`. */
export function list(names: readonly string[]): string {
  return new Intl.ListFormat('en-GB').format(names)
}
