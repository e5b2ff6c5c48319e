import { dealt, type Outcome } from './evaluate'
import type { Found } from './first-plan'
import type { Model } from './model'
import { withSlot, type State } from './state'

/** Rounds of mending: each takes one person out of what they break. */
const ROUNDS = 8

/**
 * A class that breaks what holds between its blocks, mended by the one change that leaves most points: whoever breaks it takes
 * another version in one block, or a block is left out. So a large class is not thrown away for one of its people.
 * @returns the same where nobody's change mends it
 */
export function mended(model: Model, found: Found, evaluate: (state: State) => Outcome): Found {
  let now = found
  for (let round = 0; round < ROUNDS && !now.outcome.isLegal; round += 1) {
    const better = oneMended(model, now, evaluate)
    if (!better) return now
    now = better
  }
  return now
}

function oneMended(model: Model, now: Found, evaluate: (state: State) => Outcome): Found | null {
  const brokenIn = ({ tiers }: Outcome): number => tiers[0] ?? 0
  const before = brokenIn(now.outcome)
  let best: Found | null = null
  const consider = (state: State): void => {
    const outcome = dealt(evaluate(state))
    if (brokenIn(outcome) > before && (best === null || outcome.points > best.outcome.points))
      best = { state, outcome }
  }
  // What is cold by the time it comes, or one block too many, is mended by leaving a block out.
  for (const [s, { purpose }] of model.slots.entries())
    if (!purpose.needed && (now.state.config[s] ?? -1) >= 0)
      consider(
        withSlot(
          now.state,
          s,
          -1,
          model.people.map(() => -1),
        ),
      )
  for (let p = 0; p < model.people.length; p += 1) {
    const idle = now.state.option.map((all) => all.map((o, i) => (i === p ? -1 : o)))
    // Whoever mends nothing by doing nothing is not the one.
    if (brokenIn(evaluate({ ...now.state, option: idle })) <= before) continue
    for (const [s, slot] of model.slots.entries()) {
      if ((now.state.config[s] ?? -1) < 0) continue
      for (let o = -1; o < (slot.options[p]?.length ?? 0); o += 1) {
        if (o === now.state.option[s]?.[p]) continue
        const option = now.state.option.map((all, i) =>
          i === s ? all.map((x, q) => (q === p ? o : x)) : all,
        )
        consider({ ...now.state, option })
      }
    }
  }
  return best
}
