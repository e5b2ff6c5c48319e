import type { Library } from '../practice/library'
import { findById } from '../practice/find'
import type { Drill } from '../practice/schema'
import { closes, type Limits } from '../screening/caps'
import { checksOf, COVERS_FROM, type Capability } from './capabilities'
import type { GateResult } from './gate'
import type { SideGap } from './sides'

/** A drill with its dose for this person, what it is for, and the steps either side of it. */
export type Prescribed = {
  readonly drillId: string
  readonly minutes: number
  /** Of the usual dose, from the measured level: a gate at half its threshold is drilled at half. */
  readonly doseShare: number
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

type Given = {
  readonly minutes: number
  readonly caps: Limits
  /** Kinds of props at hand; a drill that needs another is not taken. */
  readonly props?: ReadonlySet<string>
  /** Drills done last time: taken only where nothing else covers. */
  readonly recent?: ReadonlySet<string>
  /** Joints that carried hard work lately: what tires them most is taken only where nothing else covers. */
  readonly loaded?: ReadonlySet<string>
}

const LEAST_SHARE = 0.4

/** So tiring for a joint that it had better rest when it worked hard lately (0–3). */
const TIRES_FROM = 3

/**
 * The fewest drills that cover what is to be mended, within minutes and props and without a load that limits close: each
 * step takes the drill that covers most of what is left for its minutes. In the order in which they go together, those
 * that should not come just before attempts last. Deterministic: ties go by the drill’s id.
 */
export function prescribe(
  practice: Library,
  { missing, faults = [], sides = [] }: Deficits,
  given: Given,
): Prescribed[] {
  const results = new Map(missing.map((m) => [m.gate.check, m]))
  const weaker = new Map(sides.map((s) => [s.checkId, s.weaker]))
  const left = new Set([...results.keys(), ...weaker.keys(), ...faults])
  const taken: Prescribed[] = []
  let minutes = given.minutes
  while (left.size > 0) {
    const best = practice.drills
      .filter((d) => d.minutes <= minutes && isAllowed(d, given) && !taken.some((t) => t.drillId === d.id))
      .map((d) => ({ drill: d, covers: [...left].filter((need) => covers(practice, d, need)) }))
      .filter(({ covers: c }) => c.length > 0)
      .map((c) => ({ ...c, worth: c.covers.length / c.drill.minutes - (isTooSoon(c.drill, given) ? 10 : 0) }))
      .toSorted((a, b) => b.worth - a.worth || (a.drill.id < b.drill.id ? -1 : 1))[0]
    if (!best) break
    for (const need of best.covers) left.delete(need)
    minutes -= best.drill.minutes
    const shares = best.covers.flatMap((need) => {
      const result = results.get(need)
      return result ? [shareOf(result)] : []
    })
    taken.push({
      drillId: best.drill.id,
      minutes: best.drill.minutes,
      doseShare: shares.length === 0 ? 1 : Math.min(...shares),
      covers: best.covers,
      weaker: best.covers.flatMap((need) => weaker.get(need) ?? [])[0] ?? null,
      easier: best.drill.easier ?? null,
      harder: best.drill.harder ?? null,
    })
  }
  return inOrder(practice, taken)
}

/** Whether a drill trains what a check asks for, or mends a fault. */
export function covers(practice: Library, drill: Drill, need: string): boolean {
  const fault = practice.faults.find((f) => f.id === need)
  if (fault) return fault.drills.includes(drill.id)
  return Object.entries(drill.for).some(
    ([capability, weight]) => weight >= COVERS_FROM && checksOf(capability as Capability).includes(need),
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

function isAllowed(drill: Drill, { caps, props }: Given): boolean {
  return !closes(caps, drill.load) && (props === undefined || drill.props.every((p) => props.has(p)))
}

function shareOf({ gate, value }: GateResult): number {
  if (value === null || gate.op !== '>=' || !gate.value) return LEAST_SHARE
  return Math.max(LEAST_SHARE, Math.min(1, value / gate.value))
}

/** The words for what a prescription is for: a check, or a fault. */
export function needName(practice: Library, need: string): string {
  const fault = practice.faults.find((f) => f.id === need)
  return fault ? `“${fault.name.toLowerCase()}”` : findById(practice.checks, need).name.toLowerCase()
}
