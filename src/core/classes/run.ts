import { z } from 'zod'
import { byClock } from '../facts/order'
import type { Day } from '../day'

/** What happens to the clock of a class; `late` cuts what is still to come so that it ends in time. */
export const RUN_EVENTS = ['started', 'block', 'paused', 'resumed', 'more', 'late', 'ended'] as const

/** What happened in a class besides attempts: when it began, which block it is in, when it ended. */
export type ClassEvent = {
  readonly id: string
  readonly day: Day
  readonly hlc: string
  readonly event: (typeof RUN_EVENTS)[number]
  /** Wall time in ms when it was tapped; used across a reload or sleep. */
  readonly atMs: number
  readonly blockIndex: number
}

/** A minute more, ms. */
const MORE_MS = 60_000

/** Where a class stands: folded from its events each time, and a document of its own where it is handed on. */
export const runSchema = z.strictObject({
  version: z.literal(1),
  state: z.enum(['not-started', 'running', 'ended']),
  blockIndex: z.number().int(),
  blockStartedMs: z.number(),
  /** The stamp of what began the block: other stamps are counted from it, since clocks of two devices differ. */
  blockHlc: z.string().default(''),
  /** When the class began, ms; 0 before. */
  startedMs: z.number().default(0),
  /** Stretches in which the block's clock stands: a pause that goes on has no end yet, a minute more has one. */
  holds: z.array(z.strictObject({ fromMs: z.number(), toMs: z.number().nullable() })).default([]),
})
export type Run = z.output<typeof runSchema>

const NOT_BEGUN: Run = {
  version: 1,
  state: 'not-started',
  blockIndex: 0,
  blockStartedMs: 0,
  blockHlc: '',
  startedMs: 0,
  holds: [],
}

/** Events in clock order, each counted once. */
export function inOrder<E extends ClassEvent>(events: readonly E[]): E[] {
  return [...new Map(events.map((event) => [event.id, event])).values()].sort(byClock)
}

/** The state of a class from its events. */
export function foldRun(events: readonly ClassEvent[]): Run {
  return inOrder(events).reduce(afterEvent, NOT_BEGUN)
}

/** A run one event later. */
export function afterEvent(run: Run, { event, atMs, hlc, blockIndex }: ClassEvent): Run {
  const { holds } = run
  const last = holds.at(-1)
  switch (event) {
    case 'started':
    case 'block':
      return {
        ...run,
        ...{ state: 'running', blockIndex, blockStartedMs: atMs, blockHlc: hlc, holds: [] },
        startedMs: run.startedMs || atMs,
      }
    case 'ended':
      return { ...run, state: 'ended' }
    case 'paused':
      return isPaused(run) ? run : { ...run, holds: [...cutAt(holds, atMs), { fromMs: atMs, toMs: null }] }
    case 'resumed':
      return { ...run, holds: cutAt(holds, atMs) }
    case 'more':
      // A second minute follows the first; while everything stands still there is nothing to add to.
      if (isPaused(run)) return run
      return last?.toMs != null && last.toMs > atMs
        ? { ...run, holds: [...holds.slice(0, -1), { ...last, toMs: last.toMs + MORE_MS }] }
        : { ...run, holds: [...holds, { fromMs: atMs, toMs: atMs + MORE_MS }] }
    case 'late':
      return run
  }
}

/** Whether the clock stands until somebody lets it go on. */
export function isPaused({ holds }: Run): boolean {
  return holds.at(-1)?.toMs === null
}

function cutAt(holds: Run['holds'], atMs: number): Run['holds'] {
  return holds.map((h) => (h.toMs === null || h.toMs > atMs ? { ...h, toMs: Math.max(h.fromMs, atMs) } : h))
}

/** Seconds that a block has run at a wall time, without what it stood still; and how long a minute more still stands. */
export function blockClock(
  { blockStartedMs, holds }: Run,
  nowMs: number,
): { elapsedS: number; extraS: number } {
  const heldMs = holds.reduce(
    (sum, { fromMs, toMs }) => sum + Math.max(0, Math.min(nowMs, toMs ?? nowMs) - fromMs),
    0,
  )
  const last = holds.at(-1)
  return {
    elapsedS: Math.max(0, (nowMs - blockStartedMs - heldMs) / 1000),
    extraS: last?.toMs == null ? 0 : Math.max(0, (last.toMs - nowMs) / 1000),
  }
}
