import { z } from 'zod'
import { sentence } from './schema-base'

/** Questions on which good teachers differ: their positions, what each does, ready sets of them, and what does not go together. */
export const ApproachSchema = z.strictObject({
  id: z.string().regex(/^A\d\d$/),
  key: z.string(),
  question: sentence,
  scopes: z.array(z.enum(['P', 'T', 'C', 'S'])).min(1),
  options: z
    .array(
      z.strictObject({
        id: z.string(),
        reason: sentence,
        cost: sentence,
      }),
    )
    .min(2),
  default: z.string(),
  stages: z.array(z.string()),
})
/**
 * What one way of working does, `A04:touching`: words at stages, where a setup begins, a check that stages ask besides
 * their own (never one less), branches, fewer attempts, props that stay, hands that stay off; or why it is told to the
 * teacher only.
 */
export const WaySchema = z.strictObject({
  of: z.string().regex(/^A\d\d:[a-z-]+$/),
  say: z.strictObject({ on: z.array(z.string()).min(1), words: sentence }).optional(),
  set: z
    .strictObject({
      setups: z.array(z.string()).min(1),
      option: z.string(),
      value: z.number().optional(),
      /** In lengths of one's own instead. */
      own: z.enum(['hand']).optional(),
    })
    .optional(),
  ask: z
    .strictObject({
      on: z.array(z.string()).min(1),
      check: z.string(),
      op: z.enum(['>=', '<=', 'yes']),
      value: z.number().optional(),
      side: z.enum(['single', 'each']),
    })
    .optional(),
  /** Stages taken off the ladder. */
  hides: z.array(z.string()).optional(),
  /** Branches it would rather take, in order: they settle ties. */
  prefers: z.array(z.string()).optional(),
  cap: z.number().int().positive().optional(),
  keepsProps: z.literal(true).optional(),
  /** When in a class the new thing comes, where not in the first wave after priming. */
  newThing: z.enum(['middle', 'late']).optional(),
  touch: z.literal('no').optional(),
  told: sentence.optional(),
})
export type Way = z.infer<typeof WaySchema>

export const PresetSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  choices: z.record(z.string(), z.string()),
})
const choice = z.strictObject({ approach: z.string(), option: z.string() })
export const ClashSchema = z.strictObject({ a: choice, b: choice, problem: z.string() })
