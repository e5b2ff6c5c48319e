import type { FittedDose } from './dose'

export type DoseSide = 'left' | 'right'

/** One part of a dose as it is done: a hold by the clock, repetitions counted, or rest. */
export type DosePart =
  | { readonly kind: 'hold'; readonly set: number; readonly side: DoseSide | null; readonly seconds: number }
  | { readonly kind: 'reps'; readonly set: number; readonly side: DoseSide | null; readonly reps: number }
  | { readonly kind: 'rest'; readonly seconds: number }

/**
 * A dose from its first part to its last: set by set, both sides in each where it has sides. Rest stands between sets and
 * between any two holds, so that no two of them run into one; the tries that the dose allows are never passed.
 * @param first the side that begins: the weaker, which is then done once more at the end; null where neither is behind
 */
export function partsOfDose(dose: FittedDose, first: DoseSide | null = null): DosePart[] {
  const begins = first ?? 'left'
  const sides: readonly (DoseSide | null)[] = dose.perSide
    ? [begins, begins === 'left' ? 'right' : 'left']
    : [null]
  const sets = Array.from({ length: dose.sets }, (_, i) => i + 1)
  const work = sets.flatMap((set) => sides.flatMap((side) => workOf(dose, set, side)))
  const again = first !== null && dose.perSide ? workOf(dose, dose.sets + 1, first) : []
  return withRests(withinCap([...work, ...again], dose.cap ?? Infinity), dose.restS)
}

type Work = Exclude<DosePart, { kind: 'rest' }>

/** One set on one side: several holds where it is so many holds, else one hold or a count. */
function workOf({ reps, holdS }: FittedDose, set: number, side: DoseSide | null): Work[] {
  if (holdS === null) return reps === null ? [] : [{ kind: 'reps', set, side, reps }]
  return Array.from({ length: reps ?? 1 }, (): Work => ({ kind: 'hold', set, side, seconds: holdS }))
}

/** As many tries as may be: a hold is one, a count as many as it counts. */
function withinCap(work: readonly Work[], most: number): Work[] {
  let left = most
  return work.flatMap((part): Work[] => {
    const wanted = part.kind === 'hold' ? 1 : part.reps
    const done = Math.min(wanted, left)
    left -= done
    if (done === 0) return []
    return [part.kind === 'hold' ? part : { ...part, reps: done }]
  })
}

/** Where no rest is said it is as long as the hold before it. */
function withRests(work: readonly Work[], restS: number | null): DosePart[] {
  return work.flatMap((part, i): DosePart[] => {
    const before = work[i - 1]
    if (!before || (before.set === part.set && part.kind === 'reps')) return [part]
    const seconds = restS ?? (before.kind === 'hold' ? before.seconds : 0)
    return seconds > 0 ? [{ kind: 'rest', seconds }, part] : [part]
  })
}

/** How long the parts take by the clock, s; repetitions are taken at three seconds each. */
export function secondsOfParts(parts: readonly DosePart[]): number {
  return parts.reduce((sum, part) => sum + (part.kind === 'reps' ? part.reps * REP_S : part.seconds), 0)
}
const REP_S = 3
