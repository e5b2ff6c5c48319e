import type { Day } from '../day'
import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import type { Decision } from '../readiness/decide'
import type { Observation } from '../readiness/evidence'
import { forecastGate } from '../readiness/forecast'
import { prescribe, type Given } from '../readiness/prescribe'

/** Somebody who works at a result that does not move, and what to drill in place of what they drill. */
export type Still = {
  readonly checkId: string
  readonly weeks: number
  readonly value: number
  /** What the practice names first for it, and so what has been drilled. */
  readonly drillId: string | null
  /** Another that trains the same; null where there is none that may be done. */
  readonly insteadId: string | null
}

/** A result that stood less long than this is no standing still, weeks. */
const LEAST_WEEKS = 3

/** What was drilled lately, newest last, and the day it is asked on. */
type Lately = { readonly done: readonly string[]; readonly asOf: Day }

/**
 * Results that are asked for next and have stood still, longest first.
 * @param observations folded, with what follows from tries
 */
export function standingStill(
  practice: Library,
  decision: Pick<Decision, 'missing'>,
  observations: readonly Observation[],
  { done, asOf, ...given }: Omit<Given, 'recent'> & Lately,
): Still[] {
  return decision.missing
    .flatMap((missing): Still[] => {
      const { gate, state } = missing
      // What is reached and only wants its days is no standing still.
      if (state === 'confirm' || state === 'met') return []
      if (gate.op !== '>=' && gate.op !== '<=') return []
      const check = findById(practice.checks, gate.check)
      const forecast = forecastGate(gate, check, observations, asOf)
      if (forecast.code !== 'flat' || forecast.weeks < LEAST_WEEKS) return []
      const named = practice.capabilities.filter((c) => c.checks.includes(check.id)).flatMap((c) => c.drills)
      const [first] = prescribe(practice, { missing: [missing] }, given)
      const drillId = done.findLast((id) => named.includes(id)) ?? first?.drillId ?? null
      // Something else than all that was tried for it lately, where there is anything.
      const recent = new Set([...done, ...(drillId === null ? [] : [drillId])])
      const instead = prescribe(practice, { missing: [missing] }, { ...given, recent }).find(
        (d) => d.drillId !== drillId,
      )
      return [
        {
          checkId: check.id,
          weeks: forecast.weeks,
          value: forecast.value,
          drillId,
          insteadId: instead?.drillId ?? null,
        },
      ]
    })
    .toSorted((a, b) => b.weeks - a.weeks)
}
