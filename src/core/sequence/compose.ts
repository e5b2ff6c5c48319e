import { fitDose, lessBy } from '../practice/dose'
import { partsOfDose, secondsOfParts } from '../practice/dose-run'
import type { Library } from '../practice/library'
import type { Drill, Load, LoadTag, Stage } from '../practice/schema'
import { changeOn } from '../classes/change'
import type { Capability } from '../readiness/capabilities'
import { ok, refused, type Result } from '../result'
import { around } from './around'
import { isLimited, mayStand, type ForWhom } from './may'
import type { Part, Sequence, SequenceDose, SequenceItem } from './sequence'

/** What a sequence is asked for with. */
export type SequenceAsked = {
  readonly people: readonly ForWhom[]
  readonly minutes: number
  /** What it leads to; null where nothing is before them. */
  readonly towards: Stage | null
  /** The check that it is to move; null where none is missing. */
  readonly moves: string | null
  /** Whether there are enough pieces of a kind for everybody. */
  readonly has: (kind: string) => boolean
}

export type SequenceRefusal = { readonly code: 'nothing-open' }

const STRENGTH = 0.5
/** Strength drills at most; the carrying one comes besides. */
const MOST = 3
/** What tires a joint so much is not followed by the same (drills-and-checks.md E). */
const HARD = 3
/** What shows an action, or stands between two hard ones, tires no joint more than this. */
const EASY = 1
/** A drill that trains something so much leaves this share of what is short of it. */
const LEFT = 0.3
/** Without anything known to be short: push, hollow body, blades. */
const GENERAL: ForWhom['lacks'] = { SP: 0.4, HB: 0.3, SR: 0.3 }
/** Changing from one thing to the next, s. */
const CHANGE_S = 10
/** Where a dose counts no sets, and between them where it names no rest. */
const USUAL_SETS = 2
const REST_S = 30
/** What only shows, or stands between, takes no longer where it need not, s. */
const BETWEEN_S = 75

/**
 * A strength sequence from what people are short of (drills-and-checks.md E): what warms every load to come; a light drill
 * that shows the action; two or three strength drills, hardest while fresh, never two of one joint at the highest fatigue
 * in a row; one that carries it towards the step; the check it should move; counterposes owed, and rest. Everything is
 * open to everybody it is for. Deterministic: ties go by the id.
 */
export function composeSequence(practice: Library, asked: SequenceAsked): Result<Sequence, SequenceRefusal> {
  const { people, minutes, towards } = asked
  const open = practice.drills.filter((d) => mayStand(d, asked))
  const lacks = together(people)
  const room = minutes * 60 * STRENGTH
  const chosen = strongest(open, lacks, (room * MOST) / (MOST + 1), asked)
  if (chosen.length === 0) return refused({ code: 'nothing-open' })
  const rest = open.filter((d) => !chosen.includes(d))
  const carry = towards ? carrying(rest, towards, lacks) : undefined
  // The carrying one has its share of the strength, so that three and that one fit.
  const each = room / (MOST + 1)
  const show = showing(
    rest.filter((d) => d !== carry),
    lacks,
  )
  const worked: SequenceItem[] = [
    ...(show ? [within(dosed('show', show, asked), BETWEEN_S)] : []),
    ...spread(
      chosen,
      rest.filter((d) => d !== carry && d !== show),
    ).map(([part, drill]) =>
      part === 'between' ? within(dosed(part, drill, asked), BETWEEN_S) : filled(drill, part, asked, each),
    ),
    ...(carry ? [filled(carry, 'carry', asked, each)] : []),
  ]
  return ok({
    minutes,
    towards: towards?.id ?? null,
    items: around(practice, asked, worked),
  })
}

/** What else could stand in the place of something that is worked at: the same part, the most alike first. */
export function othersFor(
  practice: Library,
  asked: SequenceAsked,
  { items }: Pick<Sequence, 'items'>,
  at: number,
): string[] {
  const item = items[at]
  const now = practice.drills.find((d) => d.id === item?.id)
  if (!item || !now || item.dose === null) return []
  const alike = (d: Drill): number =>
    Object.entries(now.for).reduce((sum, [c, n]) => sum + Math.min(n, d.for[c as Capability] ?? 0), 0)
  return practice.drills
    .filter((d) => mayStand(d, asked) && !items.some((i) => i.id === d.id) && alike(d) > 0)
    .sort((a, b) => alike(b) - alike(a) || byId(a, b))
    .map((d) => d.id)
}

