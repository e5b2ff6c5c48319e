import type { Library } from '../practice/library'
import type { Caps } from '../screening/caps'
import { allowedStages, type Reach } from './allowed'

/** How far tonight lets somebody go, beside how far the standing would. */
export type Ceiling = {
  /** The highest stage for tonight; null where the whole ladder waits. */
  readonly stageId: string | null
  readonly usualId: string | null
  readonly lowered: boolean
}

/**
 * Tonight's ceiling: the same decision under tonight's limits. It lowers what is offered now and leaves the standing as it
 * is; why it is lower stays between the student and the check-in (ruling 10).
 */
export function tonightsCeiling(
  practice: Library,
  reach: Omit<Reach, 'limits'>,
  standing: Caps,
  tonight: Caps,
): Ceiling {
  const highest = (limits: Caps): string | null =>
    allowedStages(practice, { ...reach, limits }).at(-1)?.id ?? null
  const [usualId, stageId] = [highest(standing), highest(tonight)]
  return { stageId, usualId, lowered: stageId !== usualId }
}
