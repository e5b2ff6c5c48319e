import type { Library } from '../practice/library'
import { findById } from '../practice/find'
import { fitDose, lessBy, type FittedDose } from '../practice/dose'
import type { Drill } from '../practice/schema'
import { changeOn, type Change } from '../classes/change'
import { checksOf, COVERS_FROM, type Capability } from './capabilities'
import type { GateResult } from './gate'
import type { SideGap } from './sides'
import { staysWithin, type Within } from './within'

/** A drill with its dose for this person, what it is for, and the steps either side of it. */
export type Prescribed = {
  readonly drillId: string
  readonly minutes: number
  /** The drill's own dose, fitted: measured level, own breath, tired or not, what limits leave. */
  readonly dose: FittedDose
  /** What limits change about it, beyond the dose; null where they leave it as it is. */
  readonly change: Change | null
  /** Checks and faults that it is for. */
  readonly covers: readonly string[]
  /** The side to begin with and to give one set more, where one is behind. */
  readonly weaker: 'left' | 'right' | null
  readonly easier: string | null
  readonly harder: string | null
}

/** What is to be mended: gates that are not met, faults seen lately, sides that differ. */
export type Deficits = {
  readonly missing: readonly GateResult[]
  readonly faults?: readonly string[]
  readonly sides?: readonly Pick<SideGap, 'checkId' | 'weaker'>[]
}

export type Given = {
  readonly minutes: number
  readonly within: Within
  /** Own breath, s. */
  readonly breathS: number
  /** Little energy tonight: drills at half their dose (rule EN1). */
  readonly tired: boolean
  /** Kinds of props at hand; a drill that needs another is not taken. */
  readonly props?: ReadonlySet<string>
  /** Drills done last time: taken only where nothing else covers. */
  readonly recent?: ReadonlySet<string>
  /** Joints that carried hard work lately: what tires them most is taken only where nothing else covers. */
  readonly loaded?: ReadonlySet<string>
}

const LEAST_SHARE = 0.4

/** Kinds of checks that measure how far something goes. */
const RANGES: ReadonlySet<string> = new Set(['length', 'angle'])

/** So tiring for a joint that it had better rest when it worked hard lately (0–3). */
const TIRES_FROM = 3

/**
 * Drills for what is to be mended: for a check the first drills that the practice names when its capability is short, in
 * their order, for a fault its own; where none of those may be done, another that trains the same. Each step takes what
 * trains most of what is missing most, within minutes and props, nothing that loads more than the person stands on or a
 * limit leaves. A number that is reached and only wants its days needs no drill. Deterministic: ties go by the drill’s id.
 */
export function prescribe(
  practice: Library,
  { missing, faults = [], sides = [] }: Deficits,
  given: Given,
): Prescribed[] {
  const short = missing.filter((m) => m.state !== 'confirm' && m.state !== 'met')
  const results = new Map(short.map((m) => [m.gate.check, m]))
  const weaker = new Map(sides.map((s) => [s.checkId, s.weaker]))
  const taken: Prescribed[] = []
  let minutes = given.minutes
  const allowed = practice.drills.filter((d) => mayDo(d, given))
  // A side that is behind is a need of its own where some drill is done side by side: no other evens it out.
  const uneven = [...weaker.keys()].filter((need) =>
    allowed.some((d) => isSided(d) && covers(practice, d, need)),
  )
  const evened = new Set([...weaker.keys()].filter((need) => !uneven.includes(need)))
  const left = new Set([...results.keys(), ...evened, ...faults])
  const behind = new Set(uneven)
  const worthOf = (drill: Drill): { covers: string[]; evens: string[]; worth: number } => {
    const worths = [...left].map((need) => ({
      need,
      worth: trains(practice, drill, need, allowed) * shortOf(results.get(need)),
    }))
    const covered = worths.filter(({ worth }) => worth > 0)
    const evens = isSided(drill) ? [...behind].filter((need) => covers(practice, drill, need)) : []
    return {
      covers: [...new Set([...covered.map(({ need }) => need), ...evens])],
      evens,
      worth:
        covered.reduce((sum, { worth }) => sum + worth, 0) +
        evens.reduce((sum, need) => sum + NAMED_WORTH * shortOf(results.get(need)), 0) -
        (isTooSoon(drill, given) ? 100 : 0),
    }
  }
  while (left.size + behind.size > 0) {
    const best = allowed
      .filter((d) => d.minutes <= minutes && !taken.some((t) => t.drillId === d.id))
      .map((drill) => ({ drill, ...worthOf(drill) }))
      .filter(({ covers: c }) => c.length > 0)
      .toSorted((a, b) => b.worth - a.worth || (a.drill.id < b.drill.id ? -1 : 1))[0]
    if (!best) break
    const { drill } = best
    for (const need of best.covers) left.delete(need)
    for (const need of best.evens) behind.delete(need)
    minutes -= drill.minutes
    const shares = best.covers.flatMap((need) => shareOf(practice, results.get(need)) ?? [])
    const change = changeOn(drill, given.within)
    const fitted = fitDose(drill.dose, {
      breathS: given.breathS,
      share: Math.min(1, ...shares, given.tired ? TIRED_SHARE : 1),
      mostSeconds: change?.mostSeconds ?? null,
    })
    taken.push({
      drillId: drill.id,
      minutes: drill.minutes,
      dose: lessBy(fitted, change?.share ?? 1),
      change,
      covers: best.covers,
      weaker: isSided(drill) ? (best.covers.flatMap((need) => weaker.get(need) ?? [])[0] ?? null) : null,
      easier: drill.easier ?? null,
      harder: drill.harder ?? null,
    })
  }
  return inOrder(practice, taken)
}

