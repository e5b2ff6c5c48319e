import { answersTo, namesIn } from '../practice/after'
import { callsFor, isTry } from '../practice/ask'
import { holdSeconds, leastSeconds, TEMPO_S } from '../practice/dose'
import type { Library } from '../practice/library'
import type { Dose, Drill, Family, Load, PracticeBlock, SetupEntry, Stage } from '../practice/schema'
import { COUNTED_KINDS } from '../props/stock'
import type { Capability } from '../readiness/capabilities'

/** Joints that work tires, in the order of a variant's `tires`. */
const TIRED = ['shoulder', 'elbow', 'wrist', 'trunk', 'neck', 'hip', 'leg'] as const

/** Something that may be taught in a block: a stage, a drill or a counterpose to rest in, with all that planning asks of it. */
export type Variant = {
  readonly id: string
  readonly kind: 'stage' | 'drill' | 'rest'
  readonly family: Family | null
  readonly load: Load
  readonly setupId: string | null
  readonly stands: SetupEntry['stands']
  readonly widthCm: number
  /** Stands all block long: its props and its place are nobody else's meanwhile. */
  readonly rig: boolean
  /** Built once, entered once and left once: its dose is minutes (ruling 24). */
  readonly stays: boolean
  readonly bill: readonly { readonly kind: string; readonly count: number }[]
  /** Watch points while somebody is up (class-craft.md 6). */
  readonly points: number
  /** Attempts in one turn; 0 where nothing is tried. */
  readonly tries: number
  /** Attempts in a class. */
  readonly cap: number
  readonly kick: boolean
  /** One hold or repetition, s; `reps` of them in a turn. */
  readonly dose: Dose
  readonly sides: boolean
  /** Only with a trained helper. */
  readonly helped: boolean
  /** Assists that hands give here. */
  readonly assists: readonly string[]
  /** By `TIRED`, 0 to 3. */
  readonly tires: readonly number[]
  readonly trains: Partial<Record<Capability, number>>
  /** Warm-ups that its loads call for, and counterposes they owe, as bits in the practice's order. */
  readonly warm: number
  readonly owes: number
  /** Stages that it follows on directly. */
  readonly follows: readonly string[]
  /** So light that it needs hardly an eye. */
  readonly gentle: boolean
  readonly justBefore: boolean
}

/** A hold that usually lasts so long is stayed in through a whole block, s. */
const STAYS_S = 120

/** Width of a straight line at the wall, cm (class-craft.md 8). */
const BAY_CM = 120

/** Repetitions in one turn of tries (class-craft.md 4: two or three a set). */
const TRIES_A_TURN = 3

/** Every stage, drill and shape to rest in as something to teach; worked out once for a practice. */
export function variantsOf(practice: Library): readonly Variant[] {
  const known = made.get(practice)
  if (known) return known
  const variants = [
    ...practice.stages.map((s) => stageVariant(practice, s)),
    // Hips for lotus are nobody's strength: what opens them belongs to its own preparation.
    ...practice.drills.filter((d) => d.theme !== 'lotus').map((d) => drillVariant(practice, d)),
    ...practice.counterposes.map((c) => restVariant(practice, c)),
  ]
  made.set(practice, variants)
  return variants
}

const made = new WeakMap<Library, readonly Variant[]>()

function stageVariant(practice: Library, stage: Stage): Variant {
  const { load, dose, setups } = stage
  return {
    ...base(practice, setups[0] ?? null, load, dose, { id: stage.id, load }),
    stays: isStay(practice, stage),
    follows: practice.stages
      .filter((s) => namesIn(stage.after).some((name) => answersTo(s.id, name)))
      .map((s) => s.id),
    id: stage.id,
    kind: 'stage',
    family: stage.family,
    cap: dose.cap?.value ?? Infinity,
    helped: stage.helped,
    assists: practice.assists.filter((a) => a.touch && stage.assists.includes(a.id)).map((a) => a.id),
    tires: tiresOf(load),
    trains: trainedBy(practice, stage),
    justBefore: false,
  }
}

/** What is supported and stayed in: by a platform, a chair, a wall; counted by time and not by repetitions. */
function isStay({ setups: all }: Library, { family, dose, setups }: Stage): boolean {
  if (family !== 'SH' || dose.reps) return false
  return dose.seconds !== undefined || all.find((s) => s.id === setups[0])?.rig === true
}