/** A drill with the dose that everybody it is for may do, as one of a sequence. */
export function dosed(part: Part, drill: Drill, { people }: Pick<SequenceAsked, 'people'>): SequenceItem {
  const dose = people
    .map(({ within, breathS }): SequenceDose => {
      const change = changeOn(drill, within)
      const fitted = fitDose(drill.dose, { breathS, mostSeconds: change?.mostSeconds ?? null })
      const { sets, reps, holdS, perSide, restS } = lessBy(fitted, change?.share ?? 1)
      return { sets, reps, holdS, perSide, restS }
    })
    .reduce(smaller)
  return { part, id: drill.id, dose, seconds: secondsWith(dose) }
}

/** With fewer sets where it would take longer; one at least. */
function within(item: SequenceItem, mostS: number): SequenceItem {
  const { dose } = item
  if (!dose || dose.sets === 1 || item.seconds <= mostS) return item
  const less = { ...dose, sets: dose.sets - 1 }
  return within({ ...item, dose: less, seconds: secondsWith(less) }, mostS)
}

/** The same with so many sets, and a rest between them. */
export function withSets(item: SequenceItem, sets: number): SequenceItem {
  if (!item.dose) return item
  const dose = { ...item.dose, sets, restS: item.dose.restS ?? (sets > 1 ? REST_S : null) }
  return { ...item, dose, seconds: secondsWith(dose) }
}

/** With another set or two where the time has them, the dose does too, and nothing limits anybody in it. */
function filled(drill: Drill, part: Part, asked: SequenceAsked, seconds: number): SequenceItem {
  const item = within(dosed(part, drill, asked), seconds)
  if (isLimited(drill, asked)) return item
  const most = drill.dose.sets?.max ?? USUAL_SETS
  const more = (now: SequenceItem): SequenceItem => {
    if (!now.dose || now.dose.sets >= most) return now
    const next = withSets(now, now.dose.sets + 1)
    return next.seconds > seconds ? now : more(next)
  }
  return more(item)
}

function secondsWith(dose: SequenceDose): number {
  const parts = partsOfDose({ ...dose, breaths: null, cap: null, note: '' })
  return Math.min(1200, Math.max(20, Math.round(secondsOfParts(parts))) + CHANGE_S)
}

function smaller(a: SequenceDose, b: SequenceDose): SequenceDose {
  const least = (x: number | null, y: number | null): number | null =>
    x === null || y === null ? (x ?? y) : Math.min(x, y)
  return {
    sets: Math.min(a.sets, b.sets),
    reps: least(a.reps, b.reps),
    holdS: least(a.holdS, b.holdS),
    perSide: a.perSide || b.perSide,
    restS: a.restS === null || b.restS === null ? (a.restS ?? b.restS) : Math.max(a.restS, b.restS),
  }
}

/** The smaller of two doses of one thing. */
export function leastOf(a: SequenceItem, b: SequenceItem): SequenceItem {
  if (!a.dose || !b.dose) return a
  const dose = smaller(a.dose, b.dose)
  return { ...a, dose, seconds: secondsWith(dose) }
}

type Lacks = Partial<Record<Capability, number>>

function together(people: readonly ForWhom[]): Lacks {
  const all: Lacks = {}
  for (const { lacks } of people)
    for (const [c, share] of Object.entries(Object.keys(lacks).length > 0 ? lacks : GENERAL))
      all[c as Capability] = (all[c as Capability] ?? 0) + share / people.length
  return all
}

function worthOf(drill: Drill, lacks: Lacks): number {
  return Object.entries(lacks).reduce((sum, [c, n]) => sum + n * ((drill.for[c as Capability] ?? 0) / 3), 0)
}

function hardness({ fatigue }: Drill): number {
  return Math.max(0, ...Object.values(fatigue))
}

function byId(a: { readonly id: string }, b: { readonly id: string }): number {
  return a.id < b.id ? -1 : 1
}

