import { addDays, type Day } from '../day'
import type { Decision, Outcome } from './decide'
import type { Evidence } from './evidence'

/** A decision that was another one than the day before it. */
export type Turning = {
  readonly day: Day
  readonly outcome: Outcome
  readonly standingId: string | null
  readonly targetId: string | null
  readonly decision: Decision
}

/** Decisions are replayed this far back, days. */
const REPLAY_DAYS = 180

/**
 * The history of decisions in a family: made anew as of each day on which something was recorded, the turning points
 * kept, newest first. The same facts always give the same history.
 * @param decideOn the decision as of a day
 */
export function turningPoints(evidence: Evidence, asOf: Day, decideOn: (day: Day) => Decision): Turning[] {
  const from = addDays(asOf, -REPLAY_DAYS)
  const days = new Set<Day>([asOf])
  for (const fact of [...evidence.observations, ...evidence.attempts, ...evidence.placements])
    if (fact.day >= from && fact.day <= asOf) days.add(fact.day)
  const points: Turning[] = []
  for (const day of [...days].sort()) {
    const decision = decideOn(day)
    const { outcome, targetId } = decision
    const standingId = decision.standing?.stageId ?? null
    const last = points.at(-1)
    if (last?.outcome === outcome && last.targetId === targetId && last.standingId === standingId) continue
    points.push({ day, outcome, standingId, targetId, decision })
  }
  return points.reverse()
}
