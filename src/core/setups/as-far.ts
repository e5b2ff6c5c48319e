import type { Stock } from '../props/stock'
import { solveSetup } from './catalogue'
import type { SetupRefusal, SetupSolution } from './setup'

/** How far one option could be moved, and why not further; null where it could be moved all the way. */
export type AsFar = { readonly value: number; readonly refusal: SetupRefusal | null }

/**
 * Moves one option of a setup that stands as far towards a value as this body, wall and cupboard allow, so that a handle
 * stops where it cannot go on and the drawing stays what it was.
 * @param from what stands now @param grain the finest step that the option is moved in, in its own unit
 */
export function asFarAs(
  from: Pick<SetupSolution, 'id' | 'body' | 'options'>,
  key: string,
  asked: number,
  stock: Stock,
  grain: number,
): AsFar {
  const tried = (value: number) => solveSetup(from.id, from.body, { ...from.options, [key]: value }, stock)
  const all = tried(asked)
  if (all.ok) return { value: asked, refusal: null }
  let [good, bad] = [from.options[key] ?? asked, asked]
  while (Math.abs(bad - good) > grain) {
    const middle = good + Math.round((bad - good) / 2 / grain) * grain
    if (middle === good || middle === bad) break
    if (tried(middle).ok) good = middle
    else bad = middle
  }
  return { value: good, refusal: all.refusal }
}
