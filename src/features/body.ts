import 'server-only'
import { estimateBody, type Body } from '@/core/body/estimate'
import { spansOf, type Spans } from '@/core/body/spans'
import type { StudentRecord } from '@/db/students'

/** Somebody’s own body; null where no height is known. */
export function bodyOfStudent(
  student: Pick<StudentRecord, 'statureCm' | 'measured'> | null | undefined,
): Body | null {
  if (!student?.statureCm) return null
  const body = estimateBody({ statureCm: student.statureCm, measured: student.measured })
  return body.ok ? body.value : null
}

/** Height of the body that is drawn where nobody’s own is known, cm. */
export const AVERAGE_CM = 168

/** The body that is drawn where nobody’s own is known: the middle of adults, and nobody. */
export function anyBody(): Body {
  average ??= bodyOfStudent({ statureCm: AVERAGE_CM, measured: {} })
  if (!average) throw new Error('the average body does not solve')
  return average
}
let average: Body | null = null

/** What somebody's own fist, hand and foot measure; the usual ones where no height is known. */
export function spansOfStudent(student: StudentRecord | null): Spans {
  return spansOf(bodyOfStudent(student))
}
