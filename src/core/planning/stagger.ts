import type { Model } from './model'
import type { Placed } from './evaluate'

/** Between the starts of people in a wave who may need the teacher's hands, s (hour.md: two needed at once in 0.17 waves of three, not 0.91). */
export const APART_S = 20

/** How much longer the turns of a block are for it, s, and how long into a turn each person begins. */
export type Stagger = { readonly longerS: number; readonly after: readonly number[] }

/**
 * Starts of a block, so that those of one wave who kick begin one after the other, whoever needs hands most in front. Turns
 * grow for it as far as spare minutes reach; where they do not, starts lie as far apart as the turn leaves.
 * @param spareS seconds that the class has over
 */
export function staggered(model: Model, { value }: Placed, cycles: number, spareS: number): Stagger {
  const deal = value.deal()
  const none: Stagger = { longerS: 0, after: value.parts.map(() => 0) }
  if (!deal) return none
  const kicks = value.parts.flatMap((part, i) => (part && model.variants[part.v]?.kick ? [i] : []))
  const waves = [...new Set(kicks.map((i) => deal.wave[i] ?? 0))].map((wave) =>
    kicks.filter((i) => deal.wave[i] === wave).sort((a, b) => needs(value, b) - needs(value, a) || a - b),
  )
  const needS = (i: number): number => value.parts[i]?.needS ?? 0
  const wantedS = Math.max(
    0,
    ...waves.flatMap((own) => own.map((i, k) => k * APART_S + needS(i) - value.workS)),
  )
  const wholeS = Math.ceil(wantedS / 5) * 5
  const longerS = Math.min(wholeS, Math.max(0, Math.floor(spareS / cycles / 5) * 5))
  const after = [...none.after]
  for (const own of waves)
    own.forEach((i, k) => {
      const most = Math.floor((value.workS + longerS - needS(i)) / 5) * 5
      after[i] = Math.max(0, Math.min(k * APART_S, most))
    })
  return { longerS, after }
}

/** How likely somebody is to need hands: a first time before what is not held yet, that before the rest. */
function needs({ parts }: Placed['value'], i: number): number {
  const option = parts[i]?.option
  return (option?.first ? 2 : 0) + (option?.helper ? 1 : 0) + (option?.fit ?? 0) / 2
}
