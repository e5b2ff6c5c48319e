import { daysBetween, type Day } from '../day'
import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import { resultsOf, type Observation } from '../readiness/evidence'
import { capOf, type Cap } from './caps'

/** The screen that SH5 speaks of: bent elbows overhead further off the wall than this are short of range, fists. */
const OVERHEAD = { check: 'CK-forearm-overhead', mostFists: 2, rule: 'SH5' } as const

/**
 * Limits that follow from what was seen and not from what was said: bent elbows that stay short overhead change forearm
 * stands (SH5), while the newest result is fresh.
 * @param observations already folded, in clock order
 */
export function capsSeen(practice: Library, observations: readonly Observation[], asOf: Day): Cap[] {
  const newest = resultsOf(observations, OVERHEAD.check)
    .filter((o) => o.valid && o.day <= asOf)
    .at(-1)
  const { left = 0, right = 0, single = Math.max(left, right) } = newest?.values ?? {}
  const fresh =
    newest !== undefined &&
    daysBetween(newest.day, asOf) <= findById(practice.checks, OVERHEAD.check).freshDays
  if (!fresh || single <= OVERHEAD.mostFists) return []
  const rule = findById(practice.cautions, OVERHEAD.rule)
  return rule.tags.map(({ tag, level }) => capOf(rule, tag, level as Cap['level']))
}
