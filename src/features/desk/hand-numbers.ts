import 'server-only'
import { beginnings, beginWith, type InForce } from '@/core/approaches/effects'
import type { Body } from '@/core/body/estimate'
import { solveSetup } from '@/core/setups/catalogue'
import { length } from '@/core/words/number'
import { placementLabel } from '@/core/words/setup'
import type { Context } from '../context'

/** The lengths that place hands and props in a setup on one body, in the ways that hold; empty where it cannot be built. */
export function handNumbers(
  { studio, practice }: Pick<Context, 'studio' | 'practice'>,
  body: Body,
  setupId: string,
  ways: InForce,
): { label: string; value: string }[] {
  const begun = beginWith(beginnings(practice, ways)[setupId], body)
  const solved = solveSetup(setupId, body, begun, studio.stock)
  return solved.ok
    ? solved.value.placements.map((p) => ({
        label: placementLabel(p.key),
        value: length(p.valueCm, studio),
      }))
    : []
}

/** The same in a line; empty where nothing is built or no body is known. */
export function ownNumbers(
  ctx: Pick<Context, 'studio' | 'practice'>,
  body: Body | null,
  setupId: string | null,
  ways: InForce,
): string {
  if (body === null || setupId === null) return ''
  return handNumbers(ctx, body, setupId, ways)
    .map(({ label, value }) => `${label} ${value}`)
    .join(' · ')
}
