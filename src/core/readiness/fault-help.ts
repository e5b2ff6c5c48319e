import { daysBetween, type Day } from '../day'
import type { Library } from '../practice/library'
import { findById } from '../practice/find'
import type { Fault, Gate, ReadinessCheck } from '../practice/schema'
import { closes, type Limits } from '../screening/caps'
import { closesSetup } from '../screening/setup-limits'
import type { CheckIn } from '../screening/tonight'
import { checksOf, COVERS_FROM, SHOWS_AS, type Capability, type Cause } from './capabilities'
import { EVIDENCE_WINDOW_DAYS, resultsOf, weakerValue, type Evidence } from './evidence'
import { satisfies } from './favourable'

/** What speaks for a cause in this person: a check with its value and how far it is from what is asked, or the arms. */
export type CauseEvidence =
  | {
      readonly code: 'check'
      readonly checkId: string
      readonly value: number
      /** Of what is asked: 0.5 is half of it missing, or half as much again. */
      readonly short: number
      readonly evidenceId: string
    }
  | { readonly code: 'arms' }
  | { readonly code: 'ended-spent'; readonly evidenceId: string }

export type RankedCause = {
  readonly cause: Cause
  readonly score: number
  /** Furthest from what is asked first. */
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

/** Who it is about, and on which day. */
export type HelpFor = {
  /** Already folded. */
  readonly evidence: Evidence
  readonly caps: Limits
  readonly checkIn: CheckIn | null
  /** Gates of what this person works towards and of everything beneath it. */
  readonly asked: readonly Gate[]
  readonly asOf: Day
}

/** The order in which the practice names causes is worth this much a place: any evidence outweighs it. */
const PLACE_WORTH = 0.15
/** Arms that are this spent, 0–10, speak for themselves (drills-and-checks.md CK-arms-spent). */
const ARMS_SPENT_FROM = 5

/**
 * From a fault that was seen to what to do: causes ranked for this person by their own evidence, then the cue, the first
 * setup and drill that their limits leave open, and whether to go on. A check speaks for a cause when it tells on a
 * capability that the fault’s own drills train and is short of what the next step asks; where that asks nothing of it, of
 * the least that any stage does.
 */
export function helpWith(practice: Library, faultId: string, who: HelpFor): FaultHelp {
  const fault = findById(practice.faults, faultId)
  const causes = fault.causes
    .map((cause, i): RankedCause => {
      const because = evidenceFor(practice, fault, cause, who)
      const most = Math.max(0, ...because.map((b) => (b.code === 'check' ? Math.min(1, b.short) : 1)))
      // Fear never leads: it is asked privately and not told beside a name (ruling 10).
      const said = cause === 'fear' ? -1 : because.length === 0 ? 0 : 1 + most
      return { cause, because, score: said + PLACE_WORTH * (fault.causes.length - i) }
    })
    .toSorted((a, b) => b.score - a.score)
  return {
    faultId,
    causes,
    cue: fault.cue,
    setupId: fault.setups.find((id) => !closesSetup(practice, who.caps, id)) ?? null,
    drillId: fault.drills.find((id) => !closes(who.caps, findById(practice.drills, id).load)) ?? null,
    then: fault.then,
  }
}

function evidenceFor(practice: Library, fault: Fault, cause: Cause, who: HelpFor): CauseEvidence[] {
  if (cause === 'fatigue') return fatigue(who)
  const checks = new Set(
    trainedBy(practice, fault).flatMap((c) => (SHOWS_AS[c] === cause ? checksOf(c) : [])),
  )
  return [...checks]
    .flatMap((id) => shortOf(practice, findById(practice.checks, id), who))
    .sort((a, b) => b.short - a.short || (a.checkId < b.checkId ? -1 : 1))
}

/** Capabilities that the drills of a fault train; every one where it names no drill. */
function trainedBy(practice: Library, fault: Fault): Capability[] {
  const trained = fault.drills.flatMap((id) =>
    Object.entries(findById(practice.drills, id).for).flatMap(([c, weight]) =>
      weight >= COVERS_FROM ? [c as Capability] : [],
    ),
  )
  return trained.length > 0 ? [...new Set(trained)] : (Object.keys(SHOWS_AS) as Capability[])
}

type ShortOf = Extract<CauseEvidence, { code: 'check' }>

function shortOf(practice: Library, check: ReadinessCheck, { evidence, asked, asOf }: HelpFor): ShortOf[] {
  const gate = strictest(asked, check.id) ?? easiest(practice, check.id)
  const newest = resultsOf(evidence.observations, check.id).findLast(
    (o) => o.valid && daysBetween(o.day, asOf) <= EVIDENCE_WINDOW_DAYS,
  )
  if (!gate || !newest) return []
  const value = weakerValue(newest.values, check.betterIs === 'less')
  if (satisfies(gate, value)) return []
  const wanted = gate.value ?? 1
  const short = Math.abs(wanted - value) / Math.max(1, wanted)
  return [{ code: 'check', checkId: check.id, value, short, evidenceId: newest.id }]
}

/** The gate that asks most of a check, among some. */
function strictest(gates: readonly Gate[], checkId: string): Gate | undefined {
  return onCheck(gates, checkId).reduce<Gate | undefined>(
    (best, gate) => (best && satisfies(gate, best.value ?? 1) ? best : gate),
    undefined,
  )
}

/** The gate that asks least of a check, in the whole practice. */
function easiest(practice: Library, checkId: string): Gate | undefined {
  return onCheck(
    practice.stages.flatMap((s) => s.gates),
    checkId,
  ).reduce<Gate | undefined>(
    (best, gate) => (best && satisfies(best, gate.value ?? 1) ? best : gate),
    undefined,
  )
}

function onCheck(gates: readonly Gate[], checkId: string): Gate[] {
  return gates.filter((g) => g.check === checkId && g.life === 'standing' && g.op !== 'recorded')
}

function fatigue({ evidence, checkIn, asOf }: HelpFor): CauseEvidence[] {
  const spent = evidence.attempts.findLast((a) => a.day === asOf && a.endedBy === 'spent-arms')
  return [
    ...(checkIn && checkIn.arms >= ARMS_SPENT_FROM ? [{ code: 'arms' as const }] : []),
    ...(spent ? [{ code: 'ended-spent' as const, evidenceId: spent.id }] : []),
  ]
}
