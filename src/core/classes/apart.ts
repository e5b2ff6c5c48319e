import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import type { PracticeBlock } from '../practice/schema'
import { isOpenTo } from '../readiness/allowed'
import type { Brief } from './brief'

/** Somebody to whom part of what the whole class does is closed, and which of its drills they do meanwhile. */
export type Apart = { readonly studentId: string; readonly drillId: string | null }

/**
 * Who does not join a warm-up or counterpose as it is called out: whoever one of its drills is closed to does the first
 * that is open, or rests. A block without drills carries no load of its own.
 */
export function apartIn(
  practice: Library,
  { people }: Pick<Brief, 'people'>,
  { drills }: Pick<PracticeBlock, 'drills'>,
): Apart[] {
  return people.flatMap(({ studentId, limits, answered }) => {
    const open = drills.filter((id) =>
      isOpenTo({ caps: limits, answered }, findById(practice.drills, id).load),
    )
    return open.length === drills.length ? [] : [{ studentId, drillId: open[0] ?? null }]
  })
}
