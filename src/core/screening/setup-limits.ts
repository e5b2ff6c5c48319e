import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import type { Stage } from '../practice/schema'
import type { Limits } from './caps'
import { insteadOf } from './instead'
import { closesStage } from './stage-limits'

/** Stages for which a setup is put up. */
export function stagesOf(practice: Library, setupId: string): Stage[] {
  return practice.stages.filter((stage) => stage.setups.includes(setupId))
}

/** Whether everything that a setup is put up for is closed; one that no stage names carries no load of its own. */
export function closesSetup(practice: Library, limits: Limits, setupId: string): boolean {
  const stages = stagesOf(practice, setupId)
  return stages.length > 0 && stages.every((stage) => closesStage(practice, limits, stage))
}

/**
 * What somebody does in place of a setup that is closed to them.
 * @returns undefined where the setup is open; null where nothing at all is
 */
export function insteadOfSetup(practice: Library, limits: Limits, setupId: string): Stage | null | undefined {
  if (!closesSetup(practice, limits, setupId)) return undefined
  const [main] = stagesOf(practice, setupId)
  const instead = main && insteadOf(practice, main, limits)
  return instead ? findById(practice.stages, instead.stageId) : null
}
