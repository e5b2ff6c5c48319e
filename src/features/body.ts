import 'server-only'
import { estimateBody } from '@/core/body/estimate'
import { spansOf, type Spans } from '@/core/body/spans'
import type { StudentRecord } from '@/db/students'

/** What somebody's own fist, hand and foot measure; the usual ones where no height is known. */
export function spansOfStudent({ statureCm, measured }: StudentRecord): Spans {
  const body = statureCm === null ? null : estimateBody({ statureCm, measured })
  return spansOf(body?.ok ? body.value : null)
}
