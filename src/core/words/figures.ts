import type { Compared, FigureUnit } from '../setups/figures'
import type { Because } from '../setups/why'
import { deg, length, percent, plain, type Wording } from './number'

const LABELS: Readonly<Record<string, string>> = {
  'arm-load': 'Arms carry',
  'crown-most': 'Crown carries at most',
  'wall-push': 'Push against the wall',
  'shoulder-moment': 'Work of the shoulders',
  'trunk-lean': 'Trunk leans',
  arch: 'Arch',
  'hip-fold': 'Hips fold',
  'plumb-room': 'Room round the plumb line',
  'head-clear': 'Crown above the floor',
  rise: 'Still to lift',
  'kick-energy': 'Energy of the kick',
  'fall-time': 'A small tilt grows in',
}

/** A figure's name. */
function figureLabel(key: string): string {
  return LABELS[key] ?? key
}

/** A figure with its unit. */
export function figureValue(value: number, unit: FigureUnit, wording: Wording): string {
  switch (unit) {
    case 'cm':
      return length(value, wording)
    case 'deg':
      return deg(value)
    case 'share':
      return percent(value)
    case 'NmPerKg':
      return `${value.toFixed(2)} N·m/kg`
    case 'JPerKg':
      return `${value.toFixed(1)} J/kg`
    case 's':
      return `${value.toFixed(2)} s`
  }
}

/** One option moved, and what it does: the sentence under “Why”. */
export function describeBecause(because: Because, wording: Wording, optionLabel: string): string {
  const option = (value: number): string => optionValue(value, because.unit, wording)
  const figure = (value: number): string => figureValue(value, because.figureUnit, wording)
  return `${optionLabel} at ${option(because.to)} instead of ${option(because.from)}: ${figureLabel(because.figure).toLowerCase()} ${figure(because.becomes)}, now ${figure(because.was)}.`
}

/** A setup option's value. */
export function optionValue(value: number, unit: Because['unit'], wording: Wording): string {
  switch (unit) {
    case 'cm':
      return length(value, wording)
    case 'deg':
      return deg(value)
    case 'share':
      return percent(value)
    case 'choice':
      return plain(value)
  }
}

/** A row of a comparison in words. */
export function describeCompared(
  { key, unit, a, b, byHowMuch }: Compared,
  wording: Wording,
): { label: string; a: string; b: string; difference: string } {
  const said = (value: number | null): string => (value === null ? '–' : figureValue(value, unit, wording))
  return {
    label: figureLabel(key),
    a: said(a),
    b: said(b),
    difference:
      byHowMuch === null
        ? ''
        : `${byHowMuch > 0 ? '+' : byHowMuch < 0 ? '−' : ''}${said(Math.abs(byHowMuch))}`,
  }
}
