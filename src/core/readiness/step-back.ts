import { daysBetween, type Day } from '../day'
import { findById } from '../practice/library'
import type { Fault } from '../practice/schema'
import type { Attempt, Evidence } from './evidence'
import type { Standing } from './standing'

export type StepBackReason =
  | {
      readonly code: 'own-fault-severe'
      readonly faultId: string
      readonly day: Day
      readonly evidenceIds: readonly string[]
    }
  | {
      readonly code: 'own-fault-twice'
      readonly faultId: string
      readonly days: readonly [Day, Day]
      readonly evidenceIds: readonly string[]
    }
  | { readonly code: 'exit-not-controlled'; readonly day: Day; readonly evidenceIds: readonly string[] }
  | { readonly code: 'layoff'; readonly daysAway: number; readonly rungs: 1 | 2; readonly lastDay: Day }

/** Ruling 4: over 21 days away is one rung, over 60 two and fresh checks. */
const LAYOFF_ONE_DAYS = 21
const LAYOFF_TWO_DAYS = 60

/**
 * The first reason to go one rung easier, or null. Only the student's own faults count: work that ended through
 * spent arms, a helper or an unsafe setup leaves the standing as it was (ruling 7).
 * @param evidence already folded
 */
export function stepBackReason(
  standing: Standing,
  evidence: Evidence,
  faults: readonly Fault[],
  asOf: Day,
): StepBackReason | null {
  const own = evidence.attempts.filter(
    (a) => a.stageId === standing.stageId && (a.endedBy === null || a.endedBy === 'self'),
  )
  const severity = (id: string): number => findById(faults, id).severity
  const days = [...new Set(own.map((a) => a.day))].sort()
  const newestDay = days.at(-1)
  if (newestDay !== undefined) {
    const newest = own.filter((a) => a.day === newestDay)
    const severe = firstFault(newest, (id) => severity(id) === 3)
    if (severe) return { code: 'own-fault-severe', ...severe, day: newestDay }
    const loose = newest.find((a) => !a.exitControlled)
    if (loose) return { code: 'exit-not-controlled', day: newestDay, evidenceIds: [loose.id] }
    const before = days.at(-2)
    if (before !== undefined) {
      const earlier = own.filter((a) => a.day === before)
      const again = firstFault(
        newest,
        (id) => severity(id) === 2 && earlier.some((a) => a.faults.includes(id)),
      )
      if (again)
        return {
          code: 'own-fault-twice',
          faultId: again.faultId,
          days: [before, newestDay],
          evidenceIds: again.evidenceIds,
        }
    }
  }
  return layoff(evidence, asOf)
}

function firstFault(
  attempts: readonly Attempt[],
  matters: (id: string) => boolean,
): { faultId: string; evidenceIds: string[] } | null {
  for (const attempt of attempts) {
    const faultId = attempt.faults.find(matters)
    if (faultId !== undefined) return { faultId, evidenceIds: [attempt.id] }
  }
  return null
}

function layoff(evidence: Evidence, asOf: Day): StepBackReason | null {
  const lastDay = [...evidence.observations, ...evidence.attempts, ...evidence.placements]
    .map((f) => f.day)
    .sort()
    .at(-1)
  if (lastDay === undefined) return null
  const daysAway = daysBetween(lastDay, asOf)
  if (daysAway <= LAYOFF_ONE_DAYS) return null
  return { code: 'layoff', daysAway, rungs: daysAway > LAYOFF_TWO_DAYS ? 2 : 1, lastDay }
}
