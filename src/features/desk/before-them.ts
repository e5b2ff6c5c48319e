import 'server-only'
import type { Decision } from '@/core/readiness/decide'
import { groundOf } from '@/core/readiness/ground'
import { withinOf } from '@/core/readiness/within'
import type { StudentRecord } from '@/db/students'
import type { Context } from '../context'
import { BOARD } from './families'
import type { Judge } from './judge'

/** What somebody may carry on a day, and the ladder that they work on. */
export function beforeThem({ practice }: Context, judge: Judge, { id }: Pick<StudentRecord, 'id'>) {
  const caps = judge.tonight(id)
  const { credited, evidence } = groundOf(practice, judge.evidence(id), judge.day)
  const nearest = nearestOf(BOARD.map((family) => judge.decide(id, family)))
  const missing = nearest?.missing ?? []
  return { caps, evidence, nearest, missing, within: withinOf(practice, credited, caps, missing) }
}

/** The ladder that is worked on: the one with the fewest things missing, of those where something is. */
function nearestOf(decisions: readonly Decision[]): Decision | undefined {
  return decisions
    .filter((d) => d.missing.length > 0 && d.standing !== null)
    .toSorted((a, b) => a.missing.length - b.missing.length)[0]
}
