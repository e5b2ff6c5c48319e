import { z } from 'zod'
import { aimSchema } from './aim'
import { changeSchema } from './change'
import { WORK_KINDS, type WorkKind } from './fixed'
import { OVERRIDE_REASONS } from './override'

/** A rung that somebody passes in one turn on the way to what they do: no attempt, and nothing that it does not need as well. */
const rungSchema = z.strictObject({
  variantId: z.string(),
  setupId: z.string().nullable(),
  holdS: z.number().positive().nullable(),
  reps: z.number().int().min(1),
  sides: z.boolean(),
  props: z.array(z.strictObject({ kind: z.string(), count: z.number().int().positive() })).readonly(),
})
export type Rung = z.output<typeof rungSchema>

/** What one person does in a working block. */
const doingSchema = z.strictObject({
  studentId: z.string(),
  /** A stage or a drill; null where nothing of it is open to them: they wait, watch or help. */
  variantId: z.string().nullable(),
  setupId: z.string().nullable(),
  /** Which wave they are up in, from 1. */
  wave: z.number().int().min(1),
  /** Up in every wave: they need nothing that others wait for, and go on. */
  every: z.boolean().default(false),
  /** How long after the turn has begun they begin, s: nobody kicks while the teacher's hands are with another. */
  after: z.number().int().min(0).default(0),
  /** Turns they take: in the first so many sets. */
  turns: z.number().int().min(0),
  /** One hold on one side, s; null where it is counted. */
  holdS: z.number().positive().nullable(),
  /** How many in one turn, on each side where it has sides. */
  reps: z.number().int().min(1),
  /** Attempts in one turn; 0 where nothing is tried. */
  tries: z.number().int().min(0),
  /** Whether both sides are done in each turn. */
  sides: z.boolean(),
  /** The side that is behind, which begins; null where neither is. */
  sideFirst: z.enum(['left', 'right']).nullable().default(null),
  /** Whether that side is done once more in each turn. */
  sideMore: z.boolean().default(false),
  /** A bay, a mat or a place on the open floor, by id; null where nothing is drawn. */
  place: z.string().nullable(),
  props: z.array(z.strictObject({ kind: z.string(), count: z.number().int().positive() })).readonly(),
  /** `teacher`, or an assistant's id. */
  helper: z.string().nullable(),
  /** What they do while others are up: a drill, or null for rest. */
  waiting: z.string().nullable(),
  /** Rungs of their climb before it, in their first turns, one turn each. */
  climb: z.array(rungSchema).readonly().default([]),
  /** What they step onto once this is clean tonight; null where they stay (ruling 21). */
  then: z.string().nullable().default(null),
  override: z.enum(OVERRIDE_REASONS).nullable(),
  /** How a limit changes it. */
  change: changeSchema.nullable(),
  /** It stands in place of a family that is closed to them. */
  inPlace: z.boolean(),
})
export type Doing = z.output<typeof doingSchema>

/** Somebody who waits, watches or rests through a block. */
export const WAITING: Omit<Doing, 'studentId'> = {
  ...{
    variantId: null,
    setupId: null,
    wave: 1,
    after: 0,
    turns: 0,
    holdS: null,
    reps: 1,
    tries: 0,
    sides: false,
  },
  ...{ sideFirst: null, sideMore: false, every: false },
  ...{
    place: null,
    props: [],
    helper: null,
    waiting: null,
    climb: [],
    then: null,
    override: null,
    change: null,
    inPlace: false,
  },
}

const timed = { startS: z.number().int().min(0), seconds: z.number().int().min(0) }

/** Parts that the whole class does together. */
const TOGETHER_KINDS = ['arrive', 'settle', 'warm-up', 'way-out', 'counterpose', 'rest', 'close'] as const
export type TogetherKind = (typeof TOGETHER_KINDS)[number]
export type BlockKind = WorkKind | TogetherKind

