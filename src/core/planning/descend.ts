import { dealt, type Outcome } from './evaluate'
import type { Found } from './first-plan'
import type { Model } from './model'
import type { State } from './state'

/**
 * A plan in which nobody is better off with one version changed: everybody's options in every block are tried in turn, those
 * who wait first, until a whole round of them changes nothing. The annealing before it leaves such changes lying, most of all
 * in a full room, where each of its few steps hits one of very many.
 * @param most states judged at most
 */
export function descended(
  model: Model,
  start: Found,
  evaluate: (state: State) => Outcome,
  most: number,
): Found {
  let [now, left] = [start, most]
  const slots = model.slots.flatMap((_, s) => ((start.state.config[s] ?? -1) >= 0 ? [s] : []))
  const places = slots.flatMap((s) => model.people.map((_, p) => ({ s, p })))
  const waits = ({ s, p }: { readonly s: number; readonly p: number }): boolean =>
    (start.state.option[s]?.[p] ?? -1) < 0
  const inTurn = [...places.filter(waits), ...places.filter((at) => !waits(at))]
  // Ends once everybody was asked again since the last change.
  for (let [k, since] = [0, 0]; since < inTurn.length && left > 0; k += 1, since += 1) {
    const { s, p } = inTurn[k % inTurn.length] ?? { s: 0, p: 0 }
    for (let o = 0; o < (model.slots[s]?.options[p]?.length ?? 0) && left > 0; o += 1) {
      if (o === now.state.option[s]?.[p]) continue
      const option = now.state.option.map((all, i) => (i === s ? all.map((x, q) => (q === p ? o : x)) : all))
      const state = { ...now.state, option }
      left -= 1
      const seen = evaluate(state)
      // Waves are dealt only for what would be better.
      if (seen.points <= now.outcome.points + 1e-9) continue
      const outcome = dealt(seen)
      if (outcome.points <= now.outcome.points + 1e-9 || outcome.isLegal < now.outcome.isLegal) continue
      now = { state, outcome }
      since = -1
    }
  }
  return now
}
