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
  /** From which share of the class on it may be done; before that it is closed. */
  notBefore: z.number().positive().max(1).optional(),
})
export type Change = z.output<typeof changeSchema>

/** What the limits change about a stage; null where they leave it as it is. Several limits: the least of each. */
export function changeOn(stage: Pick<Stage, 'load'>, limits: Limits): Change | null {
  const { because, mostSeconds } = judgeLoad(stage.load, limits)
  const acting = because.filter((cap) => cap.action === 'modify')
  const words = [...new Set(acting.flatMap((cap) => (cap.change === null ? [] : [cap.change.words])))]
  const share = Math.min(1, ...acting.map((cap) => cap.change?.share ?? 1))
  const notBefore = Math.max(0, ...acting.map((cap) => cap.change?.notBefore ?? 0))
  if (mostSeconds === null && words.length === 0 && share === 1) return null
  return { mostSeconds, share, words, ...(notBefore > 0 ? { notBefore } : {}) }
}

/**
 * Whether limits close a load at a moment of a class that leave it open later in the hour (something eaten, FD2).
 * @param atShare of the class, 0 at its start
 */
export function isTooEarly(stage: Pick<Stage, 'load'>, limits: Limits, atShare: number): boolean {
  return (changeOn(stage, limits)?.notBefore ?? 0) > atShare
}

/** Limits with what is open late in the hour only closed: for what nobody checks the clock for, such as a quick answer. */
export function closedUntilLate<T extends Limits>(limits: T): T {
  return {
    ...limits,
    caps: limits.caps.map((cap) =>
      cap.change?.notBefore === undefined ? cap : { ...cap, action: 'avoid' as const },
    ),
  }
}
