import type { Library } from '../practice/library'
import type { Stage } from '../practice/schema'
import type { Limits } from '../screening/caps'
import { closesSetup } from '../screening/setup-limits'

/**
 * Setups that somebody may do a stage in: its own, and those with more of a prop that fade into one of them, put up for the
 * same limbs and open to them.
 */
export function setupChoices(practice: Library, stage: Stage, limits: Limits): string[] {
  const found = new Set(stage.setups)
  for (let before = 0; before < found.size;) {
    before = found.size
    for (const { id, less } of practice.setups)
      if (less.some((to) => found.has(to)) && sameLimbs(practice, id, stage)) found.add(id)
  }
  return [...found].filter((id) => !closesSetup(practice, limits, id))
}

/** Whether a setup is put up for the limbs that carry a stage; what no stage uses serves for any. */
export function sameLimbs(practice: Library, setupId: string, stage: Stage): boolean {
  const users = practice.stages.filter((s) => s.setups.includes(setupId))
  return users.length === 0 || users.some((s) => restsOn(s) === restsOn(stage))
}

/** What carries a stage: hands, forearms, both, or neither. */
function restsOn({ load }: Stage): string {
  return `${(load.WB ?? 0) >= 1 ? 'hands' : ''} ${(load.FB ?? 0) >= 1 ? 'forearms' : ''} ${(load.NF ?? 0) >= 1 && !load.WB && !load.FB ? 'shoulders' : ''}`
}
