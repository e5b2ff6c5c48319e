import type { StepOnto } from '../readiness/step-onto'
import type { Brief } from './brief'
import type { Doing } from './plan'

/** The rung that a doing leads to tonight, as the brief has it; undefined where they stay. */
export function stepOf(
  brief: Pick<Brief, 'people'> | null | undefined,
  { studentId, variantId, then }: Pick<Doing, 'studentId' | 'variantId' | 'then'>,
): StepOnto | undefined {
  const person = brief?.people.find((p) => p.studentId === studentId)
  return Object.values(person?.families ?? {})
    .flatMap((reach) => reach.onto)
    .find((o) => o.stageId === then && o.from === variantId)
}
