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

/** When first tries begin and how fresh the arms are then, beside the minute at which they are freshest. */
export type BestMinute = {
  readonly beginsS: number
  readonly fresh: number
  readonly bestS: number
  readonly bestFresh: number
}

/**
 * The best minute for attempts: of the working blocks after the warm-up, the beginning at which the arms of those who try
 * are freshest. The earliest of equal ones; null where nothing is tried.
 */
export function bestMinute(practice: Library, plan: Plan): BestMinute | null {
  const works = plan.blocks.filter(isWork)
  const tries = works.find((b) => b.people.some((p) => p.tries > 0 && p.turns > 0))
  if (!tries) return null
  const trying = tries.people.filter((p) => p.tries > 0 && p.turns > 0).map((p) => p.studentId)
  const arms = trying.map((id) => armsThrough(practice, plan, id))
  const freshAt = (startS: number): number =>
    arms.reduce((sum, own) => sum + (own.find((r) => r.startS === startS)?.fresh ?? 1), 0) / arms.length
  const best = works.reduce((a, b) => (freshAt(b.startS) > freshAt(a.startS) + 1e-9 ? b : a))
  return {
    ...{ beginsS: tries.startS, fresh: freshAt(tries.startS) },
    ...{ bestS: best.startS, bestFresh: freshAt(best.startS) },
  }
}
