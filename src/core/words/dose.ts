import type { FittedDose } from '../practice/dose'
import { count, plain } from './number'

/** A dose as a teacher says it: `2 sets of 5 breaths (25 s), each side. Rest 20 s.` */
export function describeDose(dose: FittedDose): string {
  const { sets, reps, holdS, breaths, perSide, restS, cap, note } = dose
  const hold =
    holdS === null
      ? ''
      : breaths === null
        ? timeWords(holdS)
        : `${count(breaths, 'breath')} (${timeWords(holdS)})`
  const one = reps === null ? hold : hold === '' ? count(reps, 'time') : `${count(reps, 'hold')} of ${hold}`
  const said = sets > 1 ? `${count(sets, 'set')} of ${one}` : one
  return [
    `${said}${perSide ? ', each side' : ''}.`,
    ...(restS === null ? [] : [`Rest ${plain(restS)} s between.`]),
    ...(cap === null ? [] : [`${count(cap, 'try', 'tries')} at most.`]),
    ...(note === '' ? [] : [note]),
  ].join(' ')
}

/** A time as it is said: `45 s`, `3 min`. */
export function timeWords(seconds: number): string {
  return seconds >= 120 && seconds % 60 === 0 ? `${seconds / 60} min` : `${plain(seconds)} s`
}
