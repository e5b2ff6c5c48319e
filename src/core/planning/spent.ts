import { WAITING_RECOVERY, WORK_INTENSITY } from '../fatigue/class-work'
import { RATES } from '../fatigue/compartments'
import type { Placed } from './evaluate'

/**
 * Fatigued share of somebody's shoulders when a block begins, from what they did before: along each block the demand is
 * spread over its time, and the share follows a straight relaxation (the three compartments with demand met).
 * @param at which of the blocks
 */
export function spentAfter(placed: readonly Placed[], at: number, person: number): number {
  const { fatigue, recovery } = RATES.shoulder
  const loss = recovery * WAITING_RECOVERY
  let share = 0
  for (let k = 0; k < at; k += 1) {
    const block = placed[k]
    if (!block) continue
    const { value, startS, setupS } = block
    const part = value.parts[person]
    const level = part?.shoulder ?? 0
    const blockS = setupS + value.seconds
    const gain = fatigue * (WORK_INTENSITY[level] ?? 0) * ((part?.workS ?? 0) / Math.max(1, blockS))
    share = relaxed(share, gain, loss, blockS)
    share = relaxed(share, 0, loss, Math.max(0, (placed[k + 1]?.startS ?? startS) - startS - blockS))
  }
  return share
}

function relaxed(from: number, gain: number, loss: number, seconds: number): number {
  const rest = gain / loss
  return rest + (from - rest) * Math.exp(-loss * seconds)
}
