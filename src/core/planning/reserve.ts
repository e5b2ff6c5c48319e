import { isWork, turnsOf, type Plan } from '../classes/plan'
import { WAITING_RECOVERY, WORK_INTENSITY } from '../fatigue/class-work'
import { RATES } from '../fatigue/compartments'
import type { Library } from '../practice/library'
import { variantsOf, workSeconds } from './variants'

/** How fresh somebody's arms are when a block begins, as a share of fresh. */
export type Reserve = { readonly startS: number; readonly purpose: string; readonly fresh: number }

/**
 * Somebody's arms through the hour: what is left of fresh shoulders at the beginning of every working block. Between the
 * ends of efforts the fatigued share follows its straight relaxation.
 */
export function armsThrough(practice: Library, plan: Plan, studentId: string): Reserve[] {
  const { fatigue, recovery } = RATES.shoulder
  const loss = recovery * WAITING_RECOVERY
  const variants = variantsOf(practice)
  const found: Reserve[] = []
  let [tired, at] = [0, 0]
  const until = (s: number, gain: number): void => {
    const rest = gain / loss
    tired = rest + (tired - rest) * Math.exp(-loss * Math.max(0, s - at))
    at = Math.max(at, s)
  }
  for (const block of plan.blocks.filter(isWork)) {
    until(block.startS, 0)
    found.push({ startS: block.startS, purpose: block.purpose, fresh: 1 - tired })
    for (const turn of turnsOf(block)) {
      const doing = turn.up.find((d) => d.studentId === studentId)
      const variant = variants.find((v) => v.id === doing?.variantId)
      if (!doing || !variant) continue
      until(turn.startS, 0)
      const seconds = Math.min(block.workS, workSeconds(variant, doing))
      until(turn.startS + seconds, fatigue * (WORK_INTENSITY[variant.tires[0] ?? 0] ?? 0))
    }
  }
  return found
}
