import { fitDose, lessBy, type FittedDose } from '../practice/dose'
import type { Stage } from '../practice/schema'
import type { BriefPerson } from './brief'
import type { Change } from './change'

/**
 * What one person does of a stage in a class: the stage's own dose by their own breath, within what limits leave of holds
 * and repetitions, and within the attempts they have; outside a class nobody counts
 * them.
 */
export function doseOf(
  person: Pick<BriefPerson, 'breathS'> & { readonly mostAttempts: number | null },
  stage: Pick<Stage, 'dose'>,
  change: Pick<Change, 'mostSeconds' | 'share'> | null,
): FittedDose {
  const fitted = fitDose(stage.dose, {
    breathS: person.breathS,
    mostSeconds: change?.mostSeconds ?? null,
    mostAttempts: person.mostAttempts,
  })
  return lessBy(fitted, change?.share ?? 1)
}
