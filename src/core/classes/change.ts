import { z } from 'zod'
import type { Stage } from '../practice/schema'
import { judgeLoad, type Limits } from '../screening/caps'

/** How somebody does a stage that a limit changes: time, share of the repetitions, and what else, in words. */
export const changeSchema = z.strictObject({
  /** The longest hold, s. */
  mostSeconds: z.number().positive().nullable(),
  /** Share of everybody's repetitions or turns. */
  share: z.number().positive().max(1),
  words: z.array(z.string()).readonly(),
})
export type Change = z.output<typeof changeSchema>

/** What the limits change about a stage; null where they leave it as it is. Several limits: the least of each. */
export function changeOn(stage: Pick<Stage, 'load'>, limits: Limits): Change | null {
  const { because, mostSeconds } = judgeLoad(stage.load, limits)
  const acting = because.filter((cap) => cap.action === 'modify')
  const words = [...new Set(acting.flatMap((cap) => (cap.change === null ? [] : [cap.change.words])))]
  const share = Math.min(1, ...acting.map((cap) => cap.change?.share ?? 1))
  return mostSeconds === null && words.length === 0 && share === 1 ? null : { mostSeconds, share, words }
}
