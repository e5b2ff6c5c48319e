import { isWork, turnsOf, type Plan } from '../classes/plan'

/** What of a plan a timer needs. */
export type TimedPlan = Pick<Plan, 'minutes' | 'blocks'>

export type Moment = {
  readonly elapsedS: number
  readonly leftS: number
  /** Which turn is on, and whether people are at work or between turns; null where no turns are taken. */
  readonly turn: {
    readonly index: number
    readonly phase: 'ready' | 'up' | 'change'
    readonly leftS: number
  } | null
}

/** Where a running block is, given seconds since it began. */
export function momentOf(plan: Pick<Plan, 'blocks'>, blockIndex: number, elapsedS: number): Moment {
  const block = plan.blocks[blockIndex]
  if (!block) return { elapsedS, leftS: 0, turn: null }
  const leftS = Math.max(0, block.seconds - elapsedS)
  if (!isWork(block)) return { elapsedS, leftS, turn: null }
  const turns = turnsOf(block)
  const atS = block.startS + elapsedS
  const index = turns.findLastIndex((turn) => turn.startS <= atS)
  const turn = turns[index]
  const next = turns[index + 1]
  // Before the first turn there is fetching and building to do.
  if (!turn)
    return { elapsedS, leftS, turn: { index: 0, phase: 'ready', leftS: (turns[0]?.startS ?? atS) - atS } }
  const into = atS - turn.startS
  return into < block.workS
    ? { elapsedS, leftS, turn: { index, phase: 'up', leftS: block.workS - into } }
    : {
        elapsedS,
        leftS,
        turn: {
          index,
          phase: 'change',
          leftS: Math.max(0, (next?.startS ?? block.startS + block.seconds) - atS),
        },
      }
}
