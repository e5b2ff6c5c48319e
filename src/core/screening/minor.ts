import { daysBetween, type Day } from '../day'
import type { Library } from '../practice/library'
import { capOf, type Cap, type Caps } from './caps'

/** How old somebody is, no closer than the practice asks (cautions.md 1, Q26). */
export const AGE_BANDS = ['under-18', '18-64', '65-up'] as const
export type AgeBand = (typeof AGE_BANDS)[number]

/** Age as a profile has it, and the day on which a guardian agreed; null where that is not known. */
export type Age = { readonly ageBand: AgeBand | null; readonly guardianDay: Day | null }

/** The condition that the health questions set for the same. */
const CONDITION = 'UNDER-18'

/** A guardian’s word is asked for again after half a year (AG1). */
const AGREED_DAYS = 180

/** Whether a guardian still has to agree before anything that the practice keeps from the young. */
export function needsGuardian({ ageBand, guardianDay }: Age, asOf: Day): boolean {
  if (ageBand !== 'under-18') return false
  return guardianDay === null || guardianDay > asOf || daysBetween(guardianDay, asOf) > AGREED_DAYS
}

/**
 * Limits that follow from being under 18: what the practice stops until a guardian has agreed, and after that the same
 * loads in short holds, since they grow (AG1).
 */
export function capsOfAge(practice: Pick<Library, 'cautions'>, age: Age, asOf: Day): Cap[] {
  if (age.ageBand !== 'under-18') return []
  const waits = needsGuardian(age, asOf)
  return practice.cautions
    .filter((rule) => rule.conditions.includes(CONDITION))
    .flatMap((rule) => rule.tags.map(({ tag, level }) => capOf(rule, tag, level as Cap['level'])))
    .map((cap): Cap => (waits ? cap : { ...cap, ...GROWING }))
}

/**
 * What limits somebody with their age on top. The health questions ask for it too and know of no guardian: where the profile
 * says it, the profile decides; where it does not, the answer stands.
 */
export function withAge(practice: Pick<Library, 'cautions'>, limits: Caps, age: Age, asOf: Day): Caps {
  if (age.ageBand !== 'under-18') return limits
  const said = new Set(practice.cautions.filter((r) => r.conditions.includes(CONDITION)).map((r) => r.id))
  const others = limits.caps.filter((cap) => !said.has(cap.ruleId))
  return { ...limits, caps: [...others, ...capsOfAge(practice, age, asOf)] }
}

/** Once a guardian has agreed. */
const GROWING = {
  action: 'modify',
  change: { words: 'Short holds, while they grow.', share: 1 },
  needsClearance: false,
} as const
