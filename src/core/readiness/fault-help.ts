import { daysBetween, type Day } from '../day'
import type { Library } from '../practice/library'
import { findById } from '../practice/find'
import type { Drill, Fault, Gate, ReadinessCheck, Stage } from '../practice/schema'
import type { Limits } from '../screening/caps'
import { closesSetup } from '../screening/setup-limits'
import { ARMS_SPENT_FROM, type CheckIn } from '../screening/tonight'
import { checksOf, COVERS_FROM, showsAs, type Capability, type Cause } from './capabilities'
import { EVIDENCE_WINDOW_DAYS, resultsOf, weakerValue, type Evidence, type Observation } from './evidence'
import { satisfies } from './favourable'
import { shortArms, type ShortArms } from './proportion'
import { staysWithin, type Within } from './within'
import { sameLimbs } from './setup-choices'

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
  /** When that changes, in a sentence; empty where it does not. */
  readonly until: string
  /** Whether anything in this person speaks for the first cause; without it, measure again first. */
  readonly known: boolean
  /** Arms too short for this head come before any cause: nothing trains them longer. */
  readonly shortArms: ShortArms | null
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
  /** What they may be given as a drill. */
  readonly within: Within
  /** The stage it was seen at: a setup for other limbs helps nobody. */
  readonly stageId: string | null
}

/** The order in which the practice names causes is worth this much a place: any evidence outweighs it. */
const PLACE_WORTH = 0.15

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
      const said =
        cause === 'fear'
          ? -1
          : because.length > 0
            ? 1 + most
            : isPassed(practice, fault, cause, who)
              ? -AGAINST_WORTH
              : 0
      return { cause, because, score: said + PLACE_WORTH * (fault.causes.length - i) }
    })
    .toSorted(byEvidence)
  const [first] = causes
  const known = (first?.because.length ?? 0) > 0
  const short = fault.proportions ? shortArms(practice, who.evidence.observations, who.asOf) : null
  return {
    faultId,
    causes,
    cue: fault.cue,
    setupId: setupFor(practice, fault, who),
    // No drill mends a proportion, and none is given for it.
    drillId: short ? null : drillFor(practice, fault, known ? (first?.cause ?? null) : null, who),
    then: short ? 'fix first' : fault.then,
    until: fault.until ?? '',
    known,
    shortArms: short,
  }
}

/** A check that is passed speaks against what its shortage would show as. */
const AGAINST_WORTH = 0.4
/** The order in which causes are tested: measure, tired arms, technique, range, strength; fear is never named (faults.md 11). */
const TEST_ORDER: readonly Cause[] = ['setup', 'fatigue', 'technique', 'mobility', 'strength']

/** The best supported first; where nothing speaks for any, what can be measured again comes first, and fear last. */
function byEvidence(a: RankedCause, b: RankedCause): number {
  if (a.because.length + b.because.length > 0) return b.score - a.score
  const place = ({ cause, score }: RankedCause): number =>
    (cause === 'fear' ? TEST_ORDER.length : TEST_ORDER.indexOf(cause)) + (score < 0 ? TEST_ORDER.length : 0)
  return place(a) - place(b)
}

/**
 * The first of its setups that limits leave open and that is put up for the same limbs as the stage it was seen at, for no
 * harder a fall.
 */
function setupFor(practice: Library, fault: Fault, { caps, stageId }: HelpFor): string | null {
  const seenAt = practice.stages.find((s) => s.id === stageId)
  const fits = (id: string): boolean =>
    !seenAt ||
    (sameLimbs(practice, id, seenAt) && (isOwn(seenAt, id) || leastFall(practice, id) <= fallOf(seenAt)))
  return fault.setups.find((id) => fits(id) && !closesSetup(practice, caps, id)) ?? null
}

function isOwn({ setups }: Stage, setupId: string): boolean {
  return setups.includes(setupId)
}

/** The lowest fall of what a setup is put up for; 0 where no step uses it. */
function leastFall(practice: Library, setupId: string): number {
  const users = practice.stages.filter((s) => s.setups.includes(setupId))
  return users.length === 0 ? 0 : Math.min(...users.map(fallOf))
}

function fallOf({ load: { FR = 0 } }: Pick<Stage, 'load'>): number {
  return FR
}

/** Whether a drill is of the step's own rig, or of none: what builds a platform helps nobody off one. */
function isOfThisRig(practice: Library, { setups, load }: Drill, seenAt: Stage | undefined): boolean {
  if (!seenAt) return true
  return (
    (load.FR ?? 0) <= fallOf(seenAt) &&
    (setups.length === 0 || setups.some((id) => sameLimbs(practice, id, seenAt)))
  )
}

/** The first of its drills that trains what shows as the cause; any that may be done where the cause is not known. */
function drillFor(
  practice: Library,
  fault: Fault,
  cause: Cause | null,
  { within, stageId }: HelpFor,
): string | null {
  const seenAt = practice.stages.find((s) => s.id === stageId)
  const open = fault.drills.filter((id) => {
    const drill = findById(practice.drills, id)
    return staysWithin(drill, within) && isOfThisRig(practice, drill, seenAt)
  })
  const mends = open.find((id) =>
    Object.entries(findById(practice.drills, id).for).some(
      ([c, weight]) => weight >= COVERS_FROM && showsAs(practice, c as Capability) === cause,
    ),
  )
  return mends ?? open[0] ?? null
}

/** Whether a check that tells on a cause is passed lately. */
function isPassed(practice: Library, fault: Fault, cause: Cause, who: HelpFor): boolean {
  const checks = new Set(
    trainedBy(practice, fault).flatMap((c) => (showsAs(practice, c) === cause ? checksOf(practice, c) : [])),
  )
  return [...checks].some((id) => {
    const gate = strictest(who.asked, id) ?? easiest(practice, id)
    const newest = newestOf(who, id)
    const lessIsBetter = findById(practice.checks, id).betterIs === 'less'
    return (
      gate !== undefined && newest !== undefined && satisfies(gate, weakerValue(newest.values, lessIsBetter))
    )
  })
}

function newestOf({ evidence, asOf }: HelpFor, checkId: string): Observation | undefined {
  return resultsOf(evidence.observations, checkId).findLast(
    (o) => o.valid && daysBetween(o.day, asOf) <= EVIDENCE_WINDOW_DAYS,
  )
}

function evidenceFor(practice: Library, fault: Fault, cause: Cause, who: HelpFor): CauseEvidence[] {
  if (cause === 'fatigue') return fatigue(who)
  const checks = new Set(
    trainedBy(practice, fault).flatMap((c) => (showsAs(practice, c) === cause ? checksOf(practice, c) : [])),
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
  return trained.length > 0 ? [...new Set(trained)] : practice.capabilities.map((c) => c.id)
}

type ShortOf = Extract<CauseEvidence, { code: 'check' }>

function shortOf(practice: Library, check: ReadinessCheck, who: HelpFor): ShortOf[] {
  const gate = strictest(who.asked, check.id) ?? easiest(practice, check.id)
  const newest = newestOf(who, check.id)
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
