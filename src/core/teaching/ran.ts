import { inOrder, type ClassEvent } from '../classes/run'
import type { TimedPlan } from './class-run'

/** A block against the plan: how long it was to take and took, s; null where it was not run. */
export type Ran = { readonly blockIndex: number; readonly plannedS: number; readonly ranS: number | null }

/** A block that somebody only looked into was not run, s. */
const LOOKED_IN_S = 20

/**
 * How long each block of a class took, by when the next thing was tapped; a block gone back to counts together. Empty where no
 * block was timed, as of a class that was taught from paper.
 */
export function ranAgainst(plan: TimedPlan, events: readonly ClassEvent[]): Ran[] {
  const taps = inOrder(events).filter(
    (e) => e.event === 'started' || e.event === 'block' || e.event === 'ended',
  )
  const spent = new Map<number, number>()
  taps.forEach((tap, i) => {
    const next = taps[i + 1]
    if (tap.event === 'ended' || !next) return
    spent.set(tap.blockIndex, (spent.get(tap.blockIndex) ?? 0) + Math.max(0, (next.atMs - tap.atMs) / 1000))
  })
  if ([...spent.values()].every((s) => s < LOOKED_IN_S)) return []
  return plan.blocks.map(({ seconds }, blockIndex) => {
    const ranS = spent.get(blockIndex) ?? 0
    return { blockIndex, plannedS: seconds, ranS: ranS < LOOKED_IN_S ? null : ranS }
  })
}
