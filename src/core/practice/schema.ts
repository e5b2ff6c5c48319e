import { z } from 'zod'
import {
  AfterSchema,
  CAPABILITIES,
  CARD_LIMIT,
  DoseSchema,
  level,
  HOWS,
  LOAD_TAGS,
  LoadSchema,
  RUNGS,
  sentence,
  type Family,
} from './schema-base'

export { ApproachSchema, ClashSchema, PresetSchema, WaySchema, type Way } from './schema-ways'
export {
  CARD_LIMIT,
  FAMILIES,
  LOAD_TAGS,
  RUNGS,
  type Dose,
  type Family,
  type How,
  type Load,
  type LoadTag,
  type Ranged,
} from './schema-base'

/** Standing: what the body has shown. Tonight: sets today's ceiling. Planner: guaranteed by the plan (ruling 3). */
const GateSchema = z.strictObject({
  check: z.string(),
  op: z.enum(['>=', '<=', 'yes', 'recorded']),
  value: z.number().optional(),
  min: z.number().optional(),
  max: z.number().optional(),
  /** `each`: the weaker side decides; `either`: the better one; `gap`: how far the sides differ. */
  side: z.enum(['single', 'each', 'either', 'gap']).default('single'),
  aidedOk: z.boolean().default(false),
  days: z.strictObject({ clean: z.number().int().min(1), of: z.number().int().min(1) }).optional(),
  life: z.enum(['standing', 'tonight', 'planner']).default('standing'),
  /** Stages whose tries show it, where a check is read from tries; filled from the check where a gate names none. */
  shownBy: z.array(z.string()).optional(),
  /** Of which family’s tries, where that is not the stage’s own. */
  on: z.enum(['FS', 'HS']).optional(),
  /** Clean on so many of its last days. */
  last: z.number().int().positive().optional(),
  /** Reached in so many of the last tries of a day. */
  tries: z.strictObject({ least: z.number().int().positive(), of: z.number().int().positive() }).optional(),
  /** Asked of every stage that carries such a load (progressions.md 1), not of this one alone. */
  rule: z.boolean().optional(),
})
export type Gate = z.infer<typeof GateSchema>

export const StageSchema = z.strictObject({
  id: z.string().regex(/^(PU|FS|HD|HS|CR|SH|AD)-\d\d[a-f]?(-own-[0-9a-z]{3,12})?$/),
  /** A studio's own step: what it is built on. It stands beside the ladder and leads nowhere. */
  like: z.string().optional(),
  /** An own step that is not used any more. */
  rests: z.literal(true).optional(),
  name: z.string().max(60),
  /** Three words for a lane or a cell, where the name is longer. */
  short: z.string().max(24).optional(),
  sanskrit: z.string().max(60).optional(),
  rung: z.enum(RUNGS),
  after: AfterSchema.default({ all: [], some: [] }),
  setups: z.array(z.string()).min(1),
  /** How its first setup opens for it, where that is not the usual way: options of the setup. */
  setupWith: z.record(z.string(), z.number()).optional(),
  do: sentence,
  lookFor: sentence,
  cue: sentence,
  why: sentence,
  gates: z.array(GateSchema).default([]),
  /** Why a stage asks for nothing of its own. */
  noGates: sentence.optional(),
  dose: DoseSchema,
  faults: z.array(z.string()).default([]),
  exits: z.array(z.string()).min(1),
  assists: z.array(z.string()).min(1),
  load: LoadSchema.default({}),
  /** Done with a trained helper only. */
  helped: z.boolean().default(false),
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
  life: z.enum(['standing', 'tonight', 'planner']),
  levels: z.array(z.string()).optional(),
  /** What a result names besides its value: where it hurts, or which way out it was. */
  names: z.enum(['region', 'exit']).optional(),
  /** Read from tries at these stages, by family; nobody types it. */
  shownOn: z.record(z.string(), z.array(z.string())).optional(),
  /** The first drills for it, before those of its capability. */
  drills: z.array(z.string()).default([]),
  /** What to do where no drill trains it. */
  noDrill: sentence.optional(),
  /** Steps whose own doing shows it: seen there, a rung of low stakes may be stepped onto the same night (ruling 21). */
  seenIn: z.array(z.string()).default([]),
  /** Faults that void a result, whatever it reads. */
  voids: z.array(z.string()).default([]),
  seconds: z.number().positive(),
})
export type ReadinessCheck = z.infer<typeof CheckSchema>

