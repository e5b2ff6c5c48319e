import type { Model } from './model'

/** A plan as it is searched: for each slot which way it is run (-1 not at all), for each person which option (-1 waits). */
export type State = {
  readonly config: readonly number[]
  readonly option: readonly (readonly number[])[]
}

/** The slots of a state that are run, in the order of the class. */
export function runSlots(model: Model, { config }: State): number[] {
  const used = model.slots.flatMap((_, i) => ((config[i] ?? -1) >= 0 ? [i] : []))
  const { order, strengthFirst } = model
  const rank = (i: number): number => {
    const purpose = model.slots[i]?.purpose
    const fixed = order?.indexOf(purpose?.id ?? '') ?? -1
    if (fixed >= 0) return fixed
    const usual = strengthFirst
      ? ['skill', 'train', 'support', 'peak']
      : ['skill', 'support', 'peak', 'train']
    return order ? 50 + i : usual.indexOf(purpose?.kind ?? '') * 100
  }
  return used.sort((a, b) => rank(a) - rank(b) || a - b)
}