function drillVariant(practice: Library, drill: Drill): Variant {
  const { load, dose, setups } = drill
  const fits = (kind: string): boolean => drill.props.includes(kind)
  const own = base(practice, setups[0] ?? null, load, dose, { id: drill.id, load })
  const bill =
    setups.length > 0
      ? own.bill
      : COUNTED_KINDS.filter((kind) => fits(kind)).map((kind) => ({ kind, count: 1 }))
  return {
    ...own,
    bill,
    stands: own.stands === 'mat' && fits('wall') ? 'wall' : own.stands,
    id: drill.id,
    kind: 'drill',
    family: null,
    cap: dose.cap?.value ?? Infinity,
    helped: false,
    assists: [],
    tires: TIRED.map((joint) => drill.fatigue[joint] ?? 0),
    trains: drill.for,
    justBefore: drill.notJustBeforeAttempts,
  }
}

function restVariant(practice: Library, { id, load, minutes, props }: PracticeBlock): Variant {
  const seconds = Math.round(minutes * 60)
  const dose: Dose = { seconds: { value: seconds, min: Math.min(60, seconds), max: 600 }, perSide: false }
  return {
    // What is rested in needs no warming up, whatever it asks of knees or back.
    ...base(practice, null, load, dose, { id, load: {} }),
    ...{
      id,
      kind: 'rest',
      family: null,
      cap: Infinity,
      helped: false,
      assists: [],
      trains: {},
      justBefore: false,
    },
    bill: props.map((kind) => ({ kind, count: 1 })),
    tires: TIRED.map(() => 0),
  }
}

function base(
  practice: Library,
  setupId: string | null,
  load: Load,
  dose: Dose,
  asks: { readonly id: string; readonly load: Load },
) {
  const setup = practice.setups.find((s) => s.id === setupId)
  const points = pointsOf(load)
  return {
    load,
    dose,
    setupId,
    stands: setup?.stands ?? 'mat',
    widthCm: setup?.widthCm ?? BAY_CM,
    // What is stayed in for minutes is nobody else's meanwhile either.
    rig: (setup?.rig ?? false) || (dose.seconds?.value ?? 0) >= STAYS_S,
    stays: false,
    follows: [],
    bill: (setup?.bill ?? [])
      .filter((line) => !line.optional && (COUNTED_KINDS as readonly string[]).includes(line.prop))
      .map((line) => ({ kind: line.prop, count: line.count })),
    points,
    gentle: points <= LIGHT_POINTS,
    tries: triesOf(load, dose),
    kick: (load.FR ?? 0) >= 3,
    sides: dose.perSide,
    warm: bits(practice.warmups.map((block) => callsFor(asks, block))),
    owes: bits(practice.counterposes.map((block) => callsFor(asks, block))),
  }
}

function bits(set: readonly boolean[]): number {
  return set.reduce((mask, on, i) => (on ? mask | (1 << i) : mask), 0)
}

/** Watch points of somebody at light work, waiting or resting. */
export const LIGHT_POINTS = 0.3

/** How much of an eye it takes (class-craft.md 6); a first kick counts 4 for whom it is one. */
function pointsOf({ FR = 0, HB = 0, WB = 0, FB = 0, NF = 0, HBH = 0, AC = 0 }: Load): number {
  if (FR >= 3) return 2
  if (FR >= 2 || HB >= 2 || (WB >= 2 && AC >= 2)) return 1.5
  return WB >= 2 || FB >= 2 || NF >= 2 || HB >= 1 || HBH >= 2 ? 1 : LIGHT_POINTS
}

/** Attempts in one turn. */
function triesOf(load: Load, { reps, perSide }: Dose): number {
  if (!isTry(load)) return 0
  const once = Math.min(reps?.value ?? 1, TRIES_A_TURN)
  return perSide ? 2 * Math.ceil(once / 2) : once
}

/** What a stage tires: the girdle by what the arms carry, wrists by the hands, and so on. */
function tiresOf({ FB = 0, WB = 0, HB = 0, NF = 0, FR = 0, ST = 0 }: Load): number[] {
  const arms = Math.max(FB, WB)
  const by: Partial<Record<(typeof TIRED)[number], number>> = {
    shoulder: arms,
    elbow: arms >= 3 ? 2 : Math.min(arms, 1),
    wrist: WB,
    trunk: FR >= 2 || ST >= 3 ? 2 : Math.min(arms, 1),
    neck: Math.max(HB, NF >= 2 ? NF - 1 : 0),
  }
  return TIRED.map((joint) => by[joint] ?? 0)
}

