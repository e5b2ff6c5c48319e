import { turnsOf, type Work } from '../classes/plan'
import { blockClock, type Run } from '../classes/run'
import { readHlc } from '../facts/hlc'
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

/**
 * Tries from before a turn, in the order in which they were tapped: a tap takes nobody away from what they are just doing,
 * on whichever screen it is read and however often that screen begins anew.
 * @param run the run of the class, whose clock is in this block
 * @param index the turn that is on; the first begins with its block, so that nothing tapped while people fetch moves anybody
 * @param tries each with the clock of its tap
 */
export function beforeTurn<T extends Pick<Attempt, 'hlc'>>(
  run: Run,
  block: Work,
  index: number,
  tries: readonly T[],
): T[] {
  const turn = index === 0 ? undefined : turnsOf(block)[index]
  const beginsS = turn ? turn.startS - block.startS : 0
  const { ms: beganMs } = readHlc(run.blockHlc)
  const intoBlockS = (hlc: string): number =>
    blockClock(run, run.blockStartedMs + readHlc(hlc).ms - beganMs).elapsedS
  return tries
    .filter(({ hlc }) => hlc < run.blockHlc || intoBlockS(hlc) < beginsS)
    .toSorted((a, b) => (a.hlc < b.hlc ? -1 : 1))
}
