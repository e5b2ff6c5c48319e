import type { Doing } from '../classes/plan'
import type { Library } from '../practice/library'
import { LOAD_TAGS, type Drill, type Load, type LoadTag } from '../practice/schema'
import { isOpenTo, NO_CLOCK } from '../readiness/may'
import type { Caps } from '../screening/caps'

/** The most of a load that goes home unwatched: no fall, nothing on head or nape, hips hardly above the head (class-craft.md 17). */
const ALONE: Partial<Record<LoadTag, number>> = { FR: 1, HB: 0, NF: 0, HBH: 1 }

/**
 * Drills of a class that somebody may repeat at home: done without a helper and without a try, light enough to need nobody
 * who watches, and open under every set of limits that counts, those of the class and those of today.
 */
export function repeatAtHome(
  { drills }: Pick<Library, 'drills'>,
  done: readonly Pick<Doing, 'variantId' | 'helper' | 'tries'>[],
  limits: readonly Caps[],
): Drill[] {
  return done.flatMap(({ variantId, helper, tries }) => {
    const drill = drills.find((d) => d.id === variantId)
    return drill &&
      helper === null &&
      tries === 0 &&
      isForAlone(drill.load) &&
      limits.every((l) => isOpenTo(l, drill.load, NO_CLOCK))
      ? [drill]
      : []
  })
}

/** Whether a load is light enough to need nobody who watches. */
export function isForAlone(load: Load): boolean {
  return LOAD_TAGS.every((tag) => (load[tag] ?? 0) <= (ALONE[tag] ?? Infinity))
}
