import highs, { type LegacyHighs } from 'highs'
import { boundProgramme } from '@/core/planning/bound'
import type { Model } from '@/core/planning/model'

let loaded: Promise<LegacyHighs> | undefined

/** Longest that whole blocks and versions may take, s; then the plain programme has to do, which is far quicker. */
const MOST_S = 15
/** Longest that the plain one may take: on a machine that is busy elsewhere it still ends, s. */
const PLAIN_MOST_S = 90
/** So near to its optimum a programme may stop; it is added to what it says. */
const SLACK = 0.001

/**
 * Points that no plan of a class can pass; null where they are not found. It stops the thread that asks.
 * @param locate where the solver's own file lies, in a browser
 */
export async function boundOf(model: Model, locate?: string): Promise<number | null> {
  loaded ??= highs(locate === undefined ? undefined : { locateFile: () => locate })
  const solver = await loaded
  for (const whole of [true, false]) {
    const text = boundProgramme(model, whole)
    const found = solver.solve(text, {
      time_limit: whole ? MOST_S : PLAIN_MOST_S,
      mip_rel_gap: SLACK,
      output_flag: false,
    })
    if (found.Status === 'Optimal') return found.ObjectiveValue + Math.abs(found.ObjectiveValue) * SLACK
  }
  return null
}
