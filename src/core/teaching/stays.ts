import type { Doing, Work } from '../classes/plan'

/** Somebody who stays in a shape: how long still, s; below nought they are to be out. */
export type Staying = { readonly studentId: string; readonly leftS: number }

/**
 * Who is in their stay at a moment of a turn, whoever comes out first in front (ruling 24); nobody in a block of sets or
 * turns. Takes the block, who is up, and the seconds left of the turn.
 */
export function stayingIn(
  { kind, workS }: Pick<Work, 'kind' | 'workS'>,
  up: readonly Pick<Doing, 'studentId' | 'holdS'>[],
  leftS: number,
): Staying[] {
  if (kind !== 'stay') return []
  const into = workS - leftS
  return up
    .map(({ studentId, holdS }) => ({ studentId, leftS: (holdS ?? workS) - into }))
    .toSorted((a, b) => a.leftS - b.leftS)
}

/** Out this long ago nobody has to be told any more, s. */
const TOLD_S = 20

/** Those who are due out now or just were, and those still in. */
export function dueOut(staying: readonly Staying[]): {
  readonly out: readonly Staying[]
  readonly still: readonly Staying[]
} {
  return {
    out: staying.filter((s) => s.leftS <= 0 && s.leftS > -TOLD_S),
    still: staying.filter((s) => s.leftS > 0),
  }
}