/** What a stage trains: what the checks of the next ones ask, read from its own gates, and its own arms. */
function trainedBy({ capabilities }: Library, { gates, load }: Stage): Partial<Record<Capability, number>> {
  const found: Partial<Record<Capability, number>> = {}
  for (const { id, checks } of capabilities) if (gates.some((g) => checks.includes(g.check))) found[id] = 2
  if (Math.max(load.FB ?? 0, load.WB ?? 0) >= 2) found.SP = Math.max(found.SP ?? 0, 2)
  return found
}

/** Whose turn it is, and how long it lasts. */
type ByTurn = {
  readonly breathS: number
  readonly mostSeconds: number | null
  readonly grownS: number
  /** What a limit leaves of the repetitions. */
  readonly share: number
  readonly workS: number
  /** A side is behind, and nothing limits what is done: it is done once more where the turn leaves the others whole. */
  readonly more: boolean
}

/** One turn of something: a hold, how many of them on each side, and whether one side is done once more. */
export type Turn = { readonly holdS: number | null; readonly reps: number; readonly sideMore: boolean }

/** One turn of it for somebody, both sides in it; one of them twice where that leaves each at least its least dose. */
export function turnOf(variant: Pick<Variant, 'dose' | 'sides' | 'tries' | 'stays'>, by: ByTurn): Turn {
  const { sides, tries, dose } = variant
  const usual = inSides(variant, by, sides ? 2 : 1)
  // What is built and entered is entered once, however short it is.
  if (variant.stays) return { ...usual, reps: 1, sideMore: false }
  if (!by.more || !sides || tries > 0) return { ...usual, sideMore: false }
  const thrice = inSides(variant, by, 3)
  const holds = thrice.holdS === usual.holdS || (thrice.holdS ?? 0) >= Math.max(1, leastSeconds(dose))
  const counts = thrice.reps === usual.reps || thrice.reps >= (dose.reps?.min ?? Infinity)
  return holds && counts ? { ...thrice, sideMore: true } : { ...usual, sideMore: false }
}

/** Tries as they are counted, one hold, or what the dose counts, with so many sides within the turn. */
function inSides(
  { dose, sides, tries }: Pick<Variant, 'dose' | 'sides' | 'tries'>,
  { breathS, mostSeconds, grownS, share, workS }: ByTurn,
  times: number,
): Omit<Turn, 'sideMore'> {
  const holdS = holdIn(
    dose,
    { breathS, mostSeconds, grownS },
    Math.floor(workS / (tries > 0 ? tries : times)),
  )
  if (tries > 0) return { holdS, reps: sides ? tries / 2 : tries }
  // What is repeated on one side without a rest between is one effort: a limit of seconds is one of all of it (ruling 25).
  const effortS = Math.min(workS / times, mostSeconds ?? Infinity)
  const room = Math.floor(effortS / (holdS ?? TEMPO_S))
  // Short holds are repeated within the turn: as often as a dose counts them, or until they are one of half a minute.
  const short = holdS !== null && holdS < SHORT_S
  const asked = repeated(dose) ?? (short ? Math.max(dose.sets?.value ?? 1, Math.floor(EFFORT_S / holdS)) : 1)
  return { holdS, reps: Math.max(1, Math.floor(Math.min(asked, room) * share)) }
}

function holdIn(
  dose: Dose,
  by: Pick<ByTurn, 'breathS' | 'mostSeconds' | 'grownS'>,
  roomS: number,
): number | null {
  if (!dose.seconds && !dose.breaths) return null
  const hold = Math.max(holdSeconds(dose, by.breathS), by.grownS)
  return Math.max(1, Math.floor(Math.min(hold, by.mostSeconds ?? hold, roomS)))
}

/** A hold shorter than this is repeated within a turn, s. */
const SHORT_S = 20

/** Repetitions of a turn: what the dose says, or as many of its range as make half a minute of work. */
function repeated({ reps, seconds, breaths }: Dose): number | null {
  if (!reps) return null
  if (seconds || breaths) return reps.value
  return Math.max(reps.value, Math.min(reps.max, Math.floor(EFFORT_S / TEMPO_S)))
}

/** One effort of short holds, s. */
const EFFORT_S = 30

/** Seconds at work in one turn. */
export function workSeconds({ sides }: Pick<Variant, 'sides'>, { holdS, reps, sideMore }: Turn): number {
  return (holdS ?? TEMPO_S) * reps * (sides ? (sideMore ? 3 : 2) : 1)
}
