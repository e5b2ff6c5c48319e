import type { Library } from '../practice/library'
import { RUNGS, type Family, type Stage } from '../practice/schema'
import type { Limits } from '../screening/caps'
import { closesStage } from '../screening/stage-limits'
import type { Decision } from './decide'
import { besideThem, ladderOf } from './ladder'

/**
 * How a stage stands to somebody: held, where they stand, the next one, the one to go back to, another that could be
 * next, further on, or closed to them. What is closed is closed whatever else it is.
 */
export type StepState = 'held' | 'standing' | 'next' | 'back' | 'open' | 'ahead' | 'closed'
export type Step = { readonly stage: Stage; readonly state: StepState }

/** Branches of one numbered step side by side, and which of them is looked at first. */
export type Fork = {
  /** The number that its branches share, such as FS-10. */
  readonly name: string
  /** Counted from 0. */
  readonly rung: number
  readonly steps: readonly Step[]
  readonly first: number
}

/** Which of several branches tells most: where somebody stands, what comes next, then what is held. */
const TELLS: readonly StepState[] = ['standing', 'back', 'next', 'open', 'held', 'ahead', 'closed']

/**
 * The whole ladder of a family as one person meets it, foot first.
 * @param credited stages that are held, or lie beneath what is held
 * @param hidden stages that the way of working leaves out; what is held stays
 */
export function pathOf(
  practice: Library,
  decision: Pick<Decision, 'family' | 'standing' | 'targetId' | 'branches' | 'outcome'>,
  credited: ReadonlySet<string>,
  limits: Limits,
  hidden: ReadonlySet<string>,
): Fork[] {
  const { family, standing, targetId, outcome } = decision
  const open = new Set(decision.branches.map(({ stageId }) => stageId))
  const stateOf = (stage: Stage): StepState => {
    if (closesStage(practice, limits, stage)) return 'closed'
    if (stage.id === standing?.stageId) return 'standing'
    if (stage.id === targetId) return outcome === 'step-back' ? 'back' : 'next'
    if (credited.has(stage.id)) return 'held'
    // A studio's own step is open once what it is built on is held.
    if (stage.like !== undefined) return credited.has(stage.like) ? 'open' : 'ahead'
    return open.has(stage.id) ? 'open' : 'ahead'
  }
  const forks = new Map<string, Step[]>()
  for (const stage of stagesShown(practice, family, hidden, credited)) {
    const name = stage.id.slice(0, NAME_LENGTH)
    forks.set(name, [...(forks.get(name) ?? []), { stage, state: stateOf(stage) }])
  }
  return [...forks].map(([name, steps]) => {
    const ranks = steps.map(({ state }) => TELLS.indexOf(state))
    const first = ranks.indexOf(Math.min(...ranks))
    return { name, rung: RUNGS.indexOf(steps[0]?.stage.rung ?? 'a'), steps, first }
  })
}

/** `FS-10` of `FS-10a`. */
const NAME_LENGTH = 5

function stagesShown(
  practice: Library,
  family: Family,
  hidden: ReadonlySet<string>,
  credited: ReadonlySet<string>,
): Stage[] {
  return ladderOf(practice, family)
    .stages.filter(({ id }) => !hidden.has(id) || credited.has(id))
    .flatMap((stage) => [stage, ...besideThem(practice, new Set([stage.id]))])
}
