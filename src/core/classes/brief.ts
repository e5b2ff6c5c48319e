import { z } from 'zod'
import { FAMILIES, LOAD_TAGS } from '../practice/schema'
import { aimSchema } from './aim'
import { changeSchema } from './change'
import { fixedSchema } from './fixed'
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
  change: z
    .strictObject({
      words: z.string(),
      share: z.number(),
      notBefore: z.number().optional(),
      how: z.string().optional(),
    })
    .nullable(),
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
  /** Stages behind them, shown or seen by eye and of low stakes; absent in briefs from before that was kept. */
  held: z.array(z.string()).readonly().optional(),
  /** Stages they may do, in the order of the ladder. */
  open: z.array(z.string()).readonly(),
  /** Open stages that a limit changes, and how. */
  changed: z.record(z.string(), changeSchema),
  /** What stands in place of the family; null where something of it is open. */
  instead: insteadSchema.nullable(),
  /** What may be stepped onto tonight: from which rung, and what has to be seen there (ruling 21). */
  onto: z
    .array(
      z.strictObject({
        stageId: z.string(),
        from: z.string(),
        shows: z.array(z.strictObject({ checkId: z.string(), value: z.number().nullable() })).readonly(),
      }),
    )
    .readonly()
    .default([]),
  /** How near the next stage is, 0 to 1. */
  closeness: z.number().min(0).max(1),
  /** What is short for it: capabilities with their share, which sum to one; empty where nothing is known to be. */
  lacks: z.record(z.string(), z.number().min(0).max(1)),
})
export type ReachInFamily = z.output<typeof reachSchema>

/** Somebody on the roster, as they are known for this class. */
const personSchema = z.strictObject({
  studentId: z.string(),
  /** Own breath, s. */
  breathS: z.number().positive(),
  /** Stature, cm; null where nobody measured it. */
  heightCm: z.number().positive().nullable(),
  /** The shortest strap that closes round their elbows, cm; null where nobody measured them: any will do. */
  loopCm: z.number().positive().nullable().default(null),
  /** Holds that have grown beyond the usual dose over the weeks, s, by stage. */
  grown: z.record(z.string(), z.number().positive()).default({}),
  /** The side that is behind, by the drills that even it out. */
  weaker: z.record(z.string(), z.enum(['left', 'right'])).default({}),
  /** Attempts at most: the studio's, the first month's and what limits leave of them. */
  mostAttempts: z.number().int().min(0),
  /** Whether hands may help. */
  touch: z.enum(['no', 'ask', 'yes']),
  /** Whether the health questions that matter most are answered. */
  answered: z.boolean(),
  firstMonth: z.boolean(),
  /** Of the last two classes, in how many they got no turn at the wall or no helper though others did. */
  waited: z.strictObject({ wall: z.number().int().min(0), help: z.number().int().min(0) }),
  /** Drills of the last class and of the one before. */
  recent: z.array(z.array(z.string()).readonly()).max(2).readonly(),
  limits: z.array(limitSchema).readonly(),
  /** By family; a family that is missing here was not asked about. */
  families: z.partialRecord(z.enum(FAMILIES), reachSchema),
  /**
   * What would hold if nothing applied to somebody who has not answered: the class is planned on it, and settled at the
   * door. Null where they have answered, or where nobody can tell.
   */
  hope: z
    .strictObject({
      limits: z.array(limitSchema).readonly(),
      families: z.partialRecord(z.enum(FAMILIES), reachSchema),
    })
    .nullable()
    .default(null),
})
export type BriefPerson = z.output<typeof personSchema>

/** A stretch of wall for one person, as wide as it is; whether it ends in a corner of the room. */
const baySchema = z.strictObject({
  id: z.string(),
  widthCm: z.number().positive(),
  corner: z.boolean(),
})
export type BriefBay = z.output<typeof baySchema>

/** Pieces of one shape and size that may be used. */
const stockLineSchema = z.strictObject({
  id: z.string(),
  kind: z.string(),
  /** The longest side, cm; null where sizes do not matter. */
  longCm: z.number().positive().nullable(),
  count: z.number().int().min(0),
})
export type StockLine = z.output<typeof stockLineSchema>

/** Everything a plan is made from and judged by: one value in, so that a past plan is judged by what was known then. */
export const briefSchema = z.strictObject({
  version: z.literal(2),
  day: z.iso.date(),
  minutes: z.number(),
  aim: aimSchema,
  room: z.strictObject({
    bays: z.array(baySchema).readonly(),
    /** Mats with the bays whose falls reach them; null where the room was not drawn. */
    mats: z.array(z.strictObject({ id: z.string(), inFall: z.array(z.string()).readonly() })).nullable(),
    /** Places on the open floor with room to fall all round. */
    open: z.number().int().min(0),
  }),
  cupboard: z.strictObject({
    lines: z.array(stockLineSchema).readonly(),
    /** False where nobody listed it and the usual cupboard is taken to be there. */
    listed: z.boolean(),
  }),
  people: z.array(personSchema).readonly(),
  /** Who may help with hands that day, and in what. */
  helpers: z.array(z.strictObject({ id: z.string(), trained: z.array(z.string()).readonly() })).readonly(),
  /** Versions the teacher fixed by hand. */
  locks: z.array(lockSchema).readonly(),
  fixed: fixedSchema,
  /** Strength before the turns at the wall, where a way of working says so. */
  strengthFirst: z.boolean(),
  /** Where in the hour the turns stand; plans of before anybody could say had them in the middle. */
  newThing: z.enum(['first', 'middle', 'late']).default('middle'),
})
export type Brief = z.output<typeof briefSchema>
