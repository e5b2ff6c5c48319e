import type { Day } from '../day'

/** What ordering and correcting need of a stored fact. */
export type Ordered = {
  readonly id: string
  readonly day: Day
  readonly hlc: string
  /** The fact that this one corrects, if any. */
  readonly replaces: string | null
}

/** Facts as they stood on a day: corrected ones and later days left out, each once, in clock order whatever order they came in. */
export function foldFacts<T extends Ordered>(facts: readonly T[], asOf: Day): T[] {
  const seen = new Set<string>()
  const replaced = new Set<string>()
  const current: T[] = []
  for (const fact of facts) {
    if (fact.day > asOf || seen.has(fact.id)) continue
    seen.add(fact.id)
    if (fact.replaces !== null) replaced.add(fact.replaces)
    current.push(fact)
  }
  const left = replaced.size === 0 ? current : current.filter((fact) => !replaced.has(fact.id))
  // The store hands facts over in clock order, so there is mostly nothing to sort.
  return left.every((fact, i) => i === 0 || byClock(left[i - 1] ?? fact, fact) <= 0)
    ? left
    : left.sort(byClock)
}

/** Order of two facts: the day first, then the clock. */
export function byClock(a: Pick<Ordered, 'day' | 'hlc'>, b: Pick<Ordered, 'day' | 'hlc'>): number {
  if (a.day !== b.day) return a.day < b.day ? -1 : 1
  return a.hlc < b.hlc ? -1 : a.hlc > b.hlc ? 1 : 0
}

/** The last word about each key, in clock order: for facts of which the newest counts, such as attendance. */
export function latestBy<T extends Pick<Ordered, 'day' | 'hlc'>>(
  facts: readonly T[],
  keyOf: (fact: T) => string,
): Map<string, T> {
  const latest = new Map<string, T>()
  for (const fact of facts) {
    const known = latest.get(keyOf(fact))
    if (!known || byClock(known, fact) <= 0) latest.set(keyOf(fact), fact)
  }
  return latest
}
