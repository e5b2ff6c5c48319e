import { z } from 'zod'

/** Load tags of the practice, levels 0–3; 0 is not written (cautions.md 0.1; KN by ruling 1). */
const LOAD_TAGS = ['HB', 'NF', 'HBH', 'WB', 'FB', 'SE', 'FR', 'AC', 'SF', 'SX', 'ST', 'KN'] as const
export type LoadTag = (typeof LOAD_TAGS)[number]

const level = z.number().int().min(1).max(3)
const LoadSchema = z.strictObject(
  Object.fromEntries(LOAD_TAGS.map((tag) => [tag, level.optional()])) as Record<
    LoadTag,
    z.ZodOptional<typeof level>
  >,
)
export type Load = z.infer<typeof LoadSchema>

/** What fits on a card read from the floor. */
const CARD_LIMIT = 140
const sentence = z.string().min(1).max(CARD_LIMIT)

/** A default with the range a teacher may move it in. */
const RangedSchema = z.strictObject({ value: z.number(), min: z.number(), max: z.number() })
export type Ranged = z.infer<typeof RangedSchema>

/** Families in the order of the board; AD follows its parent family. */
export const FAMILIES = ['PU', 'FS', 'HD', 'HS', 'CR', 'SH', 'AD'] as const
export type Family = (typeof FAMILIES)[number]

const RUNGS = ['a', 'b', 'c', 'd', 'e', 'f'] as const

/** Standing: what the body has shown. Tonight: sets today's ceiling. Planner: guaranteed by the plan (ruling 3). */
const GateSchema = z.strictObject({
  check: z.string(),
  op: z.enum(['>=', '<=', 'yes', 'recorded']),
  value: z.number().optional(),
  min: z.number().optional(),
  max: z.number().optional(),
  side: z.enum(['single', 'each']).default('single'),
  aidedOk: z.boolean().default(false),
  days: z.strictObject({ clean: z.number().int().min(1), of: z.number().int().min(1) }).optional(),
  life: z.enum(['standing', 'tonight', 'planner']).default('standing'),
})
export type Gate = z.infer<typeof GateSchema>

const DoseSchema = z.strictObject({
  sets: RangedSchema.optional(),
  reps: RangedSchema.optional(),
  breaths: RangedSchema.optional(),
  seconds: RangedSchema.optional(),
  perSide: z.boolean().default(false),
  /** Attempts in one class, both leads together. */
  cap: RangedSchema.optional(),
})

/** `all` and `any` hold stage ids, or a rung number such as FS-10, which any of its branches satisfies. */
const AfterSchema = z.strictObject({
  all: z.array(z.string()).default([]),
  any: z.array(z.string()).default([]),
})

export const StageSchema = z.strictObject({
  id: z.string().regex(/^(PU|FS|HD|HS|CR|SH|AD)-\d\d[a-f]?$/),
  name: z.string().max(60),
  sanskrit: z.string().max(60).optional(),
  rung: z.enum(RUNGS),
  after: AfterSchema.default({ all: [], any: [] }),
  setups: z.array(z.string()).min(1),
  do: sentence,
  lookFor: sentence,
  cue: sentence,
  why: sentence,
  gates: z.array(GateSchema).default([]),
  dose: DoseSchema,
  faults: z.array(z.string()).default([]),
  exits: z.array(z.string()).min(1),
  assists: z.array(z.string()).min(1),
  load: LoadSchema.default({}),
  ifNot: z.array(z.string()).default([]),
  fadeTo: z.array(z.string()).default([]),
})
export type Stage = z.infer<typeof StageSchema> & { readonly family: Family }

export const CheckSchema = z.strictObject({
  id: z.string().startsWith('CK-'),
  name: z.string().max(60),
  asks: sentence,
  run: sentence,
  valid: sentence,
  kind: z.enum(['hold', 'count', 'length', 'angle', 'level', 'yes-no', 'scale']),
  unit: z.string().max(24),
  side: z.enum(['single', 'each']),
  /** Plausible entries; outside is asked about again. */
  min: z.number(),
  max: z.number(),
  betterIs: z.enum(['more', 'less', 'yes', 'none']),
  /** Days a result still opens a gate. */
  freshDays: z.number().int().positive(),
  levels: z.array(z.string()).optional(),
  seconds: z.number().positive(),
})
export type ReadinessCheck = z.infer<typeof CheckSchema>

export const FaultSchema = z.strictObject({
  id: z.string().startsWith('FT-'),
  name: z.string().max(70),
  see: sentence,
  cue: sentence,
  severity: z.number().int().min(1).max(3),
})
export type Fault = z.infer<typeof FaultSchema>

/** A warm-up block, a counterpose or a rest, with what calls for it. */
export const BlockSchema = z.strictObject({
  id: z.string(),
  name: z.string().max(60),
  do: sentence,
  minutes: z.number().positive(),
  /** Load tags that need this block before (warm-up) or after (counterpose). */
  for: z.array(z.strictObject({ tag: z.enum(LOAD_TAGS), level: z.number().int().min(1).max(3) })).default([]),
})
export type PracticeBlock = z.infer<typeof BlockSchema>

export const SetupEntrySchema = z.strictObject({
  id: z.string().startsWith('SETUP-'),
  name: z.string().max(60),
})
export type SetupEntry = z.infer<typeof SetupEntrySchema>
