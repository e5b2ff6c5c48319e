import { list } from './number'
import type { EditRefusal } from '../sequence/edit'
import type { Part } from '../sequence/sequence'

/** What each part of a sequence is for, as its heading. */
export const PART_WORDS: Readonly<Record<Part, string>> = {
  warm: 'To warm up',
  show: 'To feel it',
  strength: 'Strength',
  between: 'In between',
  carry: 'Towards the step',
  check: 'To see whether it moved',
  counter: 'To unload',
  rest: 'Rest',
}

/** Why a change to a sequence is not made. */
export const EDIT_WORDS: Readonly<Record<EditRefusal['code'], string>> = {
  'not-worked': 'What warms up and what unloads follows from the rest: change what is worked at.',
  'not-open': 'That is not open to everybody it is for.',
  last: 'It is the last thing that is worked at: swap it, or take the sequence away.',
  'no-room': 'It cannot go further that way.',
  'same-joint': 'Two that tire the same joint most would follow each other: put something between them.',
  'too-many-sets': 'One to five sets.',
  'more-than-open': 'That is more than is open to all of them today.',
}

export const NOTHING_STRENGTHENS =
  'Nothing that strengthens is open to all of them today. Take fewer people, or ask about health first.'

/** What stands in a kept sequence and is in the practice no more. */
export const GONE_WORDS = 'Not in the practice any more.'

/** Why something is left out today; a private screen does not say whose limit it is. Empty where it is open to all. */
export function closedWords(names: readonly string[], hidden: boolean): string {
  if (names.length === 0) return ''
  return hidden ? 'Not today.' : `Left out today: closed to ${list(names)}.`
}
