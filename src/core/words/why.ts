import type { BriefPerson } from '../classes/brief'
import type { Doing } from '../classes/plan'
import type { Library } from '../practice/library'
import type { Family } from '../practice/schema'
import { stageName } from './reason'

/** Why somebody does what they do in a block, in a sentence; what limits say is told elsewhere. */
export function describeWhy(
  practice: Library,
  person: BriefPerson,
  { variantId, override, inPlace, helper }: Doing,
  purpose: string,
  hidden = false,
): string {
  // On a private screen nothing tells that something is closed.
  if (hidden && (variantId === null || inPlace)) return 'The same purpose in another way.'
  if (variantId === null) return 'Nothing of this is open to them that day.'
  if (override !== null) return 'Fixed by you, above what is recorded.'
  if (inPlace) return 'Stands in for what is closed to them that day.'
  const [kind, of = ''] = purpose.split(':')
  if (kind === 'train') return strengthWhy(practice, person, of)
  if (kind === 'ease') return 'A shape to stay in.'
  const stage = practice.stages.find((s) => s.id === variantId)
  if (!stage) return 'The same purpose by other means, within what they stand on.'
  return stageWhy(practice, person, stage.id, stage.family, helper !== null)
}

function strengthWhy(practice: Library, { families }: BriefPerson, capability: string): string {
  const name = practice.capabilities.find((c) => c.id === capability)?.name.toLowerCase() ?? 'strength'
  const short = Object.values(families).some((r) => (r.lacks[capability] ?? 0) > 0)
  return short ? `Short of ${name} for their next step.` : `Does ${name} with the others.`
}

function stageWhy(
  practice: Library,
  { families }: BriefPerson,
  stageId: string,
  family: Family,
  helped: boolean,
): string {
  const reach = families[family]
  if (!reach) return 'They hold it.'
  if (reach.targetId === stageId && reach.outcome !== 'step-back')
    return helped ? 'Their next step: a first time, with a helper.' : 'Their next step.'
  if (reach.standingId === stageId)
    return reach.targetId === null
      ? 'Where they stand.'
      : `Where they stand; next is ${stageName(practice, reach.targetId).toLowerCase()}.`
  return reach.outcome === 'step-back' ? 'A step easier for now.' : 'On their way: they hold it.'
}