export const FaultSchema = z.strictObject({
  id: z.string().startsWith('FT-'),
  name: z.string().max(70),
  see: sentence,
  cue: sentence,
  causes: z.array(z.enum(['mobility', 'strength', 'technique', 'fatigue', 'fear', 'setup'])).min(1),
  setups: z.array(z.string()),
  drills: z.array(z.string()),
  noDrill: sentence.optional(),
  then: z.enum(['continue', 'step back', 'fix first', 'stop']),
  /** When what is done next changes, in a sentence of its own. */
  until: sentence.optional(),
  /** Where nothing below says otherwise. */
  severity: z.number().int().min(1).max(3),
  /** Graver where it is seen so: in hops and kicks, in the room without a wall, or with pain (ruling 20). */
  graver: z
    .strictObject({ severity: z.number().int().min(2).max(3), when: z.enum(['hops', 'room', 'pain']) })
    .optional(),
  /** Whether arms too short for the head bring it on, however strong they are. */
  proportions: z.literal(true).optional(),
  /** False where it speaks of the arms’ state, a helper or the place: the standing stays (ruling 7). */
  own: z.boolean().default(true),
})
export type Fault = z.infer<typeof FaultSchema>

/** The least that a drawn shape loads, and the changes that it cannot take. */
export const ShapeTagsSchema = z.strictObject({
  shape: z.string(),
  least: LoadSchema,
  cannot: z.array(z.enum(HOWS)),
  why: z.string().optional(),
})

/** Of a change: what else than its shape says cannot take it, what can all the same, and why not everything can. */
export const ChangeLimitSchema = z.strictObject({
  how: z.enum(HOWS),
  also: z.array(z.string()),
  except: z.array(z.string()),
  why: z.string().min(1),
})

export const DrillSchema = z.strictObject({
  id: z.string().startsWith('DR-'),
  /** What a studio’s own drill is built on; absent on what ships. */
  like: z.string().optional(),
  name: z.string().max(60),
  sanskrit: z.string().max(60).optional(),
  theme: z.string(),
  place: z.string(),
  sides: z.string(),
  minutes: z.number().positive(),
  /** Capability weights 1–3; absent is 0. */
  for: z.partialRecord(z.enum(CAPABILITIES), z.number().int().min(0).max(3)),
  /** Fatigue by joint 0–3. */
  fatigue: z.record(z.string(), z.number().int().min(0).max(3)),
  load: LoadSchema,
  setups: z.array(z.string()),
  props: z.array(z.string()),
  do: sentence,
  lookFor: sentence,
  dose: DoseSchema,
  /** The same purpose with less or more load; absent where there is none. */
  easier: sentence.optional(),
  harder: sentence.optional(),
  after: z.array(z.string()),
  before: z.array(z.string()),
  notJustBeforeAttempts: z.boolean(),
  faults: z.array(z.string()),
})
export type Drill = z.infer<typeof DrillSchema>

/** A warm-up block or counterpose, with the loads or stages that call for it. */
export const BlockSchema = z.strictObject({
  id: z.string(),
  name: z.string().max(60),
  do: sentence,
  minutes: z.number().positive(),
  least: z.number().positive().optional(),
  most: z.number().positive().optional(),
  for: z.array(z.strictObject({ tag: z.enum(LOAD_TAGS), level })),
  stages: z.array(z.string()),
  drills: z.array(z.string()),
  /** What a warm-up must contain: of each group so many. */
  must: z
    .array(
      z.strictObject({
        n: z.number().int().positive(),
        from: z.array(z.string()).min(1),
        /** Only for what is kicked or hopped into from forearms or from hands. */
        kicksFrom: z.enum(['FB', 'WB']).optional(),
      }),
    )
    .default([]),
  /** The counterpose in whose place it may stand. */
  instead: z.string().optional(),
  /** What one person needs for it. */
  props: z.array(z.string()).default([]),
  /** What it asks of the body itself, where it has no drill that says so. */
  load: LoadSchema.default({}),
})
export type PracticeBlock = z.infer<typeof BlockSchema>

