import type { Model, Slot } from './model'
import type { Option } from './option'
import type { Config } from './skeleton'
import { dealWaves, MOST_AT_ONCE, MOST_VERSIONS, mostGentle } from './deal'
import { FLOOR_DOSE, PEAK_DOSE, WEIGHTS } from './weights'

/** What a version costs somebody for what they do in the other blocks, points. */
export type Price = (person: number, v: number) => number

const FREE: Price = () => 0

/** What a block offers, with its prices: by the number of sets, since nothing else of how it is run bears on them. */
type Offers = {
  readonly worths: Map<number, readonly (readonly number[])[]>
  /** By person: which of their options is a version. */
  readonly at: readonly ReadonlyMap<number, number>[]
  readonly versions: readonly number[]
}

const offered = new WeakMap<Slot, Offers>()

function offersOf(slot: Slot): Offers {
  const known = offered.get(slot)
  if (known) return known
  const at = slot.options.map((options) => new Map(options.map((o, i) => [o.v, i])))
  const versions = [...new Set(at.flatMap((own) => [...own.keys()]))].sort((x, y) => x - y)
  const made = { worths: new Map(), at, versions }
  offered.set(slot, made)
  return made
}

/** What every option of a block is worth to whose it is, by person; worked out once. */
function worthsOf(model: Model, slot: Slot, { sets }: Config): readonly (readonly number[])[] {
  const { worths } = offersOf(slot)
  const found = worths.get(sets)
  if (found) return found
  const made = slot.options.map((options, p) => options.map((o) => ownWorth(model, slot, sets, p, o)))
  worths.set(sets, made)
  return made
}

/** What an option is worth to somebody by itself, whatever else is chosen. */
function ownWorth(model: Model, slot: Slot, sets: number, person: number, option: Option): number {
  const variant = model.variants[option.v]
  const someone = model.people[person]
  if (!variant || !someone) return -Infinity
  const { kind } = slot.purpose
  const table = kind === 'peak' ? PEAK_DOSE : FLOOR_DOSE
  const dose = kind === 'stay' ? 1 : (table[Math.min(sets, option.mostTurns, table.length - 1)] ?? 0)
  const lacks = Object.entries(variant.trains).reduce(
    (sum, [c, level]) => sum + (someone.lacks[c] ?? 0) * (level / 3),
    0,
  )
  return (
    WEIGHTS[kind] * someone.weight * option.fit * dose +
    WEIGHTS.lacks * someone.weight * Math.min(1, lacks) * dose -
    option.outside +
    (option.first ? WEIGHTS.firstTry : 0) +
    WEIGHTS.piece * variant.bill.reduce((sum, b) => sum + b.count, 0) +
    (variant.rig ? WEIGHTS.rig : 0) -
    option.again
  )
}

/** The option of somebody that is worth most among those in a menu; -1 where none of them is theirs. */
export function bestIn(
  model: Model,
  { slot, config }: { readonly slot: Slot; readonly config: Config },
  person: number,
  menu: ReadonlySet<number>,
  price: Price = FREE,
): number {
  let best = -1
  let most = -Infinity
  const options = slot.options[person] ?? []
  const own = worthsOf(model, slot, config)[person] ?? []
  for (let i = 0; i < options.length; i += 1) {
    const v = options[i]?.v ?? -1
    if (!menu.has(v)) continue
    const worth = (own[i] ?? 0) - price(person, v)
    if (worth > most) {
      best = i
      most = worth
    }
  }
  return best
}

/**
 * Versions for everybody in one block: the menu grows by the version that helps most while it pays for being taught;
 * whoever then cannot be dealt takes what loses least.
 * @param model the class
 * @param slot the block
 * @param config how it is run
 * @param by what else bears on it
 * @param by.may which versions may be taught at all; what somebody is locked to always may
 * @param by.price what they cost for the other blocks' sake
 */
