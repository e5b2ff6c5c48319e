import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import type { PracticeBlock } from '../practice/schema'
import { isOpenTo, NO_CLOCK } from '../readiness/may'
import type { Brief } from './brief'
import { changeOn, type Change } from './change'

/**
 * Somebody who does not do what the whole class does as it is called out: something else, or the same as a limit changes it.
 */
export type Apart = {
  readonly studentId: string
  /** What they do instead; null where they rest, or join as told in `change`. */
  readonly drillId: string | null
  /** Whether they do the same as everybody, changed. */
  readonly joins: boolean
  /** How a limit changes what they do; null where it does not. */
  readonly change: Change | null
}

/**
 * Who does not join a warm-up, way out or counterpose as it is called out: whoever one of its drills is closed to does the
 * first that is open, or one of the others that prepare the same, or rests; and whoever it is changed for does it so, by the
 * clock: a limit of seconds reaches every minute. A block without drills carries what load it names.
 */
export function apartIn(
  practice: Library,
  { people }: Pick<Brief, 'people'>,
  { drills, load }: Pick<PracticeBlock, 'drills' | 'load'>,
  others: readonly string[] = [],
): Apart[] {
  return people.flatMap(({ studentId, limits, answered }): Apart[] => {
    // What is open late in the hour only is left out here in any case: nobody checks the clock in a warm-up.
    const carries = (of: PracticeBlock['load']): boolean => isOpenTo({ caps: limits, answered }, of, NO_CLOCK)
    const loadOf = (id: string): PracticeBlock['load'] => findById(practice.drills, id).load
    const changed = (loads: readonly PracticeBlock['load'][]): Change | null =>
      together(loads.map((of) => changeOn({ load: of }, { caps: limits })))
    const isOpen = (id: string): boolean => carries(loadOf(id))
    const open = drills.filter(isOpen)
    if (open.length === drills.length && carries(load)) {
      const change = changed([load, ...drills.map(loadOf)])
      return change === null ? [] : [{ studentId, drillId: null, joins: true, change }]
    }
    const drillId = open[0] ?? others.find(isOpen) ?? null
    return [
      { studentId, drillId, joins: false, change: drillId === null ? null : changed([loadOf(drillId)]) },
    ]
  })
}

/** Several changes at once: the least of each, and every word. */
function together(changes: readonly (Change | null)[]): Change | null {
  const all = changes.flatMap((change) => change ?? [])
  if (all.length === 0) return null
  const seconds = all.flatMap(({ mostSeconds }) => mostSeconds ?? [])
  return {
    mostSeconds: seconds.length > 0 ? Math.min(...seconds) : null,
    share: Math.min(...all.map(({ share }) => share)),
    words: [...new Set(all.flatMap(({ words }) => words))],
  }
}
