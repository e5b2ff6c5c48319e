import type { Library } from '../practice/library'
import type { Caps } from './caps'

/**
 * What would limit somebody if every question that is open were answered with no: what they did say, what was seen and
 * what this room does not do all stand. It plans an hour; nobody goes up by it before they were asked.
 * @returns null where nothing is open, or where answers are kept that nobody can read: they may well close something
 */
export function ifNothingApplies({ cautions }: Library, limits: Caps): Caps | null {
  if (limits.answered || limits.caps.some((cap) => cap.until === 'key')) return null
  const asksOnly = new Set(
    cautions.filter((c) => c.conditions.every((x) => x.startsWith('UNKNOWN-'))).map((c) => c.id),
  )
  return { ...limits, answered: true, caps: limits.caps.filter((cap) => !asksOnly.has(cap.ruleId)) }
}
