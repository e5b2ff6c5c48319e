import type { StepOnto } from '../readiness/step-onto'
import type { Brief } from './brief'
import type { Doing } from './plan'

/**
 * The rung that a doing leads to tonight, as the brief has it: what may be stepped onto, or what is open to them as it is and
 * asks for nothing to be shown first; undefined where they stay.
 */
export function stepOf(
  brief: Pick<Brief, 'people'> | null | undefined,
  { studentId, variantId, then }: Pick<Doing, 'studentId' | 'variantId' | 'then'>,
): StepOnto | undefined {
  const person = brief?.people.find((p) => p.studentId === studentId)
  if (!person || then === null || variantId === null) return undefined
  const reaches = Object.values(person.families)
  const isOpen = reaches.some((r) => r.open.includes(then) && r.changed[then] === undefined)
  return (
    reaches.flatMap((r) => r.onto).find((o) => o.stageId === then && o.from === variantId) ??
    (isOpen ? { stageId: then, from: variantId, shows: [] } : undefined)
  )
}
