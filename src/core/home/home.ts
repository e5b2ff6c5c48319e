import { z } from 'zod'

/** Things that a home may have for practice; each may be the thing itself or what stands in for it. */
export const AT_HOME = ['wall', 'strap', 'block', 'blanket', 'bolster', 'chair', 'slider'] as const
export type AtHome = (typeof AT_HOME)[number]

/** One thing to do at home, with this week's dose. */
const homeItemSchema = z.strictObject({
  drillId: z.string(),
  sets: z.number().int().positive(),
  /** How many in a set, or how many holds; null where one hold is a set. */
  reps: z.number().int().positive().nullable(),
  /** What it has grown to before rounding: a count of four cannot grow by a fifth in one week, and can in two. */
  level: z.number().positive().optional(),
  /** One hold, s; null where it is counted. */
  holdS: z.number().positive().nullable(),
  perSide: z.boolean(),
  restS: z.number().positive().nullable(),
  /** The side to begin with, and to give one set more. */
  weaker: z.enum(['left', 'right']).nullable(),
})
export type HomeItem = z.output<typeof homeItemSchema>

/** A week's sheet for one person. */
export const homeSheetSchema = z.strictObject({
  minutes: z.number().int().min(8).max(25),
  /** Days on which it is done. */
  days: z.array(z.iso.date()).min(1).max(4),
  has: z.array(z.enum(AT_HOME)),
  items: z.array(homeItemSchema).min(1).max(5),
})
export type HomeSheet = z.output<typeof homeSheetSchema>

/** How a session went, as the student says it: it informs and proves nothing (ruling 6). */
export const TICKS = ['done', 'part', 'too-much'] as const
export type Tick = (typeof TICKS)[number]
