'use client'

import type { Day } from '@/core/day'
import { elapsedMs, type Moment } from '@/core/elapsed'
import { momentNow } from './moment'

/** What the server said its clock shows, and when that was by this device's clocks. */
type ServerTime = { readonly nowMs: number; readonly timeZone: string; readonly at: Moment }

let known: ServerTime | undefined
/** The same as the page was drawn with: it may be an old page, so anything the server says since weighs more. */
let drawn: ServerTime | undefined

/** Takes the server's word for what time it is. */
export function serverSays(nowMs: number, timeZone: string): void {
  known = { nowMs, timeZone, at: momentNow() }
}

/** Takes what the page was drawn with, until the server says. */
export function pageSays(nowMs: number, timeZone: string): void {
  drawn ??= { nowMs, timeZone, at: momentNow() }
}

/** Now, as the studio's clock has it: a device's own clock that is set wrong, or set back meanwhile, changes nothing. */
export function studioNowMs(): number {
  const from = known ?? drawn
  // Whole milliseconds: the monotonic clock counts in parts of them.
  return Math.floor(from ? from.nowMs + elapsedMs(from.at, momentNow()) : Date.now())
}

/** The studio's day now. */
export function studioDay(): Day {
  return studioDayOf(studioNowMs())
}

/** The studio's day at a moment. */
export function studioDayOf(ms: number): Day {
  const timeZone = (known ?? drawn)?.timeZone
  return new Intl.DateTimeFormat('en-CA', {
    ...(timeZone === undefined ? {} : { timeZone }),
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  }).format(ms)
}
