import 'server-only'
import { addDays } from '@/core/day'
import { BREATH_S } from '@/core/practice/dose'
import { standingStill, type Still } from '@/core/progress/still'
import { standing } from '@/core/readiness/drills'
import type { Decision } from '@/core/readiness/decide'
import { groundOf } from '@/core/readiness/ground'
import { withinOf } from '@/core/readiness/within'
import { drillsOf } from '@/db/evidence'
import type { Context } from '../context'
import type { Judge } from './judge'

/** What was drilled longer ago is worth another try, days. */
const LATELY_DAYS = 42
/** Minutes for one drill in place of another. */
const MINUTES = 12

/** Results that are asked of somebody next and do not move, with what to drill instead: nothing that tonight closes. */
export function stillOf({ practice, scope, clock }: Context, judge: Judge, decision: Decision): Still[] {
  const { studentId } = decision
  const { credited, evidence } = groundOf(practice, judge.evidence(studentId), clock.today)
  const within = withinOf(practice, credited, judge.tonight(studentId), decision.missing)
  const from = addDays(clock.today, -LATELY_DAYS)
  const done = standing(drillsOf(scope, studentId)).flatMap((d) => (d.day >= from ? [d.drillId] : []))
  return standingStill(practice, decision, evidence.observations, {
    minutes: MINUTES,
    within,
    breathS: BREATH_S,
    tired: false,
    done,
    asOf: clock.today,
  })
}
