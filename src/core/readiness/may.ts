import { changeOn, type Change } from '../classes/change'
import type { Load } from '../practice/schema'
import { closes, type Caps, type Limits } from '../screening/caps'
import { waitsForScreening } from './decide'

/** Whether somebody may do something, and how: seconds, share and words where a limit changes it. */
export type May = { readonly open: boolean; readonly change: Change | null }

/** Nobody looks at the clock: what is open late in the hour only is closed. */
export const NO_CLOCK = 0
/** Some time in the hour. */
const ANY_TIME = 1

/**
 * May this person do this, how, and for how long: the one answer for stages, drills, shapes to rest in, warm-ups, ways out,
 * what is done while waiting, home and sequences alike. What a limit closes is closed, what a health screen that nobody
 * recorded keeps shut waits for it, what is open late in the hour only is closed before; the rest is open, changed as limits
 * change it. What somebody has shown is asked beside it (`staysWithin`, `allowedStages`), and only ever closes more.
 * @param atShare of the class at which it is done, 0 at its start
 */
export function may(load: Load, limits: Limits & Pick<Caps, 'answered'>, atShare: number = ANY_TIME): May {
  if (closes(limits, load) || (!limits.answered && waitsForScreening(load)))
    return { open: false, change: null }
  const change = changeOn({ load }, limits)
  return (change?.notBefore ?? 0) > atShare ? { open: false, change: null } : { open: true, change }
}

/** Only whether. */
export function isOpenTo(limits: Limits & Pick<Caps, 'answered'>, load: Load, atShare = ANY_TIME): boolean {
  return may(load, limits, atShare).open
}
