import 'server-only'
import { findById } from '@/core/practice/find'
import { SETUPS } from '@/core/setups/catalogue'
import type { StudentRecord } from '@/db/students'
import type { Context } from '../context'
import type { Judge } from './judge'
import { setupTonight } from './limit-words'
import { standings } from './standing'

/** Setups of what somebody does next, in the order of the families; none that is closed to them tonight. */
export function nextSetups(
  ctx: Context,
  judge: Judge,
  student: Pick<StudentRecord, 'id' | 'name'>,
): string[] {
  const decisions = standings(ctx, [student.id]).get(student.id)?.decisions ?? []
  const setups = decisions.flatMap(({ targetId }) =>
    targetId === null ? [] : findById(ctx.practice.stages, targetId).setups,
  )
  return [...new Set(setups)].filter(
    (id) => SETUPS.some((setup) => setup.id === id) && !setupTonight(ctx, judge, student, id).closed,
  )
}
