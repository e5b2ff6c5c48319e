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

/** Which checks tell on which capability (drills-and-checks.md B.8); head clearance is read from the dolphin hold. */
const TELLS: Partial<Readonly<Record<keyof Drill['for'], readonly string[]>>> = {
  WS: ['CK-heel-lift', 'CK-fingertip-lift', 'CK-crow-hold'],
  WE: ['CK-wrist-extension'],
  SP: [
    'CK-dolphin-hold',
    'CK-head-clear',
    'CK-dolphin-rock',
    'CK-short-dog',
    'CK-l-hold',
    'CK-leg-lift-forearm',
    'CK-leg-lift-hands',
  ],
  SF: ['CK-shoulder-flexion', 'CK-forearm-overhead', 'CK-strap-width'],
  SR: ['CK-prone-press', 'CK-backs-reach', 'CK-elbow-drift'],
  UB: ['CK-upper-back'],
  BT: ['CK-elbow-press', 'CK-pushup-knees', 'CK-low-pushup-hold'],
  CC: ['CK-reverse-curl', 'CK-lolasana', 'CK-tuck-hold'],
  HB: ['CK-hollow', 'CK-pelvic-set', 'CK-plank-hold', 'CK-forearm-plank'],
  HH: ['CK-walk-in', 'CK-forward-fold', 'CK-squat'],
  HX: ['CK-lolasana', 'CK-reverse-curl'],
  NK: [
    'CK-neck-range',
    'CK-neck-isometric',
    'CK-light-head-load',
    'CK-head-hover',
    'CK-neck-flexion',
    'CK-neck-rotation',
  ],
  BC: ['CK-offwall', 'CK-one-toe-crow', 'CK-wall-hold'],
  KD: ['CK-kick-height', 'CK-hips-over', 'CK-both-leads'],
  CF: ['CK-exit-rehearsed', 'CK-slow-exit'],
  HR: ['CK-lotus-hips', 'CK-lotus-curl'],
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
  return Object.entries(drill.for).some(
    ([capability, weight]) =>
      weight >= COVERS_FROM && (TELLS[capability as keyof Drill['for']] ?? []).includes(checkId),
  )
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