export function fillSlot(
  model: Model,
  slot: Slot,
  config: Config,
  by: { readonly may?: (v: number) => boolean; readonly price?: Price } = {},
): number[] {
  const { may = () => true, price = FREE } = by
  const menu = new Set<number>()
  const limit = { working: Math.min(MOST_VERSIONS, MOST_AT_ONCE * config.waves), gentle: mostGentle(config) }
  const { at, versions } = offersOf(slot)
  const worths = worthsOf(model, slot, config)
  const worthOf = (person: number, o: number): number => {
    const own = worths[person]?.[o]
    return own === undefined ? WEIGHTS.waitsThrough : own - price(person, slot.options[person]?.[o]?.v ?? -1)
  }
  const candidates = versions.filter(may)
  let chosen = model.people.map(() => -1)
  const isGentle = (v: number): boolean => model.variants[v]?.gentle ?? true
  const locked = model.people.flatMap((_, p) => {
    const only = slot.options[p]
    return only?.length === 1 && only[0] ? [only[0].v] : []
  })
  for (const v of locked) if (room(menu, v, isGentle, limit)) menu.add(v)
  chosen = model.people.map((_, p) => bestIn(model, { slot, config }, p, menu, price))
  for (;;) {
    const now = chosen.map((o, p) => worthOf(p, o))
    let [best, gain] = [-1, -WEIGHTS.version]
    for (const v of candidates) {
      if (menu.has(v) || !room(menu, v, isGentle, limit)) continue
      const gained = now.reduce(
        (sum, worth, p) => sum + Math.max(0, worthOf(p, at[p]?.get(v) ?? -1) - worth),
        0,
      )
      if (gained > gain + 1e-9) [best, gain] = [v, gained]
    }
    if (best < 0) break
    menu.add(best)
    chosen = model.people.map((_, p) => bestIn(model, { slot, config }, p, menu, price))
  }
  return repaired(model, slot, config, chosen, menu)
}

function room(
  menu: ReadonlySet<number>,
  v: number,
  isGentle: (v: number) => boolean,
  limit: { readonly working: number; readonly gentle: number },
): boolean {
  const same = [...menu].filter((m) => isGentle(m) === isGentle(v)).length
  return same < (isGentle(v) ? limit.gentle : limit.working)
}

/** Until the waves can be dealt, one person after the other takes what asks less of the room and loses least by it. */
function repaired(
  model: Model,
  slot: Slot,
  config: Config,
  chosen: number[],
  menu: ReadonlySet<number>,
): number[] {
  const optionOf = (p: number, o: number): Option | null => slot.options[p]?.[o] ?? null
  const now = [...chosen]
  for (let tries = 0; tries < model.people.length + 2; tries += 1) {
    const deal = dealWaves(
      model,
      config,
      now.map((o, p) => optionOf(p, o)),
    )
    if (deal) return now
    let [who, to, loss] = [-1, -1, Infinity]
    const taught = new Set([...menu, ...now.map((o, p) => optionOf(p, o)?.v)])
    now.forEach((o, p) => {
      const option = optionOf(p, o)
      if (!option || asks(model, option) === 0) return
      const worth = worthsOf(model, slot, config)[p] ?? []
      const own = worth[o] ?? 0
      slot.options[p]?.forEach((other, i) => {
        if (!taught.has(other.v)) return
        if (asks(model, other) >= asks(model, option)) return
        const lost = (own - (worth[i] ?? 0)) / (asks(model, option) - asks(model, other))
        if (lost < loss) [who, to, loss] = [p, i, lost]
      })
    })
    if (who < 0) break
    now[who] = to
  }
  // Somebody waits rather than nobody has a block: whoever asks most of it first, so that few have to.
  const asked = (p: number): number => {
    const option = optionOf(p, now[p] ?? -1)
    return option ? asks(model, option) : 0
  }
  const hardest = now.map((_, p) => p).sort((a, b) => asked(b) - asked(a) || a - b)
  for (const p of hardest) {
    if (
      dealWaves(
        model,
        config,
        now.map((o, q) => optionOf(q, o)),
      )
    )
      return now
    now[p] = -1
  }
  return now
}

/** How much of the room, the eyes and the cupboard an option takes. */
function asks(model: Model, option: Option): number {
  const variant = model.variants[option.v]
  const pieces = variant?.bill.reduce((sum, b) => sum + b.count, 0) ?? 0
  return (
    option.points + (option.bays > 0 ? 2 : 0) + (option.openFloor ? 2 : 0) + (option.helper ? 4 : 0) + pieces
  )
}
