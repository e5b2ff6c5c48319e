import 'server-only'
import { estimateBody } from '@/core/body/estimate'
import { spansOf, type Spans } from '@/core/body/spans'
import type { StudentRecord } from '@/db/students'

/** What somebody's own fist, hand and foot measure; the usual ones where no height is known. */
export function spansOfStudent(student: StudentRecord | null): Spans {
  const body = student?.statureCm
    ? estimateBody({ statureCm: student.statureCm, measured: student.measured })
    : null
  return spansOf(body?.ok ? body.value : null)
}
