import type { Day } from '../day'
import { foldFacts } from '../facts/order'
import type { Region } from '../screening/regions'

/** Result of a check: a single value, or one a side. Yes is 1 and no is 0. */
export type Values = { readonly single?: number; readonly left?: number; readonly right?: number }

/** A result as one number: its own, or that of the weaker side. */
export function weakerValue({ single, left = 0, right = 0 }: Values, lessIsBetter: boolean): number {
  return single ?? (lessIsBetter ? Math.max(left, right) : Math.min(left, right))
}

/** What every stored fact carries; see docs/architecture.md on append-only facts. */
export type Fact = {
  readonly id: string
  readonly studentId: string
  readonly day: Day
  /** Hybrid logical clock: orders facts whatever the devices' clocks say. */
  readonly hlc: string
  /** The fact that this one corrects, if any. */
  readonly replaces: string | null
}

export type Observation = Fact & {
  readonly kind: 'observation'
  readonly checkId: string
  /** The stage whose try showed it; absent where the check itself was done. */
  readonly stageId?: string
  readonly values: Values
  readonly aided: boolean
  /** What helped, in the teacher’s words or a prop’s name; empty where nothing did. */
  readonly aid: string
  /** Hands of a helper: only `alone` proves anything. */
  readonly help: Help
  /** Spent arms give no verdict: a poor result then says nothing of the student (fatigue, not fail). */
  readonly arms: 'fresh' | 'spent' | null
  /** False when the start shape, breath or a named limit was not kept. */
  readonly valid: boolean
  readonly faults: readonly string[]
  /** Someone who watched only this person (ruling 6). */
  readonly watched: boolean
  /** Who recorded it; empty where the device was not told. */
  readonly observer: string
  readonly classId: string | null
  readonly note: string
  /** Where a report of pain speaks of; absent or null where it was not said. */
  readonly region?: Region | null
  /** Which way out was rehearsed; absent or null where nobody named it. */
  readonly exitId?: string | null
  /** A correction that takes the earlier entry back without putting another in its place. */
  readonly withdrawn: boolean
}

/** Hands on somebody; of a try nobody may have said. */
export type Help = 'alone' | 'touched' | 'carried' | 'not-said'

/** How far a try got; `not-said` where nobody said it (ruling 22), `practised` where nothing leaves the floor. */
export type AttemptLevel = 'took-off' | 'hop' | 'touched' | 'held' | 'practised' | 'not-said'

export type Attempt = Fact & {
  readonly kind: 'attempt'
  readonly stageId: string
  readonly level: AttemptLevel
  readonly outcome: 'clean' | 'not-yet' | 'stopped'
  readonly exitControlled: boolean
  readonly help: Help
  /** The setup it was done in; null where nobody said. */
  readonly setupId: string | null
  /** The leg or arm that led, where one does. */
  readonly lead: 'left' | 'right' | null
  /** How long it was held, s. */
  readonly seconds: number | null
  readonly faults: readonly string[]
  /** Why the work ended, where it was not the student's own fault (ruling 7). */
  readonly endedBy: 'self' | 'spent-arms' | 'helper' | 'setup' | null
  readonly classId: string | null
  readonly withdrawn: boolean
}

export type Placement = Fact & {
  readonly kind: 'placement'
  /** Null takes an earlier placement back. */
  readonly stageId: string | null
}

/** A drill that was done. It proves nothing; it tells what was drilled lately. */
export type DrillDone = Fact & {
  readonly drillId: string
  readonly classId: string | null
  /** How much of it, in the drill's own unit; null where nobody counted. */
  readonly amount: number | null
  readonly withdrawn: boolean
}

/** What most results are: seen alone, without help, with nothing more said. */
export const PLAIN_RESULT = {
  kind: 'observation',
  aided: false,
  aid: '',
  help: 'alone',
  arms: null,
  valid: true,
  faults: [],
  watched: true,
  observer: '',
  classId: null,
  note: '',
  withdrawn: false,
} as const satisfies Partial<Observation>

/** What most tries are: clean, alone, out of it under control. */
export const PLAIN_TRY = {
  kind: 'attempt',
  level: 'practised',
  outcome: 'clean',
  exitControlled: true,
  help: 'alone',
  setupId: null,
  lead: null,
  seconds: null,
  faults: [],
  endedBy: null,
  classId: null,
  withdrawn: false,
} as const satisfies Partial<Attempt>

export type Evidence = {
  readonly observations: readonly Observation[]
  readonly attempts: readonly Attempt[]
  readonly placements: readonly Placement[]
}

export const NO_EVIDENCE: Evidence = { observations: [], attempts: [], placements: [] }

/** Results older than this prove nothing (ruling 4), days. */
export const EVIDENCE_WINDOW_DAYS = 42
/** A placement by eye lasts this long unless confirmed (ruling 5), days. */
export const PLACEMENT_DAYS = 28

/**
 * Facts as they stood on a day: corrections applied, later days left out, in clock order whatever order they came in.
 */
export function foldEvidence(evidence: Evidence, asOf: Day): Evidence {
  const known = folded.get(evidence)
  if (known?.asOf === asOf) return known.result
  const result = {
    observations: foldFacts(evidence.observations, asOf).filter((fact) => !fact.withdrawn),
    attempts: foldFacts(evidence.attempts, asOf).filter((fact) => !fact.withdrawn),
    placements: foldFacts(evidence.placements, asOf),
  }
  folded.set(evidence, { asOf, result })
  return result
}

/** Evidence is never changed in place, so a fold is remembered as long as it lives: six families ask for the same one. */
const folded = new WeakMap<Evidence, { readonly asOf: Day; readonly result: Evidence }>()

/** Results by check, in the order given; remembered as long as the list lives. */
export function resultsOf(observations: readonly Observation[], checkId: string): readonly Observation[] {
  const known = byCheck.get(observations)
  if (known) return known.get(checkId) ?? []
  const index = new Map<string, Observation[]>()
  for (const o of observations) {
    const list = index.get(o.checkId)
    if (list) list.push(o)
    else index.set(o.checkId, [o])
  }
  byCheck.set(observations, index)
  return index.get(checkId) ?? []
}

const byCheck = new WeakMap<readonly Observation[], ReadonlyMap<string, readonly Observation[]>>()
