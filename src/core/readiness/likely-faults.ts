import { daysBetween, type Day } from '../day'
import { EVIDENCE_WINDOW_DAYS, type Evidence } from './evidence'

/**
 * Faults in the order in which they are likely for somebody: those seen on most days of the last six weeks first, the rest
 * as the practice orders them.
 * @param evidence already folded
 */
export function likelyFaults(faults: readonly string[], evidence: Evidence, asOf: Day): string[] {
  const days = new Map<string, Set<Day>>()
  for (const fact of [...evidence.observations, ...evidence.attempts])
    if (daysBetween(fact.day, asOf) <= EVIDENCE_WINDOW_DAYS)
      for (const id of fact.faults) days.set(id, (days.get(id) ?? new Set()).add(fact.day))
  const seen = (id: string): number => days.get(id)?.size ?? 0
  return faults.toSorted((a, b) => seen(b) - seen(a))
}