export const SetupEntrySchema = z.strictObject({
  id: z.string().startsWith('SETUP-'),
  name: z.string().max(60),
  place: sentence,
  bill: z.array(
    z.strictObject({ prop: z.string(), count: z.number().int().positive(), optional: z.boolean() }),
  ),
  /** Lengths of the body that place it: which placement they move, and whether a longer one moves it out or in. */
  drives: z.array(
    z.strictObject({ measure: z.string(), placement: z.string(), way: z.enum(['more', 'less']) }),
  ),
  noDrive: sentence.optional(),
  /** Where in a room it stands: a stretch of wall, a corner, an open floor with room to fall, or a mat. */
  stands: z.enum(['mat', 'wall', 'corner', 'open']),
  /** Wall that it takes, cm, where that is more than a straight line. */
  widthCm: z.number().positive().optional(),
  /** Built once and left standing: nobody else has its props meanwhile. */
  rig: z.boolean().default(false),
  prevents: z.array(z.string()),
  more: z.array(z.string()),
  less: z.array(z.string()),
  /** Where a studio has it begin, by option, where that is not the usual place. */
  begins: z.array(z.strictObject({ option: z.string(), value: z.number() })).optional(),
})
export type SetupEntry = z.infer<typeof SetupEntrySchema>

export const ExitSchema = z.strictObject({
  id: z.string().startsWith('EX-'),
  name: z.string().max(40),
  do: sentence,
  load: LoadSchema,
})
export const AssistSchema = z.strictObject({
  id: z.string().startsWith('AS-'),
  name: z.string().max(40),
  do: sentence,
  touch: z.boolean(),
})

const ACTIONS = ['stop', 'avoid', 'modify', 'watch'] as const
export type CautionAction = (typeof ACTIONS)[number]
export const CautionSchema = z.strictObject({
  id: z.string().regex(/^[A-Z]{2}\d$/),
  conditions: z.array(z.string()),
  action: z.enum(ACTIONS),
  tags: z.array(z.strictObject({ tag: z.enum(LOAD_TAGS), level: z.number().int().min(1).max(3) })),
  noTags: sentence.optional(),
  mostSeconds: z.number().positive().optional(),
  /** For a rule that modifies: how, which share of the repetitions is left, from which share of the class on at all. */
  change: z
    .strictObject({
      words: sentence,
      share: z.number().positive().max(1),
      notBefore: z.number().positive().max(1).optional(),
      /** Set where not every shape can be changed so: what cannot is closed in its place (ruling 23). */
      how: z.enum(HOWS).optional(),
    })
    .optional(),
  recheck: z.enum(['class', 'days', 'until-cleared']),
  recheckDays: z.number().positive().optional(),
  instead: sentence,
  /** An alarm: somebody is sent for care, or home, instead of to another shape (ruling 17). */
  refer: z.enum(['urgent', 'prompt', 'home']).optional(),
})
export type Caution = z.infer<typeof CautionSchema>
export const IntakeSchema = z.strictObject({
  id: z.string(),
  /** On the first visit and kept; before every class; or talked about and not kept, since no rule reads it. */
  asked: z.enum(['first', 'class', 'talked']),
  question: sentence,
  followUp: z.string().max(CARD_LIMIT),
  /** What may be ticked after a yes, and which conditions each sets. */
  options: z
    .array(z.strictObject({ id: z.string(), label: z.string().max(60), sets: z.array(z.string()).min(1) }))
    .min(1),
  /** Left unanswered it holds back full inversions, head load and a stacked neck (rule UN1). */
  core: z.boolean(),
  /** Loads that an unanswered question is about (rule UN2). */
  about: z.array(z.enum(LOAD_TAGS)),
})
export type IntakeQuestion = z.infer<typeof IntakeSchema>

export const PropSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  sizeCm: z.array(z.number().positive()),
  kind: z.string(),
})
export const SubstituteSchema = z.strictObject({ for: z.string(), use: sentence, never: sentence })
export const MeasureSchema = z.strictObject({
  id: z.string().regex(/^M\d+$/),
  name: z.string(),
  ratio: z.number().positive().nullable(),
  errorCm: z.number().positive().nullable(),
})
/**
 * What a drill trains: the checks that tell on it and the first drills when it is short (drills-and-checks.md B.8), and
 * what a shortage shows as. Confidence shows as nothing: it is asked privately and never told beside a name (ruling 10).
 * `needsProp` says why no drill without props exists for it.
 */
export const CapabilitySchema = z.strictObject({
  id: z.enum(CAPABILITIES),
  name: z.string(),
  needsProp: sentence.optional(),
  checks: z.array(z.string()),
  drills: z.array(z.string()).min(1),
  showsAs: z.enum(['mobility', 'strength', 'technique']).optional(),
})
export const BundleSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  checks: z.array(z.string()).min(2),
})
