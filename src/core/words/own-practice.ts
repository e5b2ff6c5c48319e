import type { PracticeFileRefusal } from '../formats/practice-file'
import type { Library } from '../practice/library'
import type { OverrideRefusal } from '../practice/override'
import { plain } from './number'
import { PARAMETER_LABELS } from './parameter-labels'

const FIELD: Readonly<Record<string, string>> = {
  name: 'Name',
  sanskrit: 'Also called',
  do: 'Do',
  lookFor: 'Look for',
  cue: 'Say',
  asks: 'It answers',
  run: 'How it is taken',
  see: 'What is seen',
  place: 'How it is built',
  'dose.sets': 'Sets',
  'dose.reps': 'Times',
  'dose.breaths': 'Breaths',
  'dose.seconds': 'Seconds',
  'dose.cap': 'Tries at most',
}

/** A field as a form names it; a threshold goes by its check. */
export function fieldName({ checks }: Pick<Library, 'checks'>, key: string): string {
  if (key.startsWith('begin.')) return `Begins with: ${PARAMETER_LABELS[key.slice('begin.'.length)] ?? key}`
  if (!key.startsWith('gate.')) return FIELD[key] ?? key
  const check = checks.find((c) => c.id === key.slice('gate.'.length))
  return check ? `Asks: ${check.name}, ${check.unit}` : key
}

/** Why an entry cannot be changed so, in a sentence. */
export function describeOverrideRefusal(practice: Pick<Library, 'checks'>, why: OverrideRefusal): string {
  switch (why.code) {
    case 'unknown':
      return 'That is not something a studio changes.'
    case 'empty':
      return `${fieldName(practice, why.key)} needs a word or two.`
    case 'not-a-number':
      return `${fieldName(practice, why.key)}: type a number.`
    case 'too-long':
      return `${fieldName(practice, why.key)}: ${why.most} characters at most, so that it fits a card.`
    case 'out-of-range':
      return `${fieldName(practice, why.key)}: ${plain(why.min)} to ${plain(why.max)}, the range it is kept with.`
    case 'taken':
      return `Something else is called ${why.name} already.`
    case 'flaw':
      return `With this the practice would not hold together: ${why.detail}.`
  }
}

/** Why a file of a studio's own practice is not read, in a sentence. */
export function describePracticeFile(why: PracticeFileRefusal): string {
  switch (why.code) {
    case 'too-large':
      return 'That file is larger than any practice. Nothing was read.'
    case 'not-json':
      return 'That file cannot be read: it is damaged, or of another kind.'
    case 'other-file':
      return 'That is not a file of a studio’s own practice.'
    case 'newer':
      return `That file was made by a newer Levitar (its version ${why.version}). Bring this one up to date first.`
    case 'damaged':
      return `That file is damaged${why.at === '' ? '' : ` at ${why.at}`}. Nothing was kept.`
    case 'twice':
      return 'That file says two things of one entry. Nothing was kept.'
  }
}
