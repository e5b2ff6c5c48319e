import type { ReadNames } from '../formats/names'
import type { NameRefusal, QuantityRefusal } from '../entry'
import type { ReadinessCheck } from '../practice/schema'
import { levelIn, remarkIn, type Level } from '../readiness/by-level'
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

/**
 * How a pasted list was read, a line each: who, what becomes of the words beside a name, and what was left aside, so that
 * nothing goes without a word.
 */
export function describeRead({ lines, ...aside }: ReadNames): string[] {
  const names = lines.flatMap((line) => (line.ok ? [line.name] : []))
  if (names.length === 0) return []
  const shown = names.slice(0, NAMES_SHOWN).join(', ')
  const more = names.length > NAMES_SHOWN ? ` and ${names.length - NAMES_SHOWN} more` : ''
  const beside = lines.flatMap((line) => (line.ok && line.beside.length > 0 ? [describeBeside(line)] : []))
  const rest =
    beside.length > NAMES_SHOWN ? [`${beside.length - NAMES_SHOWN} more are read in the same way.`] : []
  return [
    `Reads as ${count(names.length, 'person', 'people')}: ${shown}${more}.`,
    ...(beside.length > 0 ? ['Of whoever is not here yet:'] : []),
    ...[...beside.slice(0, NAMES_SHOWN), ...rest],
    ...[describeAside(aside)].filter((part) => part !== ''),
  ]
}

const LEVEL_READ: Readonly<Record<Level, string>> = {
  new: 'new, begins with the first rungs',
  some: 'some practice, placed by eye on the second rung where it is low',
  practised: 'practised, placed by eye up to the third rung where it is low: no fall, no weight on the head',
}

/** What becomes of the words beside a name. */
function describeBeside({
  name,
  beside,
}: {
  readonly name: string
  readonly beside: readonly string[]
}): string {
  const [level, remark] = [levelIn(beside), remarkIn(beside)]
  return `${name}: ${[
    ...(level === null ? [] : [LEVEL_READ[level]]),
    ...(remark === '' ? [] : [`“${cut(remark, 60)}” is kept as a word of theirs, to ask about`]),
  ].join('; ')}.`
}

/** A remark from a list, as it stands with the person: nothing of it is taken for a limit before somebody has asked. */
export function describeRemark(remark: string): string {
  return `From the list, to ask about: ${cut(remark, REMARK_KEPT)}`
}

/** Signs of a remark that are kept: a note may have 280 with what stands before it. */
const REMARK_KEPT = 240

/** The beginning of long words, with a sign that there was more. */
function cut(words: string, most: number): string {
  return words.length <= most ? words : `${words.slice(0, most - 1)}…`
}

/**
 * What was taken in of what stood beside names; empty where nothing was.
 * @param placed people placed by eye
 * @param remarks remarks that are kept with somebody
 * @param left people who were here already, with something beside their name
 */
export function describeTakenIn(placed: number, remarks: number, left: number): string {
  return [
    ...(placed > 0
      ? [`${count(placed, 'person is', 'people are')} placed by eye, for 28 days unless it is shown.`]
      : []),
    ...(remarks > 0
      ? [
          remarks === 1
            ? '1 remark stands on the person’s page and on Teach: ask about it.'
            : `${remarks} remarks stand on people’s pages and on Teach: ask about them.`,
        ]
      : []),
    ...(left > 0
      ? [
          `Of ${count(left, 'person who was', 'people who were')} here already nothing is taken in: tell it on their page.`,
        ]
      : []),
  ].join(' ')
}

const NAMES_SHOWN = 8

/** What a list held besides names; empty where nothing. */
export function describeAside({ doubles, emails, others }: Omit<ReadNames, 'lines'>): string {
  return [
    ...(doubles.length > 0
      ? [`${[...new Set(doubles)].join(', ')} stood there twice and is taken once.`]
      : []),
    ...(emails > 0 ? [`${count(emails, 'e-mail address', 'e-mail addresses')} left aside.`] : []),
    ...(others > 0 ? [`${count(others, 'other entry', 'other entries')} beside the names left aside.`] : []),
  ].join(' ')
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
