import { daysBetween, type Day } from '../day'
import { findById } from '../practice/find'
import { type Library } from '../practice/library'
import type { Stage } from '../practice/schema'
import { answersTo } from '../practice/after'
import { holdSeconds } from '../practice/dose'
import { EVIDENCE_WINDOW_DAYS, resultsOf, type Attempt, type Evidence } from './evidence'
import { isCleanWork } from './favourable'

export type FadeProposal = {
  readonly stageId: string
  readonly setupId: string
  readonly evidenceIds: readonly string[]
} & (
  | {
      /** Clean with the aid on its days: the next smaller one, or none where the setup names no smaller. */
      readonly code: 'fade'
      readonly to: string
      readonly days: readonly Day[]
    }
  | {
      /** The fault that the aid guards against came back without it. */
      readonly code: 'restore'
      readonly faultId: string
      readonly day: Day
    }
)

/** The newest days with an aid, all clean, before the next smaller one is proposed (progressions.md, prop-fade rule). */
const FADE_DAYS = 2
/** The fault that the aid guards against, so often in one class, brings it back. */
const RESTORE_TIMES = 2

/** What keeps props where they are. */
export type FadeHeld = {
  /** The way of working keeps props for comfort (question A40). */
  readonly keep?: boolean
  /** The stage somebody is going back from: nothing comes off there now. */
  readonly backFrom?: string | null
}

/**
 * Which props may come off, one step at a time, or should come back, from somebody's tries of the last six weeks.
 * @param evidence already folded
 */
export function proposeFades(
  practice: Library,
  evidence: Evidence,
  asOf: Day,
  { keep = false, backFrom = null }: FadeHeld = {},
): FadeProposal[] {
  const recent = evidence.attempts.filter((a) => daysBetween(a.day, asOf) <= EVIDENCE_WINDOW_DAYS)
  return [...new Set(recent.map((a) => a.stageId))].flatMap((stageId) => {
    const stage = findById(practice.stages, stageId)
    const tries = recent.filter((a) => a.stageId === stageId && a.setupId !== null)
    const proposals = [...new Set(tries.flatMap((t) => t.setupId ?? []))].flatMap(
      (setupId) => proposeFade(practice, stage, setupId, tries) ?? [],
    )
    // A prop that should come back comes before any that may go: one thing at a time.
    const restore = proposals.filter((p) => p.code === 'restore')
    const fades = proposals.filter(
      (p) => !keep && stageId !== backFrom && isLately(p, asOf) && !stillNeeds(practice, p, evidence),
    )
    return (restore.length > 0 ? restore : fades).slice(0, 1)
  })
}

/** Nobody who was away comes back to less than they left with. */
function isLately(proposal: FadeProposal, asOf: Day): boolean {
  const newest = proposal.code === 'fade' ? proposal.days.at(-1) : proposal.day
  return newest !== undefined && daysBetween(newest, asOf) <= AWAY_DAYS
}

const AWAY_DAYS = 21

/** Whether what the aid guards against is measured or seen in them now, whatever the tries with it looked like. */
function stillNeeds(practice: Library, { setupId }: FadeProposal, evidence: Evidence): boolean {
  const { prevents } = findById(practice.setups, setupId)
  const drift = resultsOf(evidence.observations, 'CK-elbow-drift').at(-1)?.values.single
  const drifts = prevents.some((id) => DRIFT_FAULTS.includes(id)) && (drift ?? 0) > MOST_DRIFT_CM
  const newest = evidence.attempts
    .map((a) => a.day)
    .sort()
    .at(-1)
  const seen = evidence.attempts.some((a) => a.day === newest && a.faults.some((f) => prevents.includes(f)))
  return drifts || seen
}

/** Faults that elbow drift measures, and the most that goes without an aid, cm (FS-03c). */
const DRIFT_FAULTS: readonly string[] = ['FT-elbow-splay', 'FT-hands-converge']
const MOST_DRIFT_CM = 2

/**
 * The next smaller aid that this stage or what it fades to is done with: an aid that was added comes off towards the
 * stage's own setup; a smaller aid of a harder stage is no fade but a jump.
 */
function nextLess(practice: Library, stage: Stage, setupId: string): string | undefined {
  const after = practice.stages.filter((s) => stage.fadeTo.some((name) => answersTo(s.id, name)))
  const own = new Set([...stage.setups, ...after.flatMap((s) => s.setups)])
  const leadsHome = (id: string, seen: readonly string[] = []): boolean =>
    stage.setups.includes(id) ||
    findById(practice.setups, id).less.some((next) => !seen.includes(next) && leadsHome(next, [...seen, id]))
  return findById(practice.setups, setupId).less.find(
    (to) => own.has(to) || (!stage.setups.includes(setupId) && leadsHome(to)),
  )
}

/** The proposal for one setup at a stage, or null. */
export function proposeFade(
  practice: Library,
  stage: Stage,
  setupId: string,
  tries: readonly Attempt[],
): FadeProposal | null {
  const { less, prevents } = findById(practice.setups, setupId)
  const newest = tries
    .map((t) => t.day)
    .sort()
    .at(-1)
  if (newest === undefined) return null
  const base = { stageId: stage.id, setupId }
  for (const faultId of prevents) {
    const seen = tries.filter(
      (t) => t.day === newest && t.faults.includes(faultId) && less.includes(t.setupId ?? ''),
    )
    if (seen.length >= RESTORE_TIMES)
      return { ...base, code: 'restore', faultId, day: newest, evidenceIds: seen.map((t) => t.id) }
  }
  const to = nextLess(practice, stage, setupId)
  const aided = tries.filter((t) => t.setupId === setupId)
  const days = [...new Set(aided.map((t) => t.day))].sort().slice(-FADE_DAYS)
  const clean = days.every((day) => aided.filter((t) => t.day === day).every((t) => isAtTarget(stage, t)))
  // Somebody who is past the aid already needs no telling.
  const past = tries.some((t) => t.setupId === to && t.day >= (days.at(-1) ?? newest))
  if (to === undefined || past || !clean || days.length < FADE_DAYS) return null
  return {
    ...base,
    code: 'fade',
    to,
    days,
    evidenceIds: aided.filter((t) => days.includes(t.day)).map((t) => t.id),
  }
}

/** Clean at or above the target dose; what was not timed proves no hold (ruling 22). */
function isAtTarget({ dose }: Pick<Stage, 'dose'>, attempt: Attempt): boolean {
  const held = dose.seconds !== undefined || dose.breaths !== undefined
  const longEnough = !held || (attempt.seconds !== null && attempt.seconds >= holdSeconds(dose))
  return isCleanWork(attempt) && longEnough
}
