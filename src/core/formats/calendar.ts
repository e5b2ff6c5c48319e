import icalendar, { ICalEventBusyStatus } from 'ical-generator'
import { Temporal } from 'temporal-polyfill'
import type { Day } from '../day'

/** One class, or one session at home, as a calendar keeps it. */
export type Dated = {
  readonly id: string
  readonly title: string
  readonly day: Day
  /** `18:30`, on the studio's own clock. */
  readonly startTime: string
  readonly minutes: number
  readonly note: string
}

/**
 * An iCalendar file (RFC 5545), an event a date: a repeating rule would move the class when the clocks change.
 * @param timeZone the studio's, by its IANA name; times are written in UTC
 */
export function writeCalendar(
  name: string,
  events: readonly Dated[],
  timeZone: string,
  madeMs: number,
): string {
  const calendar = icalendar({ name, prodId: { company: 'Levitar', product: 'Classes', language: 'EN' } })
  for (const { id, title, day, startTime, minutes, note } of events) {
    const startMs = Temporal.PlainDateTime.from(`${day}T${startTime}`).toZonedDateTime(
      timeZone,
    ).epochMilliseconds
    calendar.createEvent({
      ...{ id, summary: title, description: note, busystatus: ICalEventBusyStatus.BUSY },
      stamp: new Date(madeMs),
      start: new Date(startMs),
      end: new Date(startMs + minutes * 60_000),
    })
  }
  return calendar.toString()
}
