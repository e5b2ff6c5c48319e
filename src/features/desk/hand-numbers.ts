import 'server-only'
import { beginnings, beginWith, type InForce } from '@/core/approaches/effects'
import type { Body } from '@/core/body/estimate'
import { findById } from '@/core/practice/find'
import { solveSetup } from '@/core/setups/catalogue'
import { isOwnNumber } from '@/core/setups/own-number'
import { length } from '@/core/words/number'
import { describeRig, placementLabel } from '@/core/words/setup'
import type { Context } from '../context'

/** The lengths that place hands and props in a setup on one body, in the ways that hold; empty where it cannot be built. */
export function handNumbers(
  { studio, practice }: Pick<Context, 'studio' | 'practice'>,
  body: Body,
  setupId: string,
  ways: InForce,
  opens: Readonly<Record<string, number>> = {},
): { label: string; value: string }[] {
  const begun = beginWith(beginnings(practice, ways)[setupId], body)
  const solved = solveSetup(setupId, body, { ...begun, ...opens }, studio.stock)
  if (!solved.ok) return []
  return solved.value.placements
    .filter(isOwnNumber)
    .map((p) => ({ label: placementLabel(p.key), value: length(p.valueCm, studio) }))
}

/** How a rig is built, with its press test, and how somebody goes in; nothing to build where a setup is none. */
export type Rig = ReturnType<typeof describeRig>

const NO_RIG: Rig = { builds: [], goesIn: [] }

/**
 * How a rig is built for somebody. Without a body of their own only the test is asked for: numbers of somebody else build
 * the wrong thing.
 */
export function rigSteps(
  { studio, practice }: Pick<Context, 'studio' | 'practice'>,
  body: Body | null,
  setupId: string | null,
  ways: InForce,
): Rig {
  if (setupId === null || !findById(practice.setups, setupId).rig) return NO_RIG
  const solved =
    body && solveSetup(setupId, body, beginWith(beginnings(practice, ways)[setupId], body), studio.stock)
  return describeRig(solved?.ok ? solved.value.steps : [], studio)
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
