import type { Model } from './model'

/** A plan as it is searched: for each slot which way it is run (-1 not at all), for each person which option (-1 waits). */
export type State = {
  readonly config: readonly number[]
  readonly option: readonly (readonly number[])[]
}

/** Working blocks in the order of the class: where the new thing comes is a way of working (approaches.md A31, A46). */
const KINDS: Readonly<Record<Model['newThing'], readonly string[]>> = {
  first: ['skill', 'peak', 'stay', 'support', 'train'],
  middle: ['skill', 'support', 'peak', 'stay', 'train'],
  late: ['skill', 'train', 'support', 'peak', 'stay'],
}

/** The slots of a state that are run, in the order of the class. */
export function runSlots(model: Model, { config }: State): number[] {
  const used = model.slots.flatMap((_, i) => ((config[i] ?? -1) >= 0 ? [i] : []))
  const { order, strengthFirst, newThing } = model
  const rank = (i: number): number => {
    const purpose = model.slots[i]?.purpose
    const fixed = order?.indexOf(purpose?.id ?? '') ?? -1
    if (fixed >= 0) return fixed
    const usual = KINDS[strengthFirst ? 'late' : newThing]
    return order ? 50 + i : usual.indexOf(purpose?.kind ?? '') * 100
  }
  return used.sort((a, b) => rank(a) - rank(b) || a - b)
}

/** The same state with one slot run another way. */
export function withSlot(state: State, slot: number, config: number, option: readonly number[]): State {
  return {
    config: state.config.map((c, i) => (i === slot ? config : c)),
    option: state.option.map((o, i) => (i === slot ? option : o)),
  }
}
