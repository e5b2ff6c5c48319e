import type { Library } from '../practice/library'
import { findById } from '../practice/library'
import type { Drill } from '../practice/schema'
import type { Caps } from '../screening/caps'
import type { GateResult } from './gate'

/** A drill with its dose for this person, what it is for, and the steps either side of it. */
export type Prescribed = {
  readonly drillId: string
  readonly minutes: number
  /** Of the usual dose, from the measured level: a gate at half its threshold is drilled at half. */
  readonly doseShare: number
  readonly covers: readonly string[]
  readonly easier: string | null
  readonly harder: string | null
}

/** Which capabilities a check leans on, by the words of drills-and-checks.md B: the drills that train them cover it. */
const TRAINS: Readonly<Record<string, readonly (keyof Drill['for'])[]>> = {
  'CK-dolphin-hold': ['SP'],
  'CK-head-clear': ['SP'],
  'CK-elbow-drift': ['SR'],
  'CK-leg-lift-forearm': ['SP', 'HH'],
  'CK-forearm-overhead': ['SF'],
  'CK-forearm-plank': ['SP', 'HB'],
  'CK-pelvic-set': ['HB'],
  'CK-kick-height': ['KD'],
  'CK-plank-hold': ['SP', 'HB'],
  'CK-short-dog': ['SP', 'HH'],
  'CK-leg-lift-hands': ['SP', 'HH'],
  'CK-hollow': ['HB'],
  'CK-reverse-curl': ['CC'],
  'CK-backs-reach': ['SR'],
  'CK-shoulder-flexion': ['SF'],
  'CK-heel-lift': ['CC', 'WS'],
  'CK-squat': ['HR'],
}
/** A drill that trains a capability less than this hardly covers it. */
const COVERS_FROM = 2
const LEAST_SHARE = 0.4

/**
 * The fewest drills that cover what is missing, within minutes and props and without a load that limits close: each step
 * takes the drill that covers most of what is left for its minutes. Deterministic: ties go by the drill’s id.
 */
export function prescribe(
  practice: Library,
  missing: readonly GateResult[],
  given: {
    readonly minutes: number
    readonly caps: Pick<Caps, 'caps'>
    /** Kinds of props at hand; a drill that needs another is not taken. */
    readonly props?: ReadonlySet<string>
    /** Drills done last time: taken only where nothing else covers. */
    readonly recent?: ReadonlySet<string>
  },
): Prescribed[] {
  const wanted = new Map(missing.map((m) => [m.gate.check, m]))
  const left = new Set(wanted.keys())
  const taken: Prescribed[] = []
  let minutes = given.minutes
  while (left.size > 0) {
    const best = practice.drills
      .filter((d) => d.minutes <= minutes && isAllowed(d, given) && !taken.some((t) => t.drillId === d.id))
      .map((d) => ({ drill: d, covers: [...left].filter((check) => covers(d, check)) }))
      .filter(({ covers: c }) => c.length > 0)
      .map((c) => ({
        ...c,
        worth: c.covers.length / c.drill.minutes - (given.recent?.has(c.drill.id) ? 10 : 0),
      }))
      .toSorted((a, b) => b.worth - a.worth || (a.drill.id < b.drill.id ? -1 : 1))[0]
    if (!best) break
    for (const check of best.covers) left.delete(check)
    minutes -= best.drill.minutes
    taken.push({
      drillId: best.drill.id,
      minutes: best.drill.minutes,
      doseShare: Math.min(...best.covers.map((check) => shareOf(wanted.get(check)))),
      covers: best.covers,
      easier: best.drill.easier ?? null,
      harder: best.drill.harder ?? null,
    })
  }
  return taken
}

/** Whether a drill trains what a check asks for. */
export function covers(drill: Drill, checkId: string): boolean {
  return (TRAINS[checkId] ?? []).some((capability) => (drill.for[capability] ?? 0) >= COVERS_FROM)
}

function isAllowed(drill: Drill, { caps, props }: Parameters<typeof prescribe>[2]): boolean {
  const closed = caps.caps.some(
    (c) => (c.action === 'stop' || c.action === 'avoid') && (drill.load[c.tag] ?? 0) >= c.level,
  )
  return !closed && (props === undefined || drill.props.every((p) => props.has(p)))
}

function shareOf(result: GateResult | undefined): number {
  const { gate, value } = result ?? {}
  if (!gate || value === null || value === undefined || gate.op !== '>=' || !gate.value) return LEAST_SHARE
  return Math.max(LEAST_SHARE, Math.min(1, value / gate.value))
}

/** A check’s words for a prescription. */
export function checkName(practice: Library, checkId: string): string {
  return findById(practice.checks, checkId).name
}
