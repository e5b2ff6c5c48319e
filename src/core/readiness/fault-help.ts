import type { Day } from '../day'
import { daysBetween } from '../day'
import type { Library } from '../practice/library'
import { findById } from '../practice/library'
import type { Fault } from '../practice/schema'
import type { Caps } from '../screening/caps'
import type { CheckIn } from '../screening/tonight'
import type { Evidence } from './evidence'

export type Cause = Fault['causes'][number]

/** What speaks for a cause in this person: the check or the words, with its value. */
export type CauseEvidence =
  | { readonly code: 'check'; readonly checkId: string; readonly value: number; readonly evidenceId: string }
  | { readonly code: 'arms' }
  | { readonly code: 'ended-spent'; readonly evidenceId: string }

export type RankedCause = {
  readonly cause: Cause
  readonly score: number
  readonly because: readonly CauseEvidence[]
}

export type FaultHelp = {
  readonly faultId: string
  readonly causes: readonly RankedCause[]
  readonly cue: string
  /** First setup and drill that this person’s limits allow. */
  readonly setupId: string | null
  readonly drillId: string | null
  readonly then: Fault['then']
}

/** Checks that tell on a cause: how short of the usual threshold they are is how much they say. */
const TELLS: readonly {
  readonly cause: Cause
  readonly checkId: string
  readonly poorBelow?: number
  readonly poorAbove?: number
}[] = [
  { cause: 'strength', checkId: 'CK-dolphin-hold', poorBelow: 30 },
  { cause: 'strength', checkId: 'CK-forearm-plank', poorBelow: 45 },
  { cause: 'strength', checkId: 'CK-plank-hold', poorBelow: 45 },
  { cause: 'mobility', checkId: 'CK-forearm-overhead', poorAbove: 2 },
  { cause: 'mobility', checkId: 'CK-shoulder-flexion', poorBelow: 160 },
  { cause: 'technique', checkId: 'CK-elbow-drift', poorAbove: 2 },
  { cause: 'technique', checkId: 'CK-pelvic-set', poorBelow: 1 },
]
/** A result this old says nothing of today, days. */
const TELLS_FOR_DAYS = 42
/** The order in which the practice names causes is worth this much a place: evidence outweighs it. */
const PLACE_WORTH = 0.15

/**
 * From a fault that was seen to what to do: causes ranked for this person by their own evidence, then the cue, the first
 * setup and drill that their limits leave open, and whether to go on.
 */
export function helpWith(
  practice: Library,
  faultId: string,
  evidence: Evidence,
  caps: Pick<Caps, 'caps'>,
  checkIn: CheckIn | null,
  asOf: Day,
): FaultHelp {
  const fault = findById(practice.faults, faultId)
  const causes = fault.causes
    .map((cause, i): RankedCause => {
      const because = evidenceFor(cause, evidence, checkIn, asOf)
      // Fear never leads: it is asked privately and not told beside a name (ruling 10).
      const said = cause === 'fear' ? -1 : because.length
      return { cause, because, score: said + PLACE_WORTH * (fault.causes.length - i) }
    })
    .toSorted((a, b) => b.score - a.score)
  const allowed = fault.drills.filter((id) => {
    const { load } = findById(practice.drills, id)
    return !caps.caps.some(
      (c) => (c.action === 'stop' || c.action === 'avoid') && (load[c.tag] ?? 0) >= c.level,
    )
  })
  return {
    faultId,
    causes,
    cue: fault.cue,
    setupId: fault.setups[0] ?? null,
    drillId: allowed[0] ?? null,
    then: fault.then,
  }
}

function evidenceFor(cause: Cause, evidence: Evidence, checkIn: CheckIn | null, asOf: Day): CauseEvidence[] {
  const found: CauseEvidence[] = TELLS.filter((t) => t.cause === cause).flatMap((tell): CauseEvidence[] => {
    const newest = evidence.observations
      .filter((o) => o.checkId === tell.checkId && o.valid && daysBetween(o.day, asOf) <= TELLS_FOR_DAYS)
      .at(-1)
    if (!newest) return []
    const { single, left, right } = newest.values
    const value =
      single ??
      (tell.poorAbove === undefined ? Math.min(left ?? 0, right ?? 0) : Math.max(left ?? 0, right ?? 0))
    const poor =
      (tell.poorBelow !== undefined && value < tell.poorBelow) ||
      (tell.poorAbove !== undefined && value > tell.poorAbove)
    return poor ? [{ code: 'check', checkId: tell.checkId, value, evidenceId: newest.id }] : []
  })
  if (cause === 'fatigue') {
    if (checkIn && checkIn.arms >= 5) found.push({ code: 'arms' })
    const spent = evidence.attempts.filter((a) => a.day === asOf && a.endedBy === 'spent-arms').at(-1)
    if (spent) found.push({ code: 'ended-spent', evidenceId: spent.id })
  }
  return found
}
