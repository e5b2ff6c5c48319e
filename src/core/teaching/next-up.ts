import { turnsOf, type Work } from '../classes/plan'

/** Somebody who may take a turn that stands free. */
export type StandsIn = { readonly studentId: string; readonly inPlaceOf: string }

/** Between two turns of one person, s, at least (class-craft.md 9). */
const OWN_REST_S = 60

/**
 * Who may go up in a turn in the place of somebody who has stopped for tonight: whoever does the very same version in a
 * later wave and has rested a minute by then, so that props, eyes and room are as they were planned. Each stands in once.
 * @param gone who has stopped
 * @param able who is there and may go up
 */
export function nextUp(
  block: Work,
  index: number,
  gone: ReadonlySet<string>,
  able: ReadonlySet<string>,
): StandsIn[] {
  const turns = turnsOf(block)
  const now = turns[index]
  if (!now || block.waves < 2) return []
  const taken = new Set(now.up.map((d) => d.studentId))
  return now.up
    .filter((d) => gone.has(d.studentId))
    .flatMap((free): StandsIn[] => {
      const later = turns
        .slice(index + 1)
        .flatMap((t) => t.up)
        .find(
          (d) =>
            d.variantId === free.variantId &&
            able.has(d.studentId) &&
            !taken.has(d.studentId) &&
            hasRested(d.studentId),
        )
      if (!later) return []
      taken.add(later.studentId)
      return [{ studentId: later.studentId, inPlaceOf: free.studentId }]
    })

  function hasRested(studentId: string): boolean {
    const last = turns.slice(0, index).findLast((t) => t.up.some((d) => d.studentId === studentId))
    return !now || !last || now.startS - (last.startS + block.workS) >= OWN_REST_S
  }
}
