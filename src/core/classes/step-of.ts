import type { StepOnto } from '../readiness/step-onto'
import type { Brief, BriefPerson } from './brief'
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
  const onto = Object.values(person.families).flatMap((r) => r.onto)
  return (
    onto.find((o) => o.stageId === then && o.from === variantId) ??
    (openAsItIs(person, then) ? { stageId: then, from: variantId, shows: [] } : undefined)
  )
}

/** Open to somebody tonight, with no limit changing it. */
export function openAsItIs({ families }: Pick<BriefPerson, 'families'>, stageId: string): boolean {
  return Object.values(families).some((r) => r.open.includes(stageId) && r.changed[stageId] === undefined)
}
