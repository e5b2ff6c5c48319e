import { readHlc } from '../facts/hlc'
import type { Attempt } from '../readiness/evidence'

/** Within this, the same thing from two devices may be one try that two people saw, ms. */
const SAME_TRY_MS = 20_000

type Told = Pick<Attempt, 'studentId' | 'stageId' | 'outcome' | 'hlc'>

/** Tries that a second device recorded at the same moment: somebody has to say whether they were one; none is dropped. */
export function recordedTwice<A extends Told>(attempts: readonly A[]): A[] {
  return attempts.filter((a, i) => attempts.slice(0, i).some((b) => mayBeOne(a, b)))
}

function mayBeOne(a: Told, b: Told): boolean {
  return (
    a.studentId === b.studentId &&
    a.stageId === b.stageId &&
    a.outcome === b.outcome &&
    deviceOf(a) !== deviceOf(b) &&
    Math.abs(readHlc(a.hlc).ms - readHlc(b.hlc).ms) < SAME_TRY_MS
  )
}

/** The device that a stamp ends with. */
function deviceOf({ hlc }: Told): string {
  return hlc.split('-').slice(2).join('-')
}
