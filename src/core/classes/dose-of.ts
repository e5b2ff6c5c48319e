import { fitDose, type FittedDose } from '../practice/dose'
import type { Stage } from '../practice/schema'
import type { BriefPerson } from './brief'
import type { Change } from './change'

/**
 * What one person does of a stage in a class: the stage's own dose by their own breath, within what limits leave of holds
 * and repetitions, and within the attempts they have.
 */
export function doseOf(
  person: Pick<BriefPerson, 'breathS' | 'mostAttempts'>,
  stage: Pick<Stage, 'dose'>,
  change: Pick<Change, 'mostSeconds' | 'share'> | null,
): FittedDose {
  const fitted = fitDose(stage.dose, {
    breathS: person.breathS,
    mostSeconds: change?.mostSeconds ?? null,
    mostAttempts: person.mostAttempts,
  })
  const share = change?.share ?? 1
  if (share === 1) return fitted
  // A limit may go under the dose's own range, which a measured level never does.
  const part = (n: number | null): number | null => (n === null ? null : Math.max(1, Math.floor(n * share)))
  return fitted.reps === null
    ? { ...fitted, sets: part(fitted.sets) ?? 1, cap: part(fitted.cap) }
    : { ...fitted, reps: part(fitted.reps), cap: part(fitted.cap) }
}
