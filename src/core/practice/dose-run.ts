import type { FittedDose } from './dose'

export type DoseSide = 'left' | 'right'

/** One part of a dose as it is done: a hold by the clock, repetitions counted, or rest. */
export type DosePart =
  | { readonly kind: 'hold'; readonly set: number; readonly side: DoseSide | null; readonly seconds: number }
  | { readonly kind: 'reps'; readonly set: number; readonly side: DoseSide | null; readonly reps: number }
  | { readonly kind: 'rest'; readonly seconds: number }

/**
 * A dose from its first part to its last: set by set, both sides in each where it has sides, rest between sets.
 * @param first the side that begins: the weaker, which is then done once more at the end; null where neither is behind
 */
export function partsOfDose(dose: FittedDose, first: DoseSide | null = null): DosePart[] {
  const begins = first ?? 'left'
  const sides: readonly (DoseSide | null)[] = dose.perSide
    ? [begins, begins === 'left' ? 'right' : 'left']
    : [null]
  const parts: DosePart[] = []
  const rest = (): void => {
    const last = parts.at(-1)
    if (!last || last.kind === 'rest') return
    // Where it is not said, as long as the work.
    const seconds = dose.restS ?? (last.kind === 'hold' ? last.seconds : 0)
    if (seconds > 0) parts.push({ kind: 'rest', seconds })
  }
  for (let set = 1; set <= dose.sets; set += 1) {
    if (set > 1) rest()
    for (const side of sides) parts.push(...workOf(dose, set, side))
  }
  if (first !== null && dose.perSide) {
    rest()
    parts.push(...workOf(dose, dose.sets + 1, first))
  }
  return parts
}

/** One set on one side: several holds where it is so many holds, else one hold or a count. */
function workOf({ reps, holdS }: FittedDose, set: number, side: DoseSide | null): DosePart[] {
  if (holdS === null) return reps === null ? [] : [{ kind: 'reps', set, side, reps }]
  return Array.from({ length: reps ?? 1 }, (): DosePart => ({ kind: 'hold', set, side, seconds: holdS }))
}

/** How long the parts take by the clock, s; repetitions are taken at three seconds each. */
export function secondsOfParts(parts: readonly DosePart[]): number {
  return parts.reduce((sum, part) => sum + (part.kind === 'reps' ? part.reps * REP_S : part.seconds), 0)
}
const REP_S = 3
