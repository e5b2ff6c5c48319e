import { z } from 'zod'
import { byClock } from '../facts/order'
import type { Day } from '../day'

/** What happened in a class besides attempts: when it began, which block it is in, when it ended. */
export type ClassEvent = {
  readonly id: string
  readonly day: Day
  readonly hlc: string
  readonly event: 'started' | 'block' | 'ended'
  /** Wall time in ms when it was tapped; used across a reload or sleep. */
  readonly atMs: number
  readonly blockIndex: number
}

/** Where a class stands: folded from its events each time, and a document of its own where it is handed on. */
export const runSchema = z.strictObject({
  version: z.literal(1),
  state: z.enum(['not-started', 'running', 'ended']),
  blockIndex: z.number().int(),
  blockStartedMs: z.number(),
})
export type Run = z.output<typeof runSchema>

/** The state of a class from its events, in clock order, each counted once. */
export function foldRun(events: readonly ClassEvent[]): Run {
  const ordered = [...new Map(events.map((event) => [event.id, event])).values()].sort(byClock)
  let run: Run = { version: 1, state: 'not-started', blockIndex: 0, blockStartedMs: 0 }
  for (const event of ordered) {
    if (event.event === 'ended') run = { ...run, state: 'ended' }
    else run = { ...run, state: 'running', blockIndex: event.blockIndex, blockStartedMs: event.atMs }
  }
  return run
}
