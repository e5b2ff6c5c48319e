import { answersTo } from './after'
import type { PracticeBlock, ReadinessCheck, Stage } from './schema'

/** Whether a check is done and typed in: not what a plan or tonight decides, nor what is read from tries. */
export function isTyped({ life, shownOn }: Pick<ReadinessCheck, 'life' | 'shownOn'>): boolean {
  return life === 'standing' && shownOn === undefined
}

/** Whether a stage calls for a warm-up or counterpose: by the level of a load it carries, or by name. */
export function callsFor(stage: Pick<Stage, 'id' | 'load'>, block: PracticeBlock): boolean {
  return (
    block.for.some(({ tag, level }) => (stage.load[tag] ?? 0) >= level) ||
    block.stages.some((name) => answersTo(stage.id, name))
  )
}
