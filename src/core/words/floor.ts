import { seenOf, type Seen, type stoppedBy, type Tapped } from '../teaching/outcome'
import { formatClock } from '../units'
import { count } from './number'

/** A tap in a word. */
export const SEEN_WORD: Readonly<Record<Seen, string>> = {
  clean: 'clean',
  'not-yet': 'not yet',
  'fell-out': 'fell out of it',
  unwell: 'stopped, not well',
  'arms-spent': 'stopped, arms spent',
  'own-choice': 'stopped by choice',
}

type Tried = Tapped & { readonly stageId: string }

/**
 * What was tapped for somebody so far: `3 tries: clean, clean, fell out of it`; what was tapped on another step of their
 * way is told apart.
 * @param taps in the order in which they were tapped
 * @param stageId the step that they are on
 */
export function describeTaps(taps: readonly Tried[], stageId: string): string {
  const here = taps.filter((tap) => tap.stageId === stageId)
  const away = taps.filter((tap) => tap.stageId !== stageId)
  const told = (list: readonly Tried[]): string =>
    `${count(list.length, 'try', 'tries')}: ${list.map((tap) => SEEN_WORD[seenOf(tap)]).join(', ')}`
  return [
    here.length === 0 ? '' : told(here),
    away.length === 0
      ? ''
      : `on ${new Set(away.map((tap) => tap.stageId)).size === 1 ? 'another step' : 'other steps'} ${told(away)}`,
  ]
    .filter((part) => part !== '')
    .join('; ')
}

/** What to do at once after a tap; empty where nothing is called for. The way out comes first. */
export function describeAfter(tap: Tapped, exit: string): string {
  switch (seenOf(tap)) {
    case 'fell-out':
      return `Ask whether anything hurts. Then the way out, low, before another try: ${exit}`
    case 'unwell':
      return 'Down, head level, half a minute of breath. Ask where, how strong, whether it is still there. Nothing more upside down tonight; if it is strong or stays, get help.'
    case 'own-choice':
      return 'Fine as it is. Ask what they would like instead.'
    // What they do instead of every version is told by `describeStopped`.
    case 'arms-spent':
    case 'clean':
    case 'not-yet':
      return ''
  }
}

/** What whoever stopped does for the rest of the class, in the place of every version there was for them. */
export function describeStopped(by: NonNullable<ReturnType<typeof stoppedBy>>): string {
  return by === 'unwell'
    ? 'Sits out with the head level, somebody near; nothing more upside down tonight.'
    : 'No more tries tonight, and nothing on the arms: lie down, breathe, or watch.'
}

/** What whoever came late does before they join in, and how long that takes. */
export function describeOwed(
  who: string,
  owed: readonly { readonly name: string; readonly seconds: number }[],
): { head: string; drills: string } {
  const minutes = Math.ceil(owed.reduce((sum, o) => sum + o.seconds, 0) / 60)
  return {
    head: `${who} came late: ${count(minutes, 'minute')} of warming up first, then joins in.`,
    drills: owed.map((o) => `${o.name} ${formatClock(o.seconds)}`).join(' · '),
  }
}

/** A turn that stands free, and who may take it in place of their next one. */
export function describeFree(who: string, inPlaceOf: string, place: string): string {
  const where = place === '' ? 'a place' : place
  return `${inPlaceOf} has stopped, so ${where} is free: ${who} may go up now in place of the next turn.`
}

/** Whether hands may help, where it has to be said. */
export function describeTouch(touch: 'no' | 'ask' | 'yes'): string {
  return touch === 'no' ? 'No touch.' : ''
}
