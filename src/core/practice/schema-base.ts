import { z } from 'zod'
import { LOAD_TAGS, type LoadTag } from './load-tags'

/** Shapes that several catalogues share: loads, ranges, doses, and the names they are told by. */

export { LOAD_TAGS, type LoadTag }

/** What a drill trains (drills-and-checks.md A.1). */
export const CAPABILITIES = [
  'WS',
  'WE',
  'SP',
  'SF',
  'SR',
  'UB',
  'BT',
  'CC',
  'HB',
  'OB',
  'HH',
  'HX',
  'NK',
  'BC',
  'KD',
  'CF',
  'HR',
] as const

export const level = z.number().int().min(1).max(3)
/** What a limit may change about a shape that not every shape can be changed to (ruling 23). */
export const HOWS = [
  'level-hands',
  'bolster-legs-up',
  'knees-down',
  'slanted',
  'walk-up',
  'propped',
  'wedge',
] as const
export type How = (typeof HOWS)[number]

export const LoadSchema = z.strictObject({
  ...(Object.fromEntries(LOAD_TAGS.map((tag) => [tag, level.optional()])) as Record<
    LoadTag,
    z.ZodOptional<typeof level>
  >),
  /** Changes that its shape cannot take; read from the shape (`shape-tags.json`), never written beside an entry. */
  cannot: z.array(z.enum(HOWS)).readonly().optional(),
})
export type Load = z.infer<typeof LoadSchema>

/** What fits on a card read from the floor. */
export const CARD_LIMIT = 140
export const sentence = z.string().min(1).max(CARD_LIMIT)

/** A default with the range a teacher may move it in. */
const RangedSchema = z.strictObject({ value: z.number(), min: z.number(), max: z.number() })
export type Ranged = z.infer<typeof RangedSchema>

/** Families in the order of the board; AD follows its parent family. */
export const FAMILIES = ['PU', 'FS', 'HD', 'HS', 'CR', 'SH', 'AD'] as const
export type Family = (typeof FAMILIES)[number]

export const RUNGS = ['a', 'b', 'c', 'd', 'e', 'f'] as const

export const DoseSchema = z.strictObject({
  sets: RangedSchema.optional(),
  reps: RangedSchema.optional(),
  breaths: RangedSchema.optional(),
  seconds: RangedSchema.optional(),
  perSide: z.boolean().default(false),
  /** Attempts in one class, both leads together. */
  cap: RangedSchema.optional(),
  /** Between sets, s; where it is not said, as long as the work. */
  restS: z.number().positive().optional(),
  /** How it grows in a clean week, to where, and how far in somebody's first month, s. */
  growth: z
    .strictObject({
      weeklyS: z.number().positive(),
      toS: z.number().positive(),
      firstMonthS: z.number().positive().optional(),
    })
    .optional(),
  /** What numbers alone do not say: tempo, order, which side more. */
  note: sentence.optional(),
})
export type Dose = z.infer<typeof DoseSchema>

/** Stage ids, or a rung number such as FS-10, which any of its branches satisfies; of each group at least so many. */
export const AfterSchema = z.strictObject({
  all: z.array(z.string()).default([]),
  some: z
    .array(z.strictObject({ least: z.number().int().positive().default(1), of: z.array(z.string()).min(2) }))
    .default([]),
})
