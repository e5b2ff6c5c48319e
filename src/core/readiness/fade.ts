import { daysBetween, type Day } from '../day'
import { findById } from '../practice/find'
import { type Library } from '../practice/library'
import type { Stage } from '../practice/schema'
import { EVIDENCE_WINDOW_DAYS, type Attempt, type Evidence } from './evidence'
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

/**
 * Which props may come off, one step at a time, or should come back, from somebody's tries of the last six weeks.
 * @param evidence already folded
 */
export function proposeFades(practice: Library, evidence: Evidence, asOf: Day): FadeProposal[] {
  const recent = evidence.attempts.filter((a) => daysBetween(a.day, asOf) <= EVIDENCE_WINDOW_DAYS)
  return [...new Set(recent.map((a) => a.stageId))].flatMap((stageId) => {
    const stage = findById(practice.stages, stageId)
    const tries = recent.filter((a) => a.stageId === stageId && a.setupId !== null)
    const proposals = [...new Set(tries.flatMap((t) => t.setupId ?? []))].flatMap(
      (setupId) => proposeFade(practice, stage, setupId, tries) ?? [],
    )
    // A prop that should come back comes before any that may go: one thing at a time.
    const restore = proposals.filter((p) => p.code === 'restore')
    return (restore.length > 0 ? restore : proposals).slice(0, 1)
  })
}

/** The proposal for one setup at a stage, or null. */
export function proposeFade(
  practice: Library,
  stage: Pick<Stage, 'id' | 'dose'>,
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
  const [to] = less
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

/** Clean at or above the target dose; a try without its time is taken at its word. */
function isAtTarget({ dose }: Pick<Stage, 'dose'>, attempt: Attempt): boolean {
  const target = dose.seconds?.value
  const longEnough = attempt.seconds === null || target === undefined || attempt.seconds >= target
  return isCleanWork(attempt) && longEnough
}

export type Trial = {
  /** Mean of without less with, s. */
  readonly difference: number
  readonly sure: number
  readonly pairs: number
}

/**
 * Alternate tries with and without an aid: the mean difference (without less with) and how sure its sign is, as the
 * share of sign-flips of the pairs that would give less than it.
 */
export function sideBySide(pairs: readonly { readonly with: number; readonly without: number }[]): Trial {
  const diffs = pairs.map((p) => p.without - p.with)
  const mean = (values: readonly number[]): number =>
    values.reduce((sum, v) => sum + v, 0) / Math.max(1, values.length)
  const difference = mean(diffs)
  const flips = 2 ** Math.min(12, diffs.length)
  let less = 0
  for (let mask = 0; mask < flips; mask += 1) {
    const flipped = mean(diffs.map((d, i) => ((mask >> i) & 1 ? -d : d)))
    if (Math.abs(flipped) < Math.abs(difference) - 1e-12) less += 1
  }
  return { difference, sure: diffs.length === 0 ? 0 : less / flips, pairs: diffs.length }
}

export type SetupTrial = Trial & {
  readonly stageId: string
  readonly with: string
  readonly without: string
  readonly day: Day
}

/** Pairs before a difference is worth a word. */
const LEAST_PAIRS = 3

/**
 * Trials that were made: on one day, timed tries at one stage with a setup and with one that has less, taken in turns.
 * @param evidence already folded
 */
export function trialsOf(practice: Library, evidence: Evidence): SetupTrial[] {
  const timed = evidence.attempts.filter((a) => a.seconds !== null && a.setupId !== null)
  const keys = new Set(timed.map((a) => `${a.day} ${a.stageId}`))
  return [...keys].flatMap((key) => {
    const here = timed.filter((a) => `${a.day} ${a.stageId}` === key)
    const used = [...new Set(here.flatMap((a) => a.setupId ?? []))]
    return used.flatMap((fuller) =>
      used
        .filter((barer) => findById(practice.setups, fuller).less.includes(barer))
        .flatMap((barer): SetupTrial[] => {
          const seconds = (id: string): number[] =>
            here.filter((a) => a.setupId === id).flatMap((a) => a.seconds ?? [])
          const [withAid, without] = [seconds(fuller), seconds(barer)]
          const pairs = withAid
            .slice(0, without.length)
            .map((s, i) => ({ with: s, without: without[i] ?? 0 }))
          if (pairs.length < LEAST_PAIRS) return []
          const [stage] = here
          if (!stage) return []
          return [
            { ...sideBySide(pairs), stageId: stage.stageId, day: stage.day, with: fuller, without: barer },
          ]
        }),
    )
  })
}
