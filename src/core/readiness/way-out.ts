import { findById } from '../practice/find'
import type { Library } from '../practice/library'
import { WAY_OUT_CHECK } from '../practice/rule-gates'
import { closes, type Limits } from '../screening/caps'
import { waysOut, type WayOut } from '../screening/ways-out'
import type { Decision } from './decide'
import type { Observation } from './evidence'

/**
 * The way out that somebody has to show next: of the first next step that still asks for one, else of the first that is
 * left by one that is rehearsed; of its ways the first that limits leave them. Null where no step asks.
 * @param decisions the families in the order in which they matter here
 */
export function wayOutToShow(
  practice: Library,
  decisions: readonly Decision[],
  limits: Limits,
): WayOut | null {
  const missing = decisions.filter((d) => d.missing.some(({ gate }) => gate.check === WAY_OUT_CHECK))
  for (const { targetId } of [...missing, ...decisions]) {
    if (targetId === null) continue
    const stage = findById(practice.stages, targetId)
    if (!stage.gates.some((gate) => gate.check === WAY_OUT_CHECK)) continue
    const [first] = waysOut(practice, stage, limits)
    if (first) return first
  }
  return null
}

/**
 * Results without those that show a way out that limits close: it leads them out no more, however well it was once shown.
 * A poor one stays, for it speaks against.
 */
export function withoutClosedWays(
  { exits }: Pick<Library, 'exits'>,
  limits: Limits,
  observations: readonly Observation[],
): readonly Observation[] {
  const closed = new Set(exits.flatMap(({ id, load }) => (closes(limits, load) ? [id] : [])))
  if (closed.size === 0) return observations
  return observations.filter(
    ({ checkId, exitId, values }) =>
      checkId !== WAY_OUT_CHECK || !closed.has(exitId ?? '') || Object.values(values).includes(0),
  )
}
