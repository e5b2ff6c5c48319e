import type { PracticeBlock } from '../practice/schema'
import type { Model, Piece } from './model'
import { KICKS_FB, KICKS_WB } from './part'

export type Item = { readonly id: string; readonly seconds: number }
/** What a warm-up is composed of. */
export type Preparing = Pick<Model, 'settled' | 'warmups' | 'pieces' | 'minutes' | 'wayOut'>
export type Composed = { readonly items: readonly Item[]; readonly seconds: number; readonly wantedS: number }

/** The way out takes so long, and each kind of small hops, s. */
export const [REHEARSAL_S, HOPS_S] = [120, 60] as const

/** Warm-up takes at most about a third of the class (ruling 12). */
const WARM_SHARE = 1 / 3

type Need = PracticeBlock['must'][number]

/**
 * Drills that prepare the loads named: of each block what it must contain and its least minutes, each drill counted for
 * every block it belongs to (drills-and-checks.md D, ruling 12). Drills that are closed to somebody come last.
 * @param mask bits of warm-ups, in the practice's order
 */
export function composeWarmUp(model: Preparing, mask: number): Composed {
  const { settled } = model
  const blocks = model.warmups.filter((_, i) => (mask >> i) & 1 && i !== model.wayOut)
  const taken = new Map<string, number>()
  const has = (id: string): boolean => taken.has(id) || settled.includes(id)
  const missing = ({ n, from }: Need): number => n - from.filter(has).length
  const needs = blocks.flatMap((b) => b.must)
  for (;;) {
    const open = needs.filter((need) => missing(need) > 0)
    if (open.length === 0) break
    const next = bestOf(
      model,
      [...new Set(open.flatMap((need) => need.from))].filter((id) => !has(id)),
      (id) => open.filter((need) => need.from.includes(id)).length,
    )
    if (next === null) break
    taken.set(next.id, next.leastS)
  }
  const short = (b: (typeof blocks)[number]): number =>
    b.leastS - b.drills.reduce((sum, id) => sum + (taken.get(id) ?? (settled.includes(id) ? 60 : 0)), 0)
  // Least minutes: lengthen what is there as far as it usually lasts, then add another.
  for (;;) {
    const block = blocks.find((b) => short(b) > 0)
    if (!block) break
    const longer = block.drills.find((id) => (taken.get(id) ?? Infinity) < (model.pieces[id]?.usualS ?? 0))
    if (longer !== undefined) {
      taken.set(longer, Math.min(model.pieces[longer]?.usualS ?? 60, (taken.get(longer) ?? 0) + 30))
      continue
    }
    const next = bestOf(
      model,
      block.drills.filter((id) => !has(id)),
      (id) => blocks.filter((b) => short(b) > 0 && b.drills.includes(id)).length,
    )
    if (next === null) break
    taken.set(next.id, next.leastS)
  }
  return fitted([...taken], model.minutes * 60 * WARM_SHARE)
}

/**
 * Another drill that prepares all that one of a warm-up does, for as many people, and is not in it yet; null where there is
 * none. So nobody strengthens with what they warmed up with.
 * @param model the class
 * @param mask warm-ups that the class needs, as bits
 * @param items the warm-up as it is
 * @param by which drill, and those that come as strength
 * @param by.id the drill
 * @param by.avoid drills that come as strength
 */
function otherDrill(
  model: Preparing,
  mask: number,
  items: readonly Item[],
  { id, avoid }: { readonly id: string; readonly avoid: ReadonlySet<string> },
): string | null {
  const blocks = model.warmups.filter(
    (b, i) => (mask >> i) & 1 && i !== model.wayOut && b.drills.includes(id),
  )
  const needs = blocks.flatMap((b) => b.must.filter((need) => need.from.includes(id)))
  const [first, ...rest] = blocks
  const found = first?.drills.find(
    (other) =>
      !avoid.has(other) &&
      !items.some((item) => item.id === other) &&
      !model.settled.includes(other) &&
      rest.every((b) => b.drills.includes(other)) &&
      needs.every((need) => need.from.includes(other)) &&
      (model.pieces[other]?.closedTo ?? Infinity) <= (model.pieces[id]?.closedTo ?? 0),
  )
  return found ?? null
}

/** A warm-up without what comes as strength, where other drills prepare the same. */
export function withoutStrength(
  model: Preparing,
  mask: number,
  items: readonly Item[],
  avoid: ReadonlySet<string>,
): readonly Item[] {
  return items.reduce((now, item, i) => {
    const other = avoid.has(item.id) ? otherDrill(model, mask, now, { id: item.id, avoid }) : null
    return other === null ? now : now.with(i, { ...item, id: other })
  }, items)
}

/**
 * The rehearsal of the way out, with a first small hop where something is kicked into (class-craft.md 3, phase 4): what is
 * rolled or slid out of is hopped into by nobody.
 * @param kicks what is kicked into from forearms or hands, as bits
 */
export function composeWayOut(model: Preparing, kicks: number): Composed {
  const block = model.warmups[model.wayOut]
  const items = (block?.must ?? []).flatMap(({ from, kicksFrom }): Item[] => {
    if (kicksFrom !== undefined && (kicks & (kicksFrom === 'FB' ? KICKS_FB : KICKS_WB)) === 0) return []
    const next = bestOf(model, from, () => 1)
    return next ? [{ id: next.id, seconds: kicksFrom === undefined ? REHEARSAL_S : HOPS_S }] : []
  })
  return { items, seconds: sumOf(items), wantedS: sumOf(items) }
}

/** What is owed afterwards, in the practice's order; one that is closed to fewer stands in the place of another. */
export function composeClosing(model: Model, mask: number): Composed {
  const items = model.counterposes.flatMap((cp, i): [string, number][] => {
    if (!((mask >> i) & 1)) return []
    const others = model.counterposes.filter((o) => o.instead === cp.id && o.closedTo < cp.closedTo)
    const chosen = others.length > 0 && others[0] ? others[0] : cp
    return [[chosen.id, chosen.usualS]]
  })
  return fitted(items, (model.minutes * 60) / 9, 30)
}

/** The piece worth most a minute; of equal ones the first named. */
function bestOf(
  model: Pick<Model, 'pieces'>,
  ids: readonly string[],
  worth: (id: string) => number,
): Piece | null {
  let best: Piece | null = null
  let most = 0
  for (const id of ids) {
    const piece = model.pieces[id]
    if (!piece) continue
    const value = worth(id) / (piece.leastS / 60) / (1 + piece.closedTo)
    if (value > most + 1e-9) [best, most] = [piece, value]
  }
  return best
}

/** In proportion where it would take more than its share, to five seconds. */
function fitted(pairs: readonly (readonly [string, number])[], mostS: number, leastS = 60): Composed {
  const wantedS = pairs.reduce((sum, [, s]) => sum + s, 0)
  const scale = wantedS > mostS ? mostS / wantedS : 1
  const items = pairs.map(([id, s]) => ({
    id,
    seconds: scale === 1 ? s : Math.max(leastS / 2, Math.floor((s * scale) / 5) * 5),
  }))
  return { items, seconds: sumOf(items), wantedS }
}

function sumOf(items: readonly Item[]): number {
  return items.reduce((sum, i) => sum + i.seconds, 0)
}
