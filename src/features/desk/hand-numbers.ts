import 'server-only'
import { beginnings, beginWith, type InForce } from '@/core/approaches/effects'
import type { Body } from '@/core/body/estimate'
import { solveSetup } from '@/core/setups/catalogue'
import type { Placement } from '@/core/setups/setup'
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
  if (!solved.ok) return []
  return solved.value.placements
    .filter((p) => !nothingLies(p))
    .map((p) => ({ label: placementLabel(p.key), value: length(p.valueCm, studio) }))
}

/** A support of no height is nothing to fetch, and no number to read out. */
function nothingLies({ line, valueCm }: Placement): boolean {
  return line === 'prop-top' && Math.abs(valueCm) < LEAST_SUPPORT_CM
}

/** Half of a folded mat's thickness: nobody lays less than this, cm. */
const LEAST_SUPPORT_CM = 0.3

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
