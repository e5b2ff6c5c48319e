import { seeded, type Random } from '../random'
import { descended } from './descend'
import { dealt, evaluator, type Outcome } from './evaluate'
import { bestIn, fillSlot } from './fill'
import type { Found } from './first-plan'
import type { Model } from './model'
import { withSlot, type State } from './state'

/** How long to search: states judged, by the number of people (planner.md §7). */
export function searchCount(people: number): number {
  return people > 16 ? 60_000 : 40_000
}

/** What the search tells while it goes on. */
export type Progress = { readonly done: number; readonly of: number; readonly best: Found }

/** One round: from so many of the best starts, hot to cold, a share of the count. */
const ROUNDS = [
  { starts: 8, share: 0.5, hot: 4 },
  { starts: 3, share: 0.3, hot: 2 },
  { starts: 1, share: 0.2, hot: 1 },
] as const
const COLD = 0.15
/** At the end no single change is left lying, as far as so many states go at least. */
const LEAST_DESCENT = 3000
/** Every so many states the search says how far it is. */
const TELL_EVERY = 2000

/**
 * Better plans by annealing over versions, menus, lengths and purposes. It ends by count and draws from a seed, so that
 * the same class gives the same plan on every machine.
 * @param tell hears every so often how far it is; true ends the search there
 */
export function improve(
  model: Model,
  starts: readonly Found[],
  count: number,
  tell: (progress: Progress) => boolean = () => false,
  seed = 1,
): Found | null {
  const { evaluate } = evaluator(model)
  const random = seeded(seed)
  const moves = movesOf(model, random)
  let pool = [...starts]
  let best = pool.find((f) => f.outcome.isLegal) ?? pool[0]
  if (!best) return null
  let done = 0
  let stopped = false
  for (const { starts: from, share, hot } of ROUNDS) {
    const begun = pool.slice(0, from)
    const each = Math.max(1, Math.floor((count * share) / Math.max(1, begun.length)))
    const ended: Found[] = []
    for (const start of begun) {
      let now = start
      let own = start
      for (let k = 0; k < each && !stopped; k += 1) {
        const temperature = hot * (COLD / hot) ** (k / each)
        const state = moves(now.state, now.outcome)
        // Waves are dealt only for what would be accepted: most states are not.
        const bar = now.outcome.points + temperature * Math.log(Math.max(1e-12, random()))
        const seen = evaluate(state)
        if (seen.points >= bar) {
          const outcome = dealt(seen)
          if (outcome.points >= bar) now = { state, outcome }
        }
        if (isBetter(now, own)) own = now
        done += 1
        if (done % TELL_EVERY === 0) {
          if (isBetter(own, best)) best = own
          stopped = tell({ done, of: count, best })
        }
      }
      ended.push(own)
      if (isBetter(own, best)) best = own
    }
    pool = ended.sort((a, b) => b.outcome.points - a.outcome.points)
    if (stopped) break
  }
  return descended(model, best, evaluate, Math.max(LEAST_DESCENT, count / 4))
}

function isBetter(a: Found, b: Found): boolean {
  if (a.outcome.isLegal !== b.outcome.isLegal) return a.outcome.isLegal
  return a.outcome.points > b.outcome.points + 1e-9
}

