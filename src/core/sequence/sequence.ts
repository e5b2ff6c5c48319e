import { z } from 'zod'

/** What each thing of a sequence is there for, in the order of the parts (drills-and-checks.md E). */
const PARTS = ['warm', 'show', 'strength', 'between', 'carry', 'check', 'counter', 'rest'] as const
export type Part = (typeof PARTS)[number]

const doseSchema = z.strictObject({
  sets: z.number().int().min(1).max(10),
  reps: z.number().int().min(1).max(60).nullable(),
  /** One hold, s; null where it is counted. */
  holdS: z.number().min(1).max(300).nullable(),
  perSide: z.boolean(),
  restS: z.number().min(0).max(600).nullable(),
})
export type SequenceDose = z.output<typeof doseSchema>

const itemSchema = z.strictObject({
  part: z.enum(PARTS),
  /** A drill, a check or a counterpose. */
  id: z.string().min(1).max(60),
  /** By the clock, s: what warms, what unloads, and rest. */
  seconds: z.number().int().min(10).max(1200),
  /** What is worked at; null where the clock is all. */
  dose: doseSchema.nullable(),
})
export type SequenceItem = z.output<typeof itemSchema>

/** Minutes that a sequence may take. */
export const SEQUENCE_MINUTES = { min: 8, max: 20, usual: 14 } as const

/** A strength sequence as it is kept. */
export const sequenceSchema = z.strictObject({
  minutes: z.number().int().min(SEQUENCE_MINUTES.min).max(SEQUENCE_MINUTES.max),
  /** The stage it leads to; null where nothing is before them. */
  towards: z.string().nullable(),
  items: z.array(itemSchema).min(1).max(30),
})
export type Sequence = z.output<typeof sequenceSchema>

/** How long it takes by the clock, s. */
export function secondsOf(items: readonly Pick<SequenceItem, 'seconds'>[]): number {
  return items.reduce((sum, i) => sum + i.seconds, 0)
}
