import { CLEAR_MARGIN_CM } from '../body/head-room'
import { daysBetween, type Day } from '../day'
import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import { resultsOf, type Observation } from './evidence'

const PROPORTION = 'CK-crown-proportion'
const CLEARANCE = 'CK-head-clear'

/** Arms too short for this head: the measure, and what both forearms need under them, cm. */
export type ShortArms = { readonly value: number; readonly raiseCm: number; readonly evidenceId: string }

/**
 * Whether the newest elbow-above-crown measure says that these arms cannot clear this head: at 0 or below both forearms
 * are raised by the shortfall and the margin before anything is judged (drills-and-checks.md, M14).
 * @param observations already folded
 */
export function shortArms(
  practice: Library,
  observations: readonly Observation[],
  asOf: Day,
): ShortArms | null {
  const { freshDays } = findById(practice.checks, PROPORTION)
  const newest = resultsOf(observations, PROPORTION).findLast(
    (o) => o.valid && o.day <= asOf && daysBetween(o.day, asOf) <= freshDays,
  )
  if (!newest) return null
  const { single, left = Infinity, right = Infinity } = newest.values
  const value = single ?? Math.min(left, right)
  return value > 0 ? null : { value, raiseCm: CLEAR_MARGIN_CM - value, evidenceId: newest.id }
}

/**
 * Results as short arms let them be read: a head that does not clear on the bare floor says nothing of the push, and one
 * that clears on raised forearms is the unaided result.
 */
export function clearanceAsShown(
  practice: Library,
  observations: readonly Observation[],
  asOf: Day,
): readonly Observation[] {
  if (!shortArms(practice, observations, asOf)) return observations
  return observations.flatMap((o) =>
    o.checkId !== CLEARANCE ? [o] : o.aided ? [{ ...o, aided: false, aid: '' }] : [],
  )
}
