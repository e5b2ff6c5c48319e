import 'server-only'
import { comingOdds, headcount } from '@/core/attendance/odds'
import { attendanceBefore, rosterOf } from '@/db/attendance'
import type { ClassRecord } from '@/db/classes'
import type { Context } from '../context'

/** How many will be there, from who came before. */
export function expectedLine({ scope }: Context, record: ClassRecord): string {
  const history = attendanceBefore(scope, record.roster, record.day)
  const marks = new Map(rosterOf(scope, record.id).map((r) => [r.studentId, r.attended]))
  const odds = record.roster.map((id) => {
    const mark = marks.get(id) ?? null
    return mark === null ? comingOdds(history.get(id) ?? []) : mark === 'absent' ? 0 : 1
  })
  const { expected, from, to } = headcount(odds)
  return from === to
    ? `${to} of ${record.roster.length} here`
    : `probably ${Math.round(expected)} of ${record.roster.length} (${from} to ${to})`
}
