import 'server-only'
import type { Day } from '@/core/day'

/** Server time; `LEVITAR_NOW` fixes it for journeys and pictures. */
export function now(): Date {
  const fixed = process.env.LEVITAR_NOW
  return fixed ? new Date(fixed) : new Date()
}

/** The studio's calendar day: its time zone decides. */
export function today(timeZone: string): Day {
  return new Intl.DateTimeFormat('en-CA', {
    timeZone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  }).format(now())
}

/** What the clock shows there, as 18:50. */
export function clockTime(timeZone: string): string {
  return new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', minute: '2-digit' }).format(now())
}
