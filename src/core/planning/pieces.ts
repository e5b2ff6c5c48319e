import type { Brief, BriefPerson } from '../classes/brief'
import type { Variant } from './variants'

/** How many pieces there are of each kind, and of straps longer than each length that is in the cupboard. */
export type Pieces = Readonly<Record<string, number>>

const LONGER = 'strap>'

/**
 * What the cupboard holds, with a line of its own for straps above each length. A long strap serves for a short one and
 * never the other way: where no more are asked for above any length than there are above it, everybody gets one (Hall's
 * condition on nested sets).
 */
export function piecesOf({ cupboard }: Brief): Pieces {
  const sums: Record<string, number> = {}
  for (const { kind, count } of cupboard.lines) sums[kind] = (sums[kind] ?? 0) + count
  const straps = cupboard.lines.filter((l) => l.kind === 'strap')
  for (const { longCm } of straps)
    if (longCm !== null)
      sums[`${LONGER}${longCm}`] = straps.reduce(
        (n, l) => n + (l.longCm === null || l.longCm > longCm ? l.count : 0),
        0,
      )
  return sums
}

/** What somebody takes of each line for a variant. */
export function piecesFor(
  pieces: Pieces,
  { bill }: Pick<Variant, 'bill'>,
  { loopCm }: Pick<BriefPerson, 'loopCm'>,
): { readonly kind: string; readonly count: number }[] {
  const longer = loopCm === null ? [] : Object.keys(pieces).filter((line) => loopCm > lengthOf(line))
  return bill.flatMap(({ kind, count }) =>
    kind === 'strap'
      ? [{ kind, count }, ...longer.map((line) => ({ kind: line, count }))]
      : [{ kind, count }],
  )
}

/** The length a line of straps begins above; endless for any other line. */
function lengthOf(line: string): number {
  return line.startsWith(LONGER) ? Number(line.slice(LONGER.length)) : Infinity
}
