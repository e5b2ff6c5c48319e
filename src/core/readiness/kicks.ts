import { daysBetween, type Day } from '../day'
import { EVIDENCE_WINDOW_DAYS, type Attempt, type Evidence } from './evidence'

/** Chance that a kick arrives, and how many of the next five are likely to: a range, never one number alone. */
export type KickOutlook = {
  readonly tries: number
  readonly chance: number
  /** Middle 80 % of how many of the next five arrive. */
  readonly from: number
  readonly to: number
}

/** Each newer try takes a tenth off the weight of those before it. */
const FADE = 0.9
/** Before anything is seen a kick arrives or does not: one of each. */
const PRIOR = { came: 1, missed: 1 } as const
const NEXT = 5
/** Left out at either end of the range, share. */
const TAIL = 0.1

/** From arrivals, oldest first, to the next five: a Beta–Binomial in which newer tries count for more. */
export function kickOutlook(arrived: readonly boolean[]): KickOutlook {
  let { came, missed } = PRIOR as { came: number; missed: number }
  arrived.forEach((ok, i) => {
    const weight = FADE ** (arrived.length - 1 - i)
    if (ok) came += weight
    else missed += weight
  })
  const shares = Array.from({ length: NEXT + 1 }, (_, k) => betaBinomial(k, NEXT, came, missed))
  const upTo = (k: number): number => shares.slice(0, k + 1).reduce((sum, p) => sum + p, 0)
  const first = (share: number): number => shares.findIndex((_, k) => upTo(k) >= share)
  return { tries: arrived.length, chance: came / (came + missed), from: first(TAIL), to: first(1 - TAIL) }
}

/** Chance of k out of n under a Beta(a, b) chance of each. */
function betaBinomial(k: number, n: number, a: number, b: number): number {
  const rising = (x: number, steps: number): number => {
    let product = 1
    for (let i = 0; i < steps; i += 1) product *= x + i
    return product
  }
  const choose = rising(n - k + 1, k) / rising(1, k)
  return (choose * rising(a, k) * rising(b, n - k)) / rising(a + b, n)
}

/** Whether a try that leaves the floor got where it was going; null where nothing left the floor, or nobody said. */
function arrival({ level, outcome }: Pick<Attempt, 'level' | 'outcome'>): boolean | null {
  if (level === 'practised' || level === 'not-said' || outcome === 'stopped') return null
  return level === 'touched' || level === 'held'
}

/**
 * Kicks of the last six weeks at some stages, with either leg, or with one.
 * @param evidence already folded
 */
export function kicksAt(
  stageIds: ReadonlySet<string>,
  evidence: Evidence,
  asOf: Day,
  lead: 'left' | 'right' | null = null,
): boolean[] {
  return evidence.attempts
    .filter(
      (a) =>
        stageIds.has(a.stageId) &&
        daysBetween(a.day, asOf) <= EVIDENCE_WINDOW_DAYS &&
        (lead === null || a.lead === lead),
    )
    .flatMap((a) => arrival(a) ?? [])
}
