import { formatLength, formatStature, type LengthUnit } from '@/core/units'

/** A height as a form shows it: half centimetres kept, or feet and inches. */
export function typedStature(cm: number | null, units: LengthUnit): string {
  if (cm === null) return ''
  return units === 'cm' ? formatLength(cm) : formatStature(cm, units)
}

/** A measured length as a form shows it. */
export function typedLength(cm: number, units: LengthUnit): string {
  return formatLength(cm, units)
}
