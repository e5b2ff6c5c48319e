import { seenOf, type Seen, type Tapped } from '../teaching/outcome'
import { count } from './number'

/** A tap in a word. */
const SEEN_WORD: Readonly<Record<Seen, string>> = {
  clean: 'clean',
  'not-yet': 'not yet',
  'fell-out': 'fell out of it',
  unwell: 'stopped, not well',
  'arms-spent': 'stopped, arms spent',
  'own-choice': 'stopped by choice',
}

/** What was tapped for somebody so far: `3 tries: clean, clean, fell out of it`. */
export function describeTaps(taps: readonly Tapped[]): string {
  return taps.length === 0
    ? ''
    : `${count(taps.length, 'try', 'tries')}: ${taps.map((tap) => SEEN_WORD[seenOf(tap)]).join(', ')}`
}

/** What to do at once after a tap; empty where nothing is called for. The way out comes first. */
export function describeAfter(tap: Tapped, exit: string): string {
  switch (seenOf(tap)) {
    case 'fell-out':
      return `Ask whether anything hurts. Then the way out, low, before another try: ${exit}`
    case 'unwell':
      return 'Down, head level, half a minute of breath. Ask where, how strong, whether it is still there. Nothing more upside down tonight; if it is strong or stays, get help.'
    case 'arms-spent':
      return 'No more tries tonight: legs up the wall, hips on a bolster, or watch.'
    case 'own-choice':
      return 'Fine as it is. Ask what they would like instead.'
    case 'clean':
    case 'not-yet':
      return ''
  }
}

/** Whether hands may help, where it has to be said. */
export function describeTouch(touch: 'no' | 'ask' | 'yes'): string {
  return touch === 'no' ? 'No hands.' : ''
}
