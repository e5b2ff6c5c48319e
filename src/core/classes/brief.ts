import { z } from 'zod'
import { FAMILIES, LOAD_TAGS } from '../practice/schema'
import { changeSchema } from './change'
import { lockSchema } from './lock'
import { OVERRIDE_REASONS } from './override'

const LEVEL = z.union([z.literal(1), z.literal(2), z.literal(3)])

/** A limit of the day of the class. It names no rule, so it tells nothing of what was answered. */
const limitSchema = z.strictObject({
  action: z.enum(['stop', 'avoid', 'modify', 'watch']),
  tag: z.enum(LOAD_TAGS),
  level: LEVEL,
  mostSeconds: z.number().nullable(),
  instead: z.string(),
  change: z.strictObject({ words: z.string(), share: z.number() }).nullable(),
  needsClearance: z.boolean(),
  until: z.literal('key').optional(),
  refer: z.enum(['urgent', 'prompt', 'home']).optional(),
})

/** What stands where a stage, or a whole family, is closed to somebody. */
const insteadSchema = z.strictObject({
  /** A stage of the same purpose that is open to them; null where none is. */
  stageId: z.string().nullable(),
})

/** How far somebody goes in one family on the day of the class. */
const reachSchema = z.strictObject({
  standingId: z.string().nullable(),
  targetId: z.string().nullable(),
  outcome: z.enum(['not-now', 'step-back', 'offer', 'once-more', 'near', 'build', 'held']),
  /** The teacher's answer to what is offered; null where nobody has looked. */
  looked: z
    .strictObject({
      answer: z.enum(['accept', 'hold-back', 'override']),
      reason: z.enum(OVERRIDE_REASONS).nullable(),
    })
    .nullable(),
  /** Stages they may do, in the order of the ladder. */
  open: z.array(z.string()).readonly(),
  /** Open stages that a limit changes, and how. */
  changed: z.record(z.string(), changeSchema),
  /** What stands in place of the family; null where something of it is open. */
  instead: insteadSchema.nullable(),
})
export type ReachInFamily = z.output<typeof reachSchema>

/** Somebody on the roster, as they are known for this class. */
const personSchema = z.strictObject({
  studentId: z.string(),
  /** Own breath, s. */
  breathS: z.number().positive(),
  /** Attempts at most: the studio's, the first month's and what limits leave of them. */
  mostAttempts: z.number().int().min(0),
  /** Whether hands may help. */
  touch: z.enum(['no', 'ask', 'yes']),
  /** Whether the health questions that matter most are answered. */
  answered: z.boolean(),
  limits: z.array(limitSchema).readonly(),
  /** By family; a family that is missing here was not asked about. */
  families: z.partialRecord(z.enum(FAMILIES), reachSchema),
})
export type BriefPerson = z.output<typeof personSchema>

/** Everything a plan is made from and judged by: one value in, so that a past plan is judged by what was known then. */
export const briefSchema = z.strictObject({
  version: z.literal(1),
  day: z.iso.date(),
  minutes: z.number(),
  room: z.strictObject({ bays: z.number().int().min(0) }),
  cupboard: z.strictObject({ straps: z.number().int().min(0), blocks: z.number().int().min(0) }),
  people: z.array(personSchema).readonly(),
  /** Who may help with hands that day, and in what. */
  helpers: z.array(z.strictObject({ id: z.string(), trained: z.array(z.string()).readonly() })),
  /** Versions the teacher fixed by hand. */
  locks: z.array(lockSchema).readonly(),
})
export type Brief = z.output<typeof briefSchema>
