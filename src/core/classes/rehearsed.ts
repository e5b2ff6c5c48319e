import type { Library } from '../practice/library'
import { waysOut, type WayOut } from '../screening/ways-out'
import type { Limits } from '../screening/caps'
import { isWork, type Plan } from './plan'

/** The drill in which ways out are gone through. */
export const REHEARSAL = 'DR-exit-rehearsal'

/**
 * The ways out that a plan rehearses, each once: of everything dealt that falls from medium up, the first by which its
 * person may leave it. A roll for the nape is rehearsed by nobody whose versions end on their feet (class-craft.md 3).
 */
export function rehearsedWays(
  practice: Library,
  plan: Plan,
  limitsOf: (studentId: string) => Limits,
): readonly WayOut[] {
  const found = new Set<WayOut>()
  for (const block of plan.blocks.filter(isWork))
    for (const { studentId, variantId } of block.people) {
      const stage = practice.stages.find((s) => s.id === variantId)
      if (!stage || (stage.load.FR ?? 0) < 2) continue
      const [first] = waysOut(practice, stage, limitsOf(studentId))
      if (first) found.add(first)
    }
  return practice.exits.filter((exit) => found.has(exit))
}
