import { z } from 'zod'
import { RUN_EVENTS } from '../classes/run'
import { OVERRIDE_REASONS } from '../classes/override'
import { REGIONS } from '../screening/regions'
import { stampFields } from './stamp'

/** Everything that can happen on the floor or at a desk and is kept for good, one schema a kind. */
const ID = z.uuid('That link is broken: the id is not one of ours.')
const CODE = z.string().min(1).max(60)
const FAULTS = z.array(CODE).max(12)
const HELP = z.enum(['alone', 'touched', 'carried'])
const TYPED = z.string().max(40).optional()

const scale = (what: string) =>
  z
    .number({ error: `Tap ${what}.` })
    .int()
    .min(0)
    .max(10, `${what}: 0 to 10.`)

/** Tonight's words, as they are asked at the door. */
const checkInWords = z.object({
  pain: scale('how much hurts now'),
  regions: z.array(z.enum(REGIONS)).max(REGIONS.length),
  energy: scale('your energy'),
  arms: scale('your arms'),
  look: z.enum(['watch', 'half', 'whole'], { error: 'Tap how much you want tonight.' }),
  ticked: z.array(z.string().max(40)).max(40),
  touch: z.enum(['no', 'ask', 'yes'], { error: 'Tap whether hands may help.' }),
})

const observation = z.object({
  kind: z.literal('observation'),
  ...stampFields,
  studentId: ID,
  checkId: CODE,
  /** As typed or tapped, in the units that stood on the screen then. */
  typed: z.object({ single: TYPED, left: TYPED, right: TYPED }),
  units: z.enum(['cm', 'in']),
  aided: z.boolean(),
  aid: z.string().trim().max(40, 'The aid: 40 characters at most.'),
  help: HELP,
  arms: z.enum(['fresh', 'spent']).nullable(),
  observer: z.string().trim().max(80, 'Who records: 80 characters at most.'),
  classId: ID.nullable(),
  /** Head stayed clear and elbows stayed in, or the check's own shape kept. */
  valid: z.boolean(),
  watched: z.boolean(),
  faults: FAULTS,
  note: z.string().trim().max(280, 'A note may have 280 characters.'),
  /** Where it hurt, of a report of pain. */
  region: z.enum(REGIONS).nullish(),
  /** Which way out was rehearsed. */
  exitId: CODE.nullish(),
  replaces: ID.nullable(),
})

/** A try at a stage. */
export const attemptFact = z.object({
  kind: z.literal('attempt'),
  ...stampFields,
  studentId: ID,
  stageId: CODE,
  /** What nobody said is stored so, and meets no gate that asks for it (ruling 22). */
  level: z.enum(['took-off', 'hop', 'touched', 'held', 'practised', 'not-said']),
  outcome: z.enum(['clean', 'not-yet', 'stopped']),
  exitControlled: z.boolean(),
  help: z.enum([...HELP.options, 'not-said']),
  /** Null takes the one of the plan, where the class has one. */
  setupId: CODE.nullable(),
  lead: z.enum(['left', 'right']).nullable(),
  /** How long it was held, s. */
  seconds: z.number().min(0).max(900).nullable(),
  faults: FAULTS,
  endedBy: z.enum(['self', 'spent-arms', 'helper', 'setup']).nullable(),
  classId: ID.nullable(),
  replaces: ID.nullable(),
})

export const drillFact = z.object({
  kind: z.literal('drill'),
  ...stampFields,
  studentId: ID,
  drillId: CODE,
  classId: ID.nullable(),
  /** What was done of it, in the drill's own unit. */
  amount: z.number().min(0).max(900).nullable(),
  replaces: ID.nullable(),
})

const placement = z.object({
  kind: z.literal('placement'),
  ...stampFields,
  studentId: ID,
  /** Null takes an earlier placing back. */
  stageId: CODE.nullable(),
})

export const classEventFact = z.object({
  kind: z.literal('class-event'),
  ...stampFields,
  classId: ID,
  event: z.enum(RUN_EVENTS),
  /** Wall time of the device, ms: the timer is told from it across a reload. */
  atMs: z.number().int().positive(),
  blockIndex: z.number().int().min(0).max(60),
})

const attended = z.object({
  kind: z.literal('attended'),
  ...stampFields,
  classId: ID,
  studentId: ID,
  /** Null takes the mark away. */
  mark: z.enum(['here', 'late', 'absent']).nullable(),
})

const checkIn = z.object({
  kind: z.literal('check-in'),
  ...stampFields,
  studentId: ID,
  words: checkInWords,
})

const offer = z.object({
  kind: z.literal('offer'),
  ...stampFields,
  studentId: ID,
  stageId: CODE,
  answer: z.enum(['accept', 'hold-back', 'override']),
  reason: z.enum(OVERRIDE_REASONS).nullable(),
})

/** A version fixed by hand. */
export const lockFact = z.object({
  kind: z.literal('lock'),
  ...stampFields,
  classId: ID,
  studentId: ID,
  part: z.enum(['skill', 'waves']),
  /** Null gives the choice back to the planner. */
  stageId: CODE.nullable(),
  reason: z.enum(OVERRIDE_REASONS).nullable(),
})

const note = z.object({
  kind: z.literal('note'),
  ...stampFields,
  studentId: ID.nullable(),
  classId: ID.nullable(),
  text: z.string().trim().min(1, 'A note needs a word or two.').max(280, 'A note may have 280 characters.'),
})

/** An earlier entry taken back: it stays in the record, without effect. */
const takenBack = z.object({
  kind: z.literal('taken-back'),
  ...stampFields,
  studentId: ID,
  of: z.enum(['observation', 'attempt', 'drill']),
  target: ID,
})

/** Any fact, told apart by its kind. */
export const factSchema = z.discriminatedUnion('kind', [
  observation,
  attemptFact,
  drillFact,
  placement,
  classEventFact,
  attended,
  checkIn,
  offer,
  lockFact,
  note,
  takenBack,
])

/** A fact as a device sends it. */
export type SentFact = z.output<typeof factSchema>
export type FactKind = SentFact['kind']
/** One kind of fact. */
export type FactOf<K extends FactKind> = Extract<SentFact, { kind: K }>

/** Kinds in the order of the union: for tests and tables that must name every one. */
export const FACT_KINDS: readonly FactKind[] = factSchema.options.map((o) => o.shape.kind.value)
