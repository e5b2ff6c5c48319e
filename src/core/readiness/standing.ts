import { daysBetween, type Day } from '../day'
import type { Stage } from '../practice/schema'
import { EVIDENCE_WINDOW_DAYS, PLACEMENT_DAYS, type Attempt, type Evidence } from './evidence'
import { DAYS_BY_FALL, fallLevel } from './gate'

export type Standing = {
  readonly stageId: string
  readonly by: 'clean-days' | 'placement'
  readonly day: Day
  readonly evidenceIds: readonly string[]
}

/** Clean, alone, and out of it under control: what counts towards a standing. */
function countsAsClean(attempt: Attempt): boolean {
  return attempt.outcome === 'clean' && attempt.exitControlled && attempt.help === 'alone'
}

/**
 * The highest stage somebody holds: clean on its days, or placed there by the teacher's eye in the last 28 days.
 * @param stages one family, in ladder order
 * @param evidence already folded
 */
export function standingOf(stages: readonly Stage[], evidence: Evidence, asOf: Day): Standing | null {
  const shown =
    stages.flatMap((stage) => heldByCleanDays(stage, evidence.attempts, asOf) ?? []).at(-1) ?? null
  const placed = placedStanding(stages, evidence, asOf)
  if (!placed) return shown
  if (!shown) return placed
  return order(stages, placed.stageId) > order(stages, shown.stageId) ? placed : shown
}

/**
 * Held once it was clean on its days: some run of days within the window satisfied the rule. Later poor days do not take
 * the standing away by themselves; stepping back has its own reasons (ruling 7).
 */
function heldByCleanDays(stage: Stage, attempts: readonly Attempt[], asOf: Day): Standing | null {
  const rule = DAYS_BY_FALL[fallLevel(stage)]
  const mine = attempts.filter(
    (a) => a.stageId === stage.id && daysBetween(a.day, asOf) <= EVIDENCE_WINDOW_DAYS,
  )
  const days = [...new Set(mine.map((a) => a.day))].sort()
  const isClean = (day: Day): boolean => mine.some((a) => a.day === day && countsAsClean(a))
  const held = days.some(
    (_, i) => days.slice(Math.max(0, i + 1 - rule.of), i + 1).filter(isClean).length >= rule.clean,
  )
  const clean = days.filter(isClean)
  const newest = clean.at(-1)
  if (!held || newest === undefined) return null
  return {
    stageId: stage.id,
    by: 'clean-days',
    day: newest,
    evidenceIds: mine.filter((a) => clean.includes(a.day)).map((a) => a.id),
  }
}

function placedStanding(stages: readonly Stage[], evidence: Evidence, asOf: Day): Standing | null {
  const newest = evidence.placements
    .filter((p) => p.stageId === null || stages.some((s) => s.id === p.stageId))
    .at(-1)
  if (!newest?.stageId || daysBetween(newest.day, asOf) > PLACEMENT_DAYS) return null
  return { stageId: newest.stageId, by: 'placement', day: newest.day, evidenceIds: [newest.id] }
}

function order(stages: readonly Stage[], id: string): number {
  return stages.findIndex((stage) => stage.id === id)
}
