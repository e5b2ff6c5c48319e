import type { Plan } from '../classes/plan'

/** What of a plan a timer needs. */
export type TimedPlan = Pick<Plan, 'minutes' | 'bays' | 'blocks'>

export type Moment = {
  readonly elapsedS: number
  readonly leftS: number
  /** Which turn is on at the wall, and whether people are up or changing over; null outside waves. */
  readonly turn: { readonly index: number; readonly phase: 'up' | 'change'; readonly leftS: number } | null
}

/** Where a running block is, given seconds since it began. */
export function momentOf(plan: Pick<Plan, 'blocks'>, blockIndex: number, elapsedS: number): Moment {
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
