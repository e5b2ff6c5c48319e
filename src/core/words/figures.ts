import type { Compared, FigureUnit } from '../setups/figures'
import type { Because } from '../setups/why'
import { choiceLabel } from './choice'
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

/** What a figure does, as one says it: “the arms carry 62 %”. */
const DOES: Readonly<Record<string, string>> = {
  'arm-load': 'the arms carry',
  'crown-most': 'the crown may carry up to',
  'wall-push': 'the wall takes',
  'shoulder-moment': 'the shoulders work with',
  'trunk-lean': 'the trunk leans',
  arch: 'the back arches',
  'hip-fold': 'the hips fold',
  'plumb-room': 'the balance has room of',
  'head-clear': 'the head stays clear by',
  rise: 'the hips still have to rise',
  'kick-energy': 'the kick takes',
  'fall-time': 'a small tilt grows in',
}

/** One option moved, and what it does: “5 cm more: the trunk leans 14° instead of 9°.” */
export function describeBecause(
  because: Because,
  wording: Wording,
  choices: readonly string[] | undefined,
): string {
  const { from, to, unit, figure, figureUnit, was, becomes } = because
  const said = (value: number): string => figureValue(value, figureUnit, wording)
  const moved = choices
    ? choiceLabel(choices[to] ?? '')
    : unit === 'choice'
      ? `${plain(to)} instead of ${plain(from)}`
      : `${optionValue(Math.abs(to - from), unit, wording)} ${to > from ? 'more' : 'less'}`
  return `${moved}: ${DOES[figure] ?? figureLabel(figure).toLowerCase()} ${said(becomes)} instead of ${said(was)}.`
}

/** A setup option's value. */
export function optionValue(value: number, unit: Because['unit'], wording: Wording): string {
  return unit === 'choice' ? plain(value) : figureValue(value, unit, wording)
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
