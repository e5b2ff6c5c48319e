import type { Attended } from '../attendance/odds'
import { addDays, type Day } from '../day'
import type { LoadTag } from '../practice/schema'
import type { Answer } from '../screening/answers'
import { usualExpiry, type Clearance } from '../screening/clearance'
import type { CheckIn } from '../screening/tonight'

/** What somebody in the demo world has said; every word is invented. */
export type DemoHealth = {
  /** Weeks since it was said. */
  readonly weeksAgo: number
  readonly given?: Answer['given']
  /** Question and ticked option; everything else of the intake is answered “no” unless `only`. */
  readonly yes?: readonly (readonly [question: string, option: string])[]
  readonly unsaid?: readonly string[]
  readonly nothingApplies?: true
  readonly gentle?: true
  readonly clearance?: { readonly tag: LoadTag; readonly upTo: 1 | 2 | 3; readonly clinician: string }
  /** One answer that is older than the rest, weeks. */
  readonly older?: { readonly question: string; readonly option: string; readonly weeksAgo: number }
}

/** By name: together they reach every kind of cap. Who is not here was never asked. */
export const DEMO_HEALTH: Readonly<Record<string, DemoHealth>> = {
  'Ines Calder': { weeksAgo: 9, older: { question: 'Q07', option: 'stiff', weeksAgo: 30 } },
  'Wren Haskett': { weeksAgo: 6, nothingApplies: true, given: 'by-student' },
  'Odile Marchetti-Voss': { weeksAgo: 12, yes: [['Q04', 'retina']], given: 'asked-aloud' },
  'Bertram Oake': { weeksAgo: 8, gentle: true },
  'Sunniva Lund': { weeksAgo: 10, yes: [['Q19', 'bendy']] },
  'Priya Dunmore': { weeksAgo: 7, yes: [['Q07', 'mild']], given: 'from-card' },
  'Callum Strand': {
    weeksAgo: 11,
    yes: [['Q01', 'high-managed']],
    clearance: { tag: 'HBH', upTo: 3, clinician: 'Dr Alder, Skerrow practice' },
  },
  'Maud Ferrier': { weeksAgo: 5, yes: [['Q17', 'low']], given: 'asked-aloud' },
  'Jonty Abara': { weeksAgo: 14, unsaid: ['Q05', 'Q11'] },
  'Ysolde Pike': { weeksAgo: 24, yes: [['Q05', 'past']] },
  'Hamish Tolland': { weeksAgo: 4, yes: [['Q06', 'pain']], given: 'by-student' },
  'Greta Sommerby': { weeksAgo: 9 },
}

/** Tonight’s words of those who have checked in already, a few minutes before class. */
export const DEMO_CHECK_INS: Readonly<Record<string, Omit<CheckIn, 'day'>>> = {
  'Wren Haskett': { pain: 0, regions: [], energy: 7, arms: 2, look: 'whole', ticked: [], touch: 'yes' },
  'Sunniva Lund': {
    pain: 2,
    regions: ['wrist'],
    energy: 8,
    arms: 1,
    look: 'whole',
    ticked: [],
    touch: 'ask',
  },
  'Callum Strand': {
    pain: 0,
    regions: [],
    energy: 3,
    arms: 4,
    look: 'half',
    ticked: ['D4:two'],
    touch: 'no',
  },
}

/** Answers as the store keeps them. */
export function answersOf(health: DemoHealth, questions: readonly string[], asOf: Day): Answer[] {
  const day = addDays(asOf, -7 * health.weeksAgo)
  const given = health.given ?? 'by-teacher'
  if (health.nothingApplies || health.gentle) return []
  return questions
    .filter((q) => !health.unsaid?.includes(q))
    .map((question): Answer => {
      const options = (health.yes ?? []).filter(([q]) => q === question).map(([, o]) => o)
      const older = health.older?.question === question ? health.older : null
      if (older)
        return {
          question,
          choice: 'yes',
          options: [older.option],
          day: addDays(asOf, -7 * older.weeksAgo),
          given,
        }
      return { question, choice: options.length > 0 ? 'yes' : 'no', options, day, given }
    })
}

/** The clearance, if somebody has one. */
export function clearanceOf({ clearance, weeksAgo }: DemoHealth, asOf: Day): Clearance | null {
  if (!clearance) return null
  const day = addDays(asOf, -7 * (weeksAgo - 1))
  const { tag, upTo, clinician } = clearance
  return { tags: [{ tag, upTo }], clinician, basis: 'letter-seen', day, expires: usualExpiry(day) }
}

/** Whether somebody came, from one draw: regulars mostly do. */
export function cameBy(draw: number, away: boolean): Attended {
  if (away) return 'absent'
  return draw < 0.08 ? 'absent' : draw < 0.2 ? 'late' : 'here'
}
