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
  'not-said': 'Not said',
}

/** Hands of a helper. */
export const HELP_WORD: Readonly<Record<Help, string>> = {
  alone: 'Alone',
  touched: 'Touched by a helper',
  carried: 'Carried',
  'not-said': 'Not said',
}

/** What ended a try that the student did not end. */
export const ENDED_WORD: Readonly<Record<Exclude<Attempt['endedBy'], null>, string>> = {
  self: 'Own fault',
  'spent-arms': 'Arms were spent',
  helper: 'The helper',
  setup: 'The place or props',
}

/** What came of a try, with everything that was said of it. */
export function describeTry(a: Attempt): string {
  return [
    OUTCOME_OF_TRY[a.outcome],
    a.level === 'practised' || a.level === 'not-said' ? '' : LEVEL_WORD[a.level],
    a.seconds === null ? '' : `${a.seconds} s`,
    a.lead === null ? '' : `${a.lead} leading`,
    a.help === 'alone' ? '' : a.help === 'not-said' ? 'not said whether alone' : HELP_WORD[a.help],
    a.exitControlled ? '' : 'came out without control',
    a.endedBy === null || a.endedBy === 'self' ? '' : ENDED_WORD[a.endedBy],
  ]
    .filter((part) => part !== '')
    .join(', ')
}
