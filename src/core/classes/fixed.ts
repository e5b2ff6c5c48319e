import { z } from 'zod'

/** Blocks in which everyone has a version of their own, in the usual order of a class. */
export const WORK_KINDS = ['skill', 'support', 'peak', 'stay', 'train', 'ease'] as const
export type WorkKind = (typeof WORK_KINDS)[number]

/** What the teacher fixed about the class as a whole; everything else is planned round it. */
export const fixedSchema = z.strictObject({
  /** Sets and waves of a block, by its purpose. */
  lengths: z.record(
    z.string(),
    z.strictObject({ sets: z.number().int().min(1), waves: z.number().int().min(1) }),
  ),
  /** What conditioning is for, where that is chosen by hand. */
  train: z.array(z.string()).max(2).readonly().nullable(),
  /** Order of the working blocks by purpose; null for the usual one. */
  order: z.array(z.string()).readonly().nullable(),
  /** Drills and counterposes taken in place of others. */
  swaps: z.record(z.string(), z.string()),
  /** Who is not coming. */
  out: z.array(z.string()).readonly(),
})
export type Fixed = z.output<typeof fixedSchema>

export const NOTHING_FIXED: Fixed = { lengths: {}, train: null, order: null, swaps: {}, out: [] }
