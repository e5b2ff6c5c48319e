import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import type { PracticeBlock } from '../practice/schema'
import { isOpenTo } from '../readiness/allowed'
import type { Brief } from './brief'
import { isTooEarly } from './change'

/** Somebody to whom part of what the whole class does is closed, and which of its drills they do meanwhile. */
export type Apart = { readonly studentId: string; readonly drillId: string | null }

/**
 * Who does not join a warm-up or counterpose as it is called out: whoever one of its drills is closed to does the first
 * that is open, or one of the others that prepare the same, or rests. A block without drills carries what load it names.
 */
export function apartIn(
  practice: Library,
  { people }: Pick<Brief, 'people'>,
  { drills, load }: Pick<PracticeBlock, 'drills' | 'load'>,
  others: readonly string[] = [],
): Apart[] {
  return people.flatMap(({ studentId, limits, answered }) => {
    // What is open late in the hour only is left out here in any case: nobody checks the clock in a warm-up.
    const carries = (of: PracticeBlock['load']): boolean =>
      isOpenTo({ caps: limits, answered }, of) && !isTooEarly({ load: of }, { caps: limits }, 0)
    const isOpen = (id: string): boolean => carries(findById(practice.drills, id).load)
    const open = drills.filter(isOpen)
    const own = carries(load)
    return open.length === drills.length && own
      ? []
      : [{ studentId, drillId: open[0] ?? others.find(isOpen) ?? null }]
  })
}