/** A neighbour of a state: somebody's version, a menu, a length or a purpose. */
function movesOf(model: Model, random: Random): (state: State, outcome: Outcome) => State {
  const below = (n: number): number => Math.floor(random() * n)
  const fills = new Map<string, number[]>()
  const menus = model.slots.map((s) => [...new Set(s.options.flatMap((list) => list.map((o) => o.v)))])
  const filled = (slot: number, config: number): number[] => {
    const key = `${slot}|${config}`
    const found = fills.get(key)
    if (found) return found
    const s = model.slots[slot]
    const c = s?.configs[config]
    const made = s && c ? fillSlot(model, s, c) : model.people.map(() => -1)
    fills.set(key, made)
    return made
  }
  const someSlot = (state: State): number => {
    const used = state.config.flatMap((c, i) => (c >= 0 ? [i] : []))
    return used[below(used.length)] ?? 0
  }
  const oneVersion = (state: State): State => {
    const slot = someSlot(state)
    const person = below(model.people.length)
    const options = model.slots[slot]?.options[person]?.length ?? 0
    if (options === 0) return state
    const next = below(options)
    return withSlot(
      state,
      slot,
      state.config[slot] ?? -1,
      (state.option[slot] ?? []).map((o, p) => (p === person ? next : o)),
    )
  }
  const menu = (state: State): State => {
    const i = someSlot(state)
    const slot = model.slots[i]
    const config = slot?.configs[state.config[i] ?? -1]
    const options = state.option[i]
    if (!slot || !config || !options) return state
    const now = new Set(options.flatMap((o, p) => slot.options[p]?.[o]?.v ?? []))
    const all = menus[i] ?? []
    if (random() < 0.5 && now.size > 1) {
      const out = [...now][below(now.size)] ?? -1
      now.delete(out)
      return withSlot(
        state,
        i,
        state.config[i] ?? -1,
        options.map((o, p) =>
          slot.options[p]?.[o]?.v === out ? bestIn(model, { slot, config }, p, now) : o,
        ),
      )
    }
    const into = all[below(all.length)] ?? -1
    const only = new Set([into])
    return withSlot(
      state,
      i,
      state.config[i] ?? -1,
      options.map((o, p) => {
        const other = bestIn(model, { slot, config }, p, only)
        return other >= 0 && random() < 0.6 ? other : o
      }),
    )
  }
  const otherLength = (state: State, i: number, way: -1 | 0 | 1): State => {
    const slot = model.slots[i]
    const config = slot?.configs[state.config[i] ?? -1]
    if (!slot || !config) return state
    const time = (c: typeof config): number => c.sets * c.waves * (c.workS + c.gapS)
    const fitting = slot.configs.flatMap((c, k) =>
      c !== config && (way === 0 || Math.sign(time(c) - time(config)) === way) ? [k] : [],
    )
    const next = fitting[below(fitting.length)]
    if (next === undefined) return state
    return withSlot(state, i, next, state.option[i] ?? [])
  }
  const lengths = (state: State, { leftS }: Outcome): State => {
    const i = someSlot(state)
    const before = model.slots[i]?.configs[state.config[i] ?? -1]
    const made = otherLength(state, i, leftS < 0 ? -1 : 0)
    const after = model.slots[i]?.configs[made.config[i] ?? -1]
    if (!before || !after) return made
    // What one block takes another gives in the same move, or dear but good versions are never reached.
    const grew =
      after.sets * after.waves * (after.workS + after.gapS) -
      before.sets * before.waves * (before.workS + before.gapS)
    const other = someSlot(made)
    return other === i || random() < 0.3 ? made : otherLength(made, other, grew > leftS ? -1 : 1)
  }
  const purpose = (state: State): State => {
    const free = model.slots.flatMap((s, i) => (s.purpose.needed ? [] : [i]))
    const i = free[below(free.length)]
    if (i === undefined) return state
    const off = model.people.map(() => -1)
    if ((state.config[i] ?? -1) >= 0 && random() < 0.5) return withSlot(state, i, -1, off)
    const config = below(model.slots[i]?.configs.length ?? 1)
    const on = withSlot(state, i, config, filled(i, config))
    const others = free.filter(
      (j) => j !== i && (state.config[j] ?? -1) >= 0 && model.slots[j]?.purpose.kind === 'train',
    )
    const out = others[below(others.length)]
    return out !== undefined && random() < 0.7 ? withSlot(on, out, -1, off) : on
  }
  return (state, outcome) => {
    const r = random()
    if (r < 0.45) return oneVersion(state)
    if (r < 0.75) return menu(state)
    return r < 0.95 ? lengths(state, outcome) : purpose(state)
  }
}
