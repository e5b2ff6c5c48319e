import 'server-only'
import { levelIn, remarkIn, startingRungs } from '@/core/readiness/by-level'
import { describeRemark } from '@/core/words/entry'
import { appendNote, appendPlacement } from '@/db/evidence'
import type { Context } from '../context'
import { ownStamps } from '../facts/own-stamps'

type Listed = { readonly id: string; readonly beside: readonly string[] }

/**
 * Takes in what stood beside the names of people who have just been added: a level places them by eye, any other word
 * stands with them as a note, to be asked about. A note closes nothing, and a placing by eye opens no high fall.
 * @returns how many were placed, and how many remarks are kept
 */
export function takeInBeside(ctx: Context, people: readonly Listed[]): { placed: number; remarks: number } {
  const { practice, scope, clock } = ctx
  const stamp = ownStamps(ctx)
  let [line, placed, remarks] = [0, 0, 0]
  const next = () => stamp(line++)
  for (const { id: studentId, beside } of people) {
    const level = levelIn(beside)
    const rungs = level === null ? [] : startingRungs(practice, level)
    for (const stageId of rungs) {
      const { fact, origin } = next()
      const placing = {
        ...fact,
        kind: 'placement' as const,
        studentId,
        stageId,
        day: clock.today,
        replaces: null,
      }
      appendPlacement(scope, placing, origin)
    }
    if (rungs.length > 0) placed += 1
    const remark = remarkIn(beside)
    if (remark === '') continue
    const { fact, origin } = next()
    appendNote(
      scope,
      { ...fact, studentId, classId: null, text: describeRemark(remark), day: clock.today },
      origin,
    )
    remarks += 1
  }
  return { placed, remarks }
}
