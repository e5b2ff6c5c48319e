import { dealt, evaluator } from './evaluate'
import type { Found } from './first-plan'
import { improve, searchCount } from './improve'
import type { Model } from './model'
import type { State } from './state'

/** What a worker is asked: a model as plain values and where to begin. */
export type SearchAsked = { readonly model: Model; readonly starts: readonly State[] }

/** What it tells: how far it is, each better plan, and that it is done. */
export type SearchTold =
  | { readonly kind: 'progress'; readonly done: number; readonly of: number }
  | { readonly kind: 'better'; readonly state: State; readonly tiers: readonly number[] }
  | { readonly kind: 'done' }

/** Searches on from some states and tells of every better plan; ends by count, or when `stopped` says so. */
export function searchOn(
  { model, starts }: SearchAsked,
  tell: (told: SearchTold) => void,
  stopped: () => boolean = () => false,
): void {
  const begun = foundFrom(model, starts)
  let best = begun[0]?.outcome.points ?? -Infinity
  const count = searchCount(model.people.length)
  const offer = ({ state, outcome }: Found): void => {
    if (!outcome.isLegal || outcome.points <= best + 0.01) return
    best = outcome.points
    tell({ kind: 'better', state, tiers: [...outcome.tiers] })
  }
  const found = improve(model, begun, count, ({ done, of, best: now }) => {
    tell({ kind: 'progress', done, of })
    offer(now)
    return stopped()
  })
  if (found) offer(found)
  tell({ kind: 'done' })
}

/** States with what they come to, the best first. */
export function foundFrom(model: Model, states: readonly State[]): Found[] {
  const { evaluate } = evaluator(model)
  return states
    .map((state) => ({ state, outcome: dealt(evaluate(state)) }))
    .sort((a, b) => b.outcome.points - a.outcome.points)
}

/** Whether a state belongs to a model: every slot and person is there, and every choice exists. */
export function fits(model: Model, { config, option }: State): boolean {
  if (config.length !== model.slots.length || option.length !== model.slots.length) return false
  return model.slots.every((slot, i) => {
    const chosen = option[i] ?? []
    const run = config[i] ?? -2
    return (
      run >= -1 &&
      run < slot.configs.length &&
      chosen.length === model.people.length &&
      chosen.every((o, p) => Number.isInteger(o) && o >= -1 && o < (slot.options[p]?.length ?? 0))
    )
  })
}

/** The model without what limits say and what stands in for what: the search needs none of it, and a screen may be private. */
export function withoutWords(model: Model): Model {
  return {
    ...model,
    slots: model.slots.map((slot) => ({
      ...slot,
      options: slot.options.map((options) =>
        options.map((o) => ({ ...o, change: null, inPlace: false, override: null })),
      ),
    })),
  }
}

/** A number that tells two models apart: what was found in one is not kept in another. */
export function printOf(model: Model): number {
  const text = JSON.stringify(withoutWords(model))
  let hash = 0x811c9dc5
  for (let i = 0; i < text.length; i += 1) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193)
  return hash >>> 0
}
