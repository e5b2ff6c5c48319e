import type { Day } from '../day'
import { leastSeconds } from '../practice/dose'
import type { Library } from '../practice/library'
import type { Stage } from '../practice/schema'
import type { Attempt, Evidence } from './evidence'
import { resultsFromTries } from './from-tries'
import { clearanceAsShown } from './proportion'
import { severityOf } from './severity'

/**
 * Evidence with every try taken for what it shows, not for what it is called: clean work reaches the least dose of its
 * stage and shows no unsafe fault (progressions.md 1, "clean stage"). A try without its time is taken at its word. What
 * follows from tries stands among the results: nobody types it.
 * @param evidence already folded as of the day
 */
export function asShown(practice: Library, evidence: Evidence, asOf: Day): Evidence {
  const stages = new Map(practice.stages.map((s) => [s.id, s]))
  const severe = (stage: Stage, attempt: Attempt): boolean =>
    attempt.faults.some((id) => {
      const fault = practice.faults.find((f) => f.id === id)
      return fault !== undefined && severityOf(fault, stage, attempt) === 3
    })
  const attempts = evidence.attempts
    .flatMap((a) => onLadder(stages, a))
    .map((attempt) => {
      const stage = stages.get(attempt.stageId)
      if (!stage || attempt.outcome !== 'clean') return attempt
      const short = attempt.seconds !== null && attempt.seconds < leastSeconds(stage.dose)
      return short || severe(stage, attempt) ? { ...attempt, outcome: 'not-yet' as const } : attempt
    })
  const observations = clearanceAsShown(practice, evidence.observations, asOf)
  return {
    ...evidence,
    attempts,
    observations: [...observations, ...resultsFromTries(practice, attempts, observations)],
  }
}

/**
 * What is clean at an own step proves nothing on the ladder, since no check stands for it; a fault or a fall there tells
 * against what it is built on, as the same shape would, and shows nothing for it, whatever the try was called.
 */
function onLadder(stages: ReadonlyMap<string, Stage>, attempt: Attempt): Attempt[] {
  const like = stages.get(attempt.stageId)?.like
  if (like === undefined) return [attempt]
  if (attempt.faults.length === 0 && attempt.exitControlled) return []
  const outcome = attempt.outcome === 'clean' ? 'not-yet' : attempt.outcome
  return [{ ...attempt, stageId: like, outcome }]
}
