import { fillSlot, type Price } from './fill'
import { withSlot, type State } from './state'
import type { Model } from './model'
import { OWN_WORK, WEIGHTS } from './weights'

/** What it costs somebody to do a version in one block, for what they do in the others: the same prices as the judge's. */
function repeatPrice(model: Model, { config, option }: State, slot: number): Price {
  const kind = model.slots[slot]?.purpose.kind
  const others = model.slots.flatMap(({ purpose, options }, i) => {
    const each = i === slot || (config[i] ?? -1) < 0 ? 0 : price(kind, purpose.kind)
    return each === 0 ? [] : [{ each, does: (p: number) => options[p]?.[option[i]?.[p] ?? -1]?.v }]
  })
  if (others.length === 0) return NOTHING
  return (person, v) => others.reduce((sum, { each, does }) => (does(person) === v ? sum + each : sum), 0)
}

const NOTHING: Price = () => 0

type Kind = Model['slots'][number]['purpose']['kind']

function price(one: Kind | undefined, other: Kind): number {
  if (one === 'ease' && other === 'ease') return -WEIGHTS.restAgain
  if (one !== undefined && OWN_WORK.has(one) && OWN_WORK.has(other)) return -WEIGHTS.sameTwice
  return one === 'train' || (other === 'train' && one !== undefined) ? -WEIGHTS.broken : 0
}

/** The same class with every block but the peak filled anew, each for what the others hold: blocks filled by themselves repeat. */
export function withoutRepeats(model: Model, state: State): State {
  return model.slots.reduce((now, slot, i) => {
    const config = slot.configs[now.config[i] ?? -1]
    if (!config || slot.purpose.kind === 'peak') return now
    return withSlot(
      now,
      i,
      now.config[i] ?? -1,
      fillSlot(model, slot, config, { price: repeatPrice(model, now, i) }),
    )
  }, state)
}