/** Strength drills for the largest deficits, one after the other, within the time for them. */
function strongest(open: readonly Drill[], lacks: Lacks, seconds: number, asked: SequenceAsked): Drill[] {
  const left = { ...lacks }
  const taken: Drill[] = []
  const timeOf = (d: Drill): number => within(dosed('strength', d, asked), seconds / MOST).seconds
  let room = seconds
  while (taken.length < MOST) {
    const best = open
      .filter((d) => hardness(d) > EASY && !taken.includes(d) && timeOf(d) <= room)
      .map((drill) => ({ drill, worth: worthOf(drill, left) }))
      .filter(({ worth }) => worth > 0)
      .sort((a, b) => b.worth - a.worth || byId(a.drill, b.drill))[0]
    if (!best) break
    taken.push(best.drill)
    room -= timeOf(best.drill)
    for (const [c, n] of Object.entries(best.drill.for)) {
      const before = left[c as Capability]
      if (before !== undefined) left[c as Capability] = before * (1 - (n / 3) * (1 - LEFT))
    }
  }
  return taken
}

/** Hardest while fresh; where two that tire one joint most would meet, something easy stands between. */
function spread(chosen: readonly Drill[], rest: readonly Drill[]): [Part, Drill][] {
  const order = [...chosen].sort((a, b) => hardness(b) - hardness(a) || byId(a, b))
  const apart = arrangements(order).find((list) => list.every((d, i) => i === 0 || !clash(list[i - 1], d)))
  const easy = rest.filter((d) => hardness(d) <= EASY && d.theme !== 'breath').sort(byId)
  return (apart ?? order).flatMap((drill, i, list): [Part, Drill][] => {
    if (!clash(list[i - 1], drill)) return [['strength', drill]]
    const between = easy.find((d) => !sharesJoint(d, drill)) ?? easy[0]
    if (between) easy.splice(easy.indexOf(between), 1)
    return between
      ? [
          ['between', between],
          ['strength', drill],
        ]
      : []
  })
}

function arrangements<T>(list: readonly T[]): T[][] {
  if (list.length < 2) return [[...list]]
  return list.flatMap((one, i) => arrangements(list.filter((_, j) => j !== i)).map((more) => [one, ...more]))
}

/** Whether two drills tire one joint as much as anything does. */
export function clash(a: Pick<Drill, 'fatigue'> | undefined, b: Pick<Drill, 'fatigue'>): boolean {
  if (!a) return false
  return Object.entries(b.fatigue).some(([joint, n]) => n >= HARD && (a.fatigue[joint] ?? 0) >= HARD)
}

function sharesJoint(a: Drill, b: Drill): boolean {
  return Object.keys(a.fatigue).some((joint) => b.fatigue[joint] !== undefined)
}

/** A light drill that shows what is wanted of the largest deficit. */
function showing(rest: readonly Drill[], lacks: Lacks): Drill | undefined {
  const light = ({ FB = 0, WB = 0, HB = 0, HBH = 0, NF = 0 }: Load): boolean =>
    Math.max(FB, WB, HB, HBH, NF) <= 1
  return rest
    .filter((d) => hardness(d) <= EASY && light(d.load) && worthOf(d, lacks) > 0)
    .sort((a, b) => worthOf(b, lacks) - worthOf(a, lacks) || a.minutes - b.minutes || byId(a, b))[0]
}

const SHAPE: readonly LoadTag[] = ['FB', 'WB', 'HBH', 'SF', 'HB', 'NF']

/** What brings it towards the step's own shape: on the same limbs, no load of it greater than there. */
function carrying(rest: readonly Drill[], { load }: Stage, lacks: Lacks): Drill | undefined {
  const shared = (d: Drill): number =>
    SHAPE.reduce((sum, tag) => sum + ((load[tag] ?? 0) > 0 ? (d.load[tag] ?? 0) : 0), 0)
  const less = (d: Drill): boolean => SHAPE.every((tag) => (d.load[tag] ?? 0) <= (load[tag] ?? 0))
  return rest
    .filter((d) => less(d) && shared(d) > 0 && hardness(d) < HARD)
    .sort((a, b) => shared(b) - shared(a) || worthOf(b, lacks) - worthOf(a, lacks) || byId(a, b))[0]
}
