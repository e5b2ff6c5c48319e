import type { Attempt } from '../readiness/evidence'
import { seenOf, type Tapped } from './outcome'

/** A try as the floor knows it: where, and what was seen. */
export type Seen = Tapped & Pick<Attempt, 'stageId'>

/**
 * The rung of a climb that somebody is on in their turn: a policy and no promise (hour.md 1). With nothing tapped they go on
 * as planned, up to what they work at. *Clean* takes them on, beyond it too; *not yet* keeps them; two of them one after
 * another, or a fall, take them one down.
 * @param path stages from the foot of their climb to its end
 * @param top which of them they work at
 * @param set which of their turns it is, from 0
 * @param tries theirs before this turn, in the order in which they were tapped
 */
export function rungIn(path: readonly string[], top: number, set: number, tries: readonly Seen[]): number {
  const planned = Math.min(set, top)
  const own = tries.filter(({ stageId }) => path.includes(stageId))
  const last = own.at(-1)
  if (!last) return planned
  const at = path.indexOf(last.stageId)
  switch (seenOf(last)) {
    case 'clean':
      return Math.min(path.length - 1, Math.max(at + 1, planned))
    case 'not-yet': {
      const before = own.at(-2)
      const isTwice = before?.stageId === last.stageId && seenOf(before) === 'not-yet'
      return Math.max(0, isTwice ? at - 1 : at)
    }
    case 'fell-out':
      return Math.max(0, at - 1)
    default:
      return at
  }
}
