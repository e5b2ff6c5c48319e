import 'server-only'
import { foldEvidence, type Attempt } from '@/core/readiness/evidence'
import { isDone } from '@/core/teaching/outcome'
import { standing } from '@/core/readiness/drills'
import { attemptsOfClass, drillsOfClass } from '@/db/evidence'
import type { DrillMark } from './drill-mark'
import type { Scope } from '@/db/scope'

/** Tries of one class that stand: without what was corrected or taken back. */
export function triesOf(scope: Scope, classId: string): readonly Attempt[] {
  const attempts = attemptsOfClass(scope, classId)
  return foldEvidence({ observations: [], attempts, placements: [] }, '9999-12-31').attempts
}

/** Drills done in one class that stand: without what was taken back. */
export function drilledIn(scope: Scope, classId: string): DrillMark[] {
  return standing(drillsOfClass(scope, classId)).map(({ id, studentId, drillId }) => ({
    id,
    studentId,
    drillId,
  }))
}

/** Who has stopped for tonight. */
export function stoppedIn(scope: Scope, classId: string): string[] {
  const tries = triesOf(scope, classId)
  return [...new Set(tries.map((t) => t.studentId))].filter((id) =>
    isDone(tries.filter((t) => t.studentId === id)),
  )
}
