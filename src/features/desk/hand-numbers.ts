import 'server-only'
import { beginnings, beginWith, type InForce } from '@/core/approaches/effects'
import type { Body } from '@/core/body/estimate'
import { findById } from '@/core/practice/find'
import { solveSetup } from '@/core/setups/catalogue'
import type { Placement } from '@/core/setups/setup'
import { length } from '@/core/words/number'
import { describeStep, placementLabel } from '@/core/words/setup'
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
    .filter((p) => !nothingLies(p) && !isSameForAll(p))
    .map((p) => ({ label: placementLabel(p.key), value: length(p.valueCm, studio) }))
}

/**
 * How a rig is built for somebody, a step a line and the press test among them; empty where a setup is no rig. Without a
 * body of their own only the test is asked for: numbers of somebody else build the wrong thing.
 */
export function rigSteps(
  { studio, practice }: Pick<Context, 'studio' | 'practice'>,
  body: Body | null,
  setupId: string | null,
  ways: InForce,
): string[] {
  if (setupId === null || !findById(practice.setups, setupId).rig) return []
  const solved =
    body && solveSetup(setupId, body, beginWith(beginnings(practice, ways)[setupId], body), studio.stock)
  const steps = solved?.ok ? solved.value.steps : []
  const tested = steps.some((s) => s.code.startsWith('press-test'))
  return [...steps.map((s) => describeStep(s, studio)), ...(tested ? [] : [PRESS_TEST])]
}

/** Where a setup names no test of its own. */
const PRESS_TEST = 'Lean on all of it with your full weight: nothing slides, rocks or tips.'

/** A support of no height is nothing to fetch, and no number to read out. */
function nothingLies({ line, valueCm }: Placement): boolean {
  return line === 'prop-top' && Math.abs(valueCm) < LEAST_SUPPORT_CM
}

/** Free floor on a mat is a metre for everybody: it is looked for once, with the room, not read out for each. */
function isSameForAll({ key }: Placement): boolean {
  return key === 'clear-side'
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
