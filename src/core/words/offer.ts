import type { OfferTap } from '../readiness/offers'
import { OVERRIDE_WORD } from './override'

/** What the teacher said of an offer, by whom and when. */
export function describeAnswer({ answer, reason, by, atMs }: OfferTap, timeZone: string): string {
  const when = new Intl.DateTimeFormat('en-GB', { timeZone, dateStyle: 'medium', timeStyle: 'short' }).format(
    atMs,
  )
  const who = `${by || 'Teacher'}, ${when}`
  if (answer === 'override')
    return `Above what is recorded (${OVERRIDE_WORD[reason ?? 'other'].toLowerCase()}), by ${who}`
  return `${answer === 'accept' ? 'Accepted' : 'Held back'} by ${who}`
}
