import type { ReadNames } from '../formats/names'
import type { NameRefusal, QuantityRefusal } from '../entry'
import type { ReadinessCheck } from '../practice/schema'
import type { CardRefusal } from '../readiness/read-values'
import { CM_PER_INCH } from '../units'
import { count, METRIC, plain, type Wording } from './number'
import { unitOf } from './reason'

/** What a refused number says beside its field. */
export function describeQuantity(refusal: QuantityRefusal, what: string, unit = ''): string {
  const suffix = unit === '' ? '' : ` ${unit}`
  switch (refusal.code) {
    case 'quantity-empty':
      return `Type ${what}.`
    case 'quantity-not-a-number':
      return `“${refusal.typed.slice(0, 24)}” is not a number.`
    case 'quantity-out-of-range':
      return `${plain(refusal.value)}${suffix} is outside ${plain(refusal.min)} to ${plain(refusal.max)}${suffix}. Check it for a slip.`
  }
}

/** What a refused result of a check says, in the units it was asked for. */
export function describeResult(
  refusal: QuantityRefusal,
  check: Pick<ReadinessCheck, 'unit' | 'kind'>,
  wording: Wording = METRIC,
): string {
  const unit = unitOf(check, wording)
  const per = unit === check.unit ? 1 : CM_PER_INCH
  const said =
    refusal.code === 'quantity-out-of-range'
      ? { ...refusal, value: refusal.value / per, min: refusal.min / per, max: refusal.max / per }
      : refusal
  return describeQuantity(
    said,
    unit === 'in' ? 'a result in inches' : `a result in ${unit}`,
    check.kind === 'level' || check.kind === 'yes-no' ? '' : unit,
  )
}

/** What a refused cell of the check card says. */
export function describeCell(
  refusal: CardRefusal,
  check: Pick<ReadinessCheck, 'unit' | 'kind'>,
  wording: Wording = METRIC,
): string {
  switch (refusal.code) {
    case 'sides-missing':
      return 'Both sides, please: left/right, such as 6/5.'
    case 'one-side-only':
      return 'This check has no sides: one value.'
    case 'unknown-mark':
      return `No fault on the card has the letter “${refusal.mark}”.`
    default:
      return describeResult(refusal, check, wording)
  }
}

/** How a pasted list was read: who, and what was left aside, so that nothing goes without a word. */
export function describeRead({ lines, ...aside }: ReadNames): string {
  const names = lines.flatMap((line) => (line.ok ? [line.name] : []))
  if (names.length === 0) return ''
  const shown = names.slice(0, NAMES_SHOWN).join(', ')
  const more = names.length > NAMES_SHOWN ? ` and ${names.length - NAMES_SHOWN} more` : ''
  return `Reads as ${count(names.length, 'person', 'people')}: ${shown}${more}.${spaced(describeAside(aside))}`
}

const NAMES_SHOWN = 8

/** What a list held besides names; empty where nothing. */
export function describeAside({ doubles, emails, others }: Omit<ReadNames, 'lines'>): string {
  const rest = Math.max(0, others - emails)
  return [
    ...(doubles.length > 0
      ? [`${[...new Set(doubles)].join(', ')} stood there twice and is taken once.`]
      : []),
    ...(emails > 0 ? [`${count(emails, 'e-mail address', 'e-mail addresses')} left aside.`] : []),
    ...(rest > 0
      ? [
          `${count(rest, 'other entry', 'other entries')} beside the names left aside; put levels in by eye on Readiness.`,
        ]
      : []),
  ].join(' ')
}

function spaced(text: string): string {
  return text === '' ? '' : ` ${text}`
}

/** What a refused name says. */
export function describeName(refusal: NameRefusal): string {
  switch (refusal.code) {
    case 'name-empty':
      return 'Type a name.'
    case 'name-too-long':
      return `A name may have ${refusal.most} characters; this one has ${refusal.length}.`
    case 'name-has-symbols':
      return `“${refusal.name.slice(0, 24)}” has a sign in it that is no letter. Letters only, please: lists and print need them.`
    case 'name-without-letters':
      return `“${refusal.name.slice(0, 24)}” has no letters in it.`
  }
}
