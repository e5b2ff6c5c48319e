import { addDays, daysBetween, type Day } from '../day'

/** What somebody with a private link gets: the link when it is made, and a word the evening before each session. */
export type Message = {
  readonly studentId: string
  readonly kind: 'link' | 'reminder'
  /** The day on which it goes out. */
  readonly day: Day
  /** The session a reminder is about; null for the link itself. */
  readonly session: Day | null
  readonly state: 'sent' | 'to-come'
}

/** A way to somebody's sheet, while it was open. */
export type MailLink = {
  readonly studentId: string
  readonly made: Day
  readonly expires: Day
  readonly revoked: boolean
}

/** A mailbox goes back two weeks and ahead one. */
const BACK_DAYS = 14
const AHEAD_DAYS = 7

/**
 * Everything that would have gone out, and what is still to go, the newest first. Nobody is reminded who has no open link,
 * and no reminder goes out on or before the day the link was made.
 * @param sessionsOf the days of somebody's newest sheet; none where nothing of it is open any more
 */
export function messagesOf(
  links: readonly MailLink[],
  sessionsOf: (studentId: string) => readonly Day[],
  today: Day,
): Message[] {
  const from = addDays(today, -BACK_DAYS)
  const to = addDays(today, AHEAD_DAYS)
  const stateOn = (day: Day): Message['state'] => (day <= today ? 'sent' : 'to-come')
  return links
    .flatMap(({ studentId, made, expires, revoked }): Message[] => {
      const reminders = revoked
        ? []
        : sessionsOf(studentId)
            .map((session) => ({ session, day: addDays(session, -1) }))
            .filter(({ session, day }) => day > made && session <= expires)
      return [
        { studentId, kind: 'link', day: made, session: null, state: stateOn(made) },
        ...reminders.map(({ session, day }): Message => ({
          ...{ studentId, kind: 'reminder', day, session },
          state: stateOn(day),
        })),
      ]
    })
    .filter(({ day }) => day >= from && day <= to)
    .sort((a, b) => daysBetween(a.day, b.day) || (a.studentId < b.studentId ? -1 : 1))
}