/** Little energy: half of everything. */
const TIRED_SHARE = 0.5
/** The first of the drills named is worth this much, each later one a little less; a drill that is not named the least. */
const NAMED_WORTH = 10
const UNNAMED_WORTH = 1

/** How well a drill serves a need: by its place among those that the practice names, 0 where it does not serve. */
function trains(practice: Library, drill: Drill, need: string, allowed: readonly Drill[]): number {
  const named = namedFor(practice, need)
  const place = named.indexOf(drill.id)
  if (place >= 0) return Math.max(UNNAMED_WORTH + 1, NAMED_WORTH - place)
  if (allowed.some((d) => named.includes(d.id))) return 0
  return covers(practice, drill, need) ? UNNAMED_WORTH : 0
}

/** The first drills that the practice names for a check or a fault. */
function namedFor(practice: Library, need: string): readonly string[] {
  const fault = practice.faults.find((f) => f.id === need)
  if (fault) return fault.drills
  const own = practice.checks.find((c) => c.id === need)?.drills ?? []
  return [...own, ...practice.capabilities.filter((c) => c.checks.includes(need)).flatMap((c) => c.drills)]
}

/** How much is missing: 1 where all of it is, or where it is not measured by how much. */
function shortOf(result: GateResult | undefined): number {
  if (!result || result.value === null || result.gate.op !== '>=' || !result.gate.value) return 1
  return Math.min(1, Math.max(0.1, 1 - result.value / result.gate.value))
}

/** Whether a drill trains what a check asks for, or mends a fault. */
export function covers(practice: Library, drill: Drill, need: string): boolean {
  const fault = practice.faults.find((f) => f.id === need)
  if (fault) return fault.drills.includes(drill.id)
  if (namedFor(practice, need).includes(drill.id)) return true
  return Object.entries(drill.for).some(
    ([capability, weight]) =>
      weight >= COVERS_FROM && checksOf(practice, capability as Capability).includes(need),
  )
}

function isTooSoon(drill: Drill, { recent, loaded }: Given): boolean {
  const tires = Object.entries(drill.fatigue).some(([joint, n]) => n >= TIRES_FROM && loaded?.has(joint))
  return tires || (recent?.has(drill.id) ?? false)
}

/** What must come before goes before; what should not come just before attempts goes last. */
function inOrder(practice: Library, taken: readonly Prescribed[]): Prescribed[] {
  const drill = (id: string): Drill => findById(practice.drills, id)
  const waiting = taken.toSorted(
    (a, b) => Number(drill(a.drillId).notJustBeforeAttempts) - Number(drill(b.drillId).notJustBeforeAttempts),
  )
  const ordered: Prescribed[] = []
  while (waiting.length > 0) {
    const free = waiting.findIndex((p) =>
      waiting.every(
        (o) => !drill(p.drillId).after.includes(o.drillId) && !drill(o.drillId).before.includes(p.drillId),
      ),
    )
    // A circle in the data would leave nobody free: then the order stays as it came.
    ordered.push(...waiting.splice(Math.max(0, free), 1))
  }
  return ordered
}

/** Done side by side: one of them can be given more. */
function isSided({ dose, sides }: Drill): boolean {
  return dose.perSide || /altern|side/.test(sides)
}

function mayDo(drill: Drill, { within, props }: Given): boolean {
  return staysWithin(drill, within) && (props === undefined || drill.props.every((p) => props.has(p)))
}

/**
 * The share of a dose that a measured level allows; nothing where it is not measured by how much. A range that is short
 * is opened by the whole dose: less of it moves nothing.
 */
function shareOf(practice: Library, result: GateResult | undefined): number | undefined {
  if (!result) return undefined
  const { gate, value } = result
  if (value !== null && RANGES.has(findById(practice.checks, gate.check).kind)) return 1
  if (value === null || gate.op !== '>=' || !gate.value) return LEAST_SHARE
  return Math.max(LEAST_SHARE, Math.min(1, value / gate.value))
}

/** The words for what a prescription is for: a check, or a fault. */
export function needName(practice: Library, need: string): string {
  const fault = practice.faults.find((f) => f.id === need)
  return fault ? `“${fault.name.toLowerCase()}”` : findById(practice.checks, need).name.toLowerCase()
}
