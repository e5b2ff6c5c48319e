import { isFoot } from '../practice/after'
import type { Library } from '../practice/library'
import { LOAD_TAGS, type Drill, type LoadTag } from '../practice/schema'
import { isOpenTo } from './may'
import type { GateResult } from './gate'
import type { Caps, Limits } from '../screening/caps'

/**
 * What of a load somebody meets in a drill before they have met more of it in a stage, where it is not the lightest: nothing of
 * head and bent neck, one limb free but no leap, deeply bent knees but no lotus. Lying down is for everybody whom no limit
 * keeps from it.
 */
const LEAST: Readonly<Partial<Record<LoadTag, number>>> = {
  ...{ HB: 0, NF: 0, FR: 1, KN: 2, EL: 2, ST: 2, SF: 2, SE: 2, PR: 3, SU: 3 },
}

/** What somebody may carry in a drill: no more of any load than what they stand on has, and never what a limit closes. */
export type Within = Limits & Pick<Caps, 'answered'> & { readonly most: Readonly<Record<LoadTag, number>> }

/**
 * The most of each load that a drill may ask of somebody: that of the stages behind them and of those that ask for nothing,
 * light work of every other kind. Strain and hanging heads grow with what is held, so they follow the same rule.
 * @param missing where a check of the neck is not passed, nothing is laid on head or neck
 */
export function withinOf(
  practice: Library,
  credited: ReadonlySet<string>,
  limits: Limits & Pick<Caps, 'answered'>,
  missing: readonly GateResult[],
): Within {
  const behind = practice.stages.filter((s) => credited.has(s.id) || isFoot(s))
  const soreNeck = missing.some(({ gate, state }) => gate.check.startsWith('CK-neck') && state !== 'confirm')
  const most = Object.fromEntries(
    LOAD_TAGS.map((tag) => {
      if (soreNeck && (tag === 'HB' || tag === 'NF')) return [tag, 0]
      const least = LEAST[tag] ?? 1
      return [tag, Math.max(least, ...behind.map((s) => s.load[tag] ?? 0))]
    }),
  ) as Record<LoadTag, number>
  return { caps: limits.caps, answered: limits.answered, most }
}

/** Whether a drill stays within it, at a share of the class or without a clock. */
export function staysWithin({ load }: Pick<Drill, 'load'>, within: Within, atShare?: number): boolean {
  return isOpenTo(within, load, atShare) && LOAD_TAGS.every((tag) => (load[tag] ?? 0) <= within.most[tag])
}
