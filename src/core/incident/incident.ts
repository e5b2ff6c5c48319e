import type { Day } from '../day'

/** What happened, in the order in which somebody has to think of it (cautions.md 3, class-craft.md). */
export const KINDS = ['fall-head-neck', 'fall', 'pain', 'dizzy', 'sight', 'other'] as const
export type IncidentKind = (typeof KINDS)[number]

/** Who may have to be told; each with the time it was done. */
export const TOLD = ['emergency', 'emergency-contact', 'studio', 'insurer', 'guardian'] as const
export type Told = (typeof TOLD)[number]

/** A report of something that went wrong: facts and what was done, no judgement of anybody. */
export type Incident = {
  readonly kind: IncidentKind
  readonly stageId: string | null
  readonly setupId: string | null
  /** What was seen and said, in plain words. */
  readonly happened: string
  /** What was done at once, and after. */
  readonly done: string
  readonly told: readonly Told[]
  readonly witnesses: string
  /** Who writes it. */
  readonly reporter: string
}

export type IncidentRefusal =
  | { readonly code: 'incident-empty'; readonly field: 'happened' | 'done' | 'reporter' }
  | { readonly code: 'incident-in-the-future'; readonly day: Day }
  | { readonly code: 'incident-time'; readonly typed: string }
  | { readonly code: 'incident-later'; readonly typed: string }

/** What is missing or impossible in a report, first things first; null when it can be kept. */
export function incidentProblem(
  { happened, done, reporter }: Incident,
  when: { readonly day: Day; readonly time: string },
  today: Day,
  /** What the clock shows where the studio is. */
  clock: string,
): IncidentRefusal | null {
  if (happened.trim() === '') return { code: 'incident-empty', field: 'happened' }
  if (done.trim() === '') return { code: 'incident-empty', field: 'done' }
  if (reporter.trim() === '') return { code: 'incident-empty', field: 'reporter' }
  if (when.day > today) return { code: 'incident-in-the-future', day: when.day }
  if (!/^([01]\d|2[0-3]):[0-5]\d$/.test(when.time)) return { code: 'incident-time', typed: when.time }
  if (when.day === today && when.time > clock) return { code: 'incident-later', typed: when.time }
  return null
}

/** Who has to hear of it, by what happened: whoever is under 18 has a guardian who has to as well. */
const TELL: Readonly<Record<IncidentKind, readonly Told[]>> = {
  'fall-head-neck': ['emergency', 'emergency-contact', 'studio', 'insurer'],
  sight: ['emergency', 'emergency-contact', 'studio', 'insurer'],
  dizzy: ['emergency-contact', 'studio'],
  fall: ['studio', 'insurer'],
  pain: ['studio'],
  other: ['studio'],
}

/** Who has still to be told of a report, in the order in which it is done. */
export function stillToTell({ kind, told }: Pick<Incident, 'kind' | 'told'>, isMinor: boolean): Told[] {
  const owed: readonly Told[] = isMinor ? ['guardian', ...TELL[kind]] : TELL[kind]
  return TOLD.filter((who) => owed.includes(who) && !told.includes(who))
}

/** A class as far as it tells whether something fell into it. */
export type Ran = {
  readonly id: string
  readonly day: Day
  readonly startTime: string
  readonly minutes: number
}

/** People come before and stay after, min. */
const AROUND_MIN = 20

/** The class that ran at a time of a day, the one that began last of several; null where none did. */
export function classThen<C extends Ran>(classes: readonly C[], day: Day, time: string): C | null {
  const at = minuteOf(time)
  return (
    classes
      .filter((c) => {
        const begins = minuteOf(c.startTime)
        return c.day === day && at >= begins - AROUND_MIN && at <= begins + c.minutes + AROUND_MIN
      })
      .toSorted((a, b) => (a.startTime < b.startTime ? 1 : -1))[0] ?? null
  )
}

function minuteOf(time: string): number {
  const [hours, minutes] = time.split(':').map(Number)
  return (hours ?? NaN) * 60 + (minutes ?? NaN)
}

/** What to do now, by what happened; said before anything is written. */
export function firstAid(kind: IncidentKind): readonly string[] {
  switch (kind) {
    case 'fall-head-neck':
      return [
        'Do not move the person unless they are in danger. Keep the head and neck still.',
        'Call emergency help. Stop the others calmly.',
      ]
    case 'sight':
      return ['Down, sit, end the class for this person.', 'Urgent eye or emergency care today.']
    case 'dizzy':
      return [
        'Side-lying or child’s pose; nobody stands for two minutes.',
        'Water, and somebody beside them.',
      ]
    case 'fall':
      return [
        'Check, cool, rest. Floor work at most after it.',
        'Look at that setup again before the next one.',
      ]
    case 'pain':
      return ['Stop at once and unload.', 'Sharp pain, tingling or weakness: no more load, advise care.']
    case 'other':
      return ['Make safe, stay with the person, call help if in doubt.']
  }
}
