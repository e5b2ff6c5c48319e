import type { Attempt, AttemptLevel, Help } from '../readiness/evidence'

/** What came of a try. */
export const OUTCOME_OF_TRY: Readonly<Record<Attempt['outcome'], string>> = {
  clean: 'Clean',
  'not-yet': 'Not yet',
  stopped: 'Stopped',
}

/** How far somebody got. */
export const LEVEL_WORD: Readonly<Record<Exclude<AttemptLevel, 'practised'>, string>> = {
  'took-off': 'Took off',
  hop: 'Hop',
  touched: 'Touched',
  held: 'Held',
}

/** Hands of a helper. */
export const HELP_WORD: Readonly<Record<Help, string>> = {
  alone: 'Alone',
  touched: 'Touched by a helper',
  carried: 'Carried',
}

/** What ended a try that the student did not end. */
export const ENDED_WORD: Readonly<Record<Exclude<Attempt['endedBy'], null>, string>> = {
  self: 'Own fault',
  'spent-arms': 'Arms were spent',
  helper: 'The helper',
  setup: 'The place or props',
}
