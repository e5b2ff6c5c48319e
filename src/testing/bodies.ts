import fc from 'fast-check'
import { estimateBody, type Body } from '@/core/body/estimate'
import type { SetupSolution } from '@/core/setups/setup'

/** A body that must exist; a refusal is a mistake in the test. */
export function bodyOf(statureCm: number, table: 'female' | 'male' | 'blend' = 'blend'): Body {
  const body = estimateBody({ statureCm, table })
  if (!body.ok) throw new Error(body.refusal.code)
  return body.value
}

/** Bodies of 140–205 cm in all three tables. */
export const anyBody = fc
  .tuple(
    fc.double({ min: 140, max: 205, noNaN: true }),
    fc.constantFrom('female' as const, 'male' as const, 'blend' as const),
  )
  .map(([stature, table]) => bodyOf(stature, table))

/** The value of a result that must be there. */
export function must<T>(result: { ok: true; value: T } | { ok: false; refusal: unknown }): T {
  if (!result.ok) throw new Error(`refused: ${JSON.stringify(result.refusal)}`)
  return result.value
}

/** The value of one placement of a solved setup, cm. */
export function placedCm({ placements }: Pick<SetupSolution, 'placements'>, key: string): number {
  const found = placements.find((p) => p.key === key)
  if (!found) throw new Error(`no placement ${key}`)
  return found.valueCm
}