const togetherSchema = z.strictObject({
  kind: z.enum(TOGETHER_KINDS),
  ...timed,
  /** Drills or counterposes one after the other, s each. */
  items: z.array(z.strictObject({ id: z.string(), seconds: z.number().int().positive() })).readonly(),
})
const workSchema = z.strictObject({
  kind: z.enum(WORK_KINDS),
  ...timed,
  /** What it is for: `skill:FS`, `train:SP`. */
  purpose: z.string(),
  /** Fetching and building before the first turn, s. */
  setupS: z.number().int().min(0),
  sets: z.number().int().min(1),
  waves: z.number().int().min(1),
  workS: z.number().int().positive(),
  /** From the end of a turn to the next one, s. */
  gapS: z.number().int().min(0),
  people: z.array(doingSchema).readonly(),
})
export type Together = z.output<typeof togetherSchema>
export type Work = z.output<typeof workSchema>
const blockSchema = z.discriminatedUnion('kind', [togetherSchema, workSchema])
export type PlanBlock = z.output<typeof blockSchema>

const warningSchema = z.discriminatedUnion('code', [
  /** Nobody asked them about health: they stay on the floor until then. */
  z.strictObject({ code: z.literal('not-asked'), people: z.number().int() }),
  z.strictObject({ code: z.literal('unknown'), people: z.number().int() }),
  /** More than the eyes in the room go round: half of them are always on floor work (class-craft.md 6). */
  z.strictObject({ code: z.literal('many-for-eyes'), people: z.number().int(), most: z.number().int() }),
  z.strictObject({ code: z.literal('waits'), studentId: z.string(), purpose: z.string() }),
  z.strictObject({ code: z.literal('minutes-left'), seconds: z.number() }),
  z.strictObject({ code: z.literal('warm-up-trimmed'), wantedS: z.number(), givenS: z.number() }),
  z.strictObject({ code: z.literal('cupboard-not-listed') }),
  z.strictObject({ code: z.literal('no-wall') }),
  z.strictObject({ code: z.literal('no-mat'), people: z.number().int() }),
  z.strictObject({ code: z.literal('lock-gave-way'), studentId: z.string(), variantId: z.string() }),
  z.strictObject({ code: z.literal('fixed-gave-way'), purpose: z.string() }),
])
export type PlanWarning = z.output<typeof warningSchema>

/** The hour as it was made or edited. */
export const planSchema = z.strictObject({
  version: z.literal(2),
  minutes: z.number(),
  aim: aimSchema,
  blocks: z.array(blockSchema).readonly(),
  /** The most of each kind that is out at once. */
  pull: z.array(z.strictObject({ kind: z.string(), count: z.number().int().positive() })).readonly(),
  warnings: z.array(warningSchema).readonly(),
  /** What the planner thinks of it, by tier; null where it was made before plans were weighed. */
  points: z.record(z.string(), z.number()).nullable(),
})
export type Plan = z.output<typeof planSchema>

/** Whether everybody has a version of their own in a block. */
export function isWork(block: PlanBlock): block is Work {
  return 'people' in block
}

/** What people do in a block; nothing where all do the same. */
export function doingsOf(block: PlanBlock): readonly Doing[] {
  return isWork(block) ? block.people : []
}

/** How many turns somebody takes in a block, over all its waves. */
export function allTurns(
  { waves }: Pick<Work, 'waves'>,
  { turns, every }: Pick<Doing, 'turns' | 'every'>,
): number {
  return every ? turns * waves : turns
}

/** One wave at work. */
export type Turn = {
  readonly startS: number
  readonly set: number
  readonly wave: number
  readonly up: readonly Doing[]
}

/** What somebody is planned to do in a set, from 0: the rung of their climb, then what it leads to. */
export function inSet(doing: Doing, set: number): Doing {
  const rung = doing.climb[set]
  return rung ? onRung(doing, rung) : doing
}

/** Somebody on a rung of their climb, in the same place. */
export function onRung(doing: Doing, rung: Rung): Doing {
  return {
    ...doing,
    ...rung,
    turns: 1,
    tries: 0,
    sideFirst: null,
    sideMore: false,
    helper: null,
    climb: [],
    then: null,
  }
}

/** A block's turns in order: every set goes through the waves in the same order, so that nobody's rest is cut short. */
export function turnsOf({ startS, setupS, sets, waves, workS, gapS, people }: Work): Turn[] {
  return Array.from({ length: sets * waves }, (_, i) => {
    const [set, wave] = [Math.floor(i / waves), i % waves]
    return {
      startS: startS + setupS + i * (workS + gapS),
      set: set + 1,
      wave: wave + 1,
      up: people
        .filter((p) => p.variantId !== null && (p.every || p.wave === wave + 1) && set < p.turns)
        .map((p) => inSet(p, set)),
    }
  })
}
