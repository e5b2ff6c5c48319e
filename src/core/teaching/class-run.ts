import type { Plan } from '../planning/plan'

/** What happened in a class besides attempts: when it began, which block it is in, when it ended. */
export type ClassEvent = {
  readonly id: string
  readonly hlc: string
  readonly kind: 'started' | 'block' | 'ended'
  /** Wall time in ms when it was tapped; used across a reload or sleep. */
  readonly atMs: number
  readonly blockIndex: number
}

export type ClassRun = {
  readonly state: 'not-started' | 'running' | 'ended'
  readonly blockIndex: number
  readonly blockStartedMs: number
}

/** The state of a class from its events, in clock order, each counted once. */
export function foldRun(events: readonly ClassEvent[]): ClassRun {
  const ordered = [...new Map(events.map((event) => [event.id, event])).values()].sort((a, b) =>
    a.hlc < b.hlc ? -1 : 1,
  )
  let run: ClassRun = { state: 'not-started', blockIndex: 0, blockStartedMs: 0 }
  for (const event of ordered) {
    if (event.kind === 'ended') run = { ...run, state: 'ended' }
    else run = { state: 'running', blockIndex: event.blockIndex, blockStartedMs: event.atMs }
  }
  return run
}

export type Moment = {
  readonly elapsedS: number
  readonly leftS: number
  /** Which turn is on at the wall, and whether people are up or changing over; null outside waves. */
  readonly turn: { readonly index: number; readonly phase: 'up' | 'change'; readonly leftS: number } | null
}

/** Where a running block is, given seconds since it began. */
export function momentOf(plan: Plan, blockIndex: number, elapsedS: number): Moment {
  const block = plan.blocks[blockIndex]
  if (!block) return { elapsedS, leftS: 0, turn: null }
  const leftS = Math.max(0, block.seconds - elapsedS)
  if (block.kind !== 'waves') return { elapsedS, leftS, turn: null }
  const atS = block.startS + elapsedS
  const index = block.turns.findLastIndex((turn) => turn.startS <= atS)
  const turn = block.turns[index]
  if (!turn) return { elapsedS, leftS, turn: null }
  const into = atS - turn.startS
  return into < block.turnS
    ? { elapsedS, leftS, turn: { index, phase: 'up', leftS: block.turnS - into } }
    : {
        elapsedS,
        leftS,
        turn: {
          index,
          phase: 'change',
          leftS: Math.max(0, (block.turns[index + 1]?.startS ?? block.startS + block.seconds) - atS),
        },
      }
}
