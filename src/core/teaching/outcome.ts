import type { Attempt } from '../readiness/evidence'
import { STOP_SIGN } from '../readiness/severity'

/** What was tapped for somebody on the floor. */
export type Tapped = Pick<Attempt, 'outcome' | 'exitControlled' | 'endedBy' | 'faults'>

/** What was seen, each its own tap: falling out of it is not stopping, and stopping has its reasons (ruling 7). */
export const SEEN = ['clean', 'not-yet', 'fell-out', 'unwell', 'arms-spent', 'own-choice'] as const
export type Seen = (typeof SEEN)[number]

/** The record of a tap. */
export function tapOf(seen: Seen, faults: readonly string[]): Tapped & { readonly faults: string[] } {
  switch (seen) {
    case 'clean':
      return { outcome: 'clean', exitControlled: true, endedBy: null, faults: [] }
    case 'not-yet':
      return { outcome: 'not-yet', exitControlled: true, endedBy: 'self', faults: [...faults] }
    case 'fell-out':
      return { outcome: 'not-yet', exitControlled: false, endedBy: 'self', faults: [...faults] }
    case 'unwell':
      return {
        ...{ outcome: 'stopped', exitControlled: true, endedBy: 'self' },
        faults: [...faults.filter((f) => f !== STOP_SIGN), STOP_SIGN],
      }
    case 'arms-spent':
      return { outcome: 'stopped', exitControlled: true, endedBy: 'spent-arms', faults: [...faults] }
    case 'own-choice':
      return { outcome: 'stopped', exitControlled: true, endedBy: 'self', faults: [...faults] }
  }
}

/** What a record says was seen. */
export function seenOf({ outcome, exitControlled, endedBy, faults }: Tapped): Seen {
  if (outcome === 'clean') return 'clean'
  if (outcome === 'stopped')
    return endedBy === 'spent-arms' ? 'arms-spent' : faults.includes(STOP_SIGN) ? 'unwell' : 'own-choice'
  return exitControlled ? 'not-yet' : 'fell-out'
}

/** Who has stopped for tonight: whoever felt unwell or whose arms are spent is not called up again (rulings 2 and 7). */
export function isDone(taps: readonly Tapped[]): boolean {
  return stoppedBy(taps) !== null
}

/** What ended somebody's evening on the arms: not feeling well weighs more than spent arms; null where they go on. */
export function stoppedBy(taps: readonly Tapped[]): 'unwell' | 'arms-spent' | null {
  const seen = taps.map(seenOf)
  return seen.includes('unwell') ? 'unwell' : seen.includes('arms-spent') ? 'arms-spent' : null
}
