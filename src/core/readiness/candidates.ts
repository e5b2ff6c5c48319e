import { afterSatisfied } from '../practice/after'
import type { Stage } from '../practice/schema'
import { successorsOf, type Ladder } from './ladder'
import type { Standing } from './standing'

/** From where somebody looks for what comes next in a family. */
export type Standpoint = {
  readonly ladder: Ladder
  readonly standing: Standing | null
  readonly credited: ReadonlySet<string>
}

/**
 * Every open stage that is not behind somebody yet: on the rung they stand on or above it, and whatever below it has to
 * be done on the way to the top. Without a standing, every open one.
 */
export function candidates({ ladder, standing, credited }: Standpoint, hidden: ReadonlySet<string>): Stage[] {
  const open = ladder.stages.filter(
    (stage) => !hidden.has(stage.id) && !credited.has(stage.id) && afterSatisfied(stage, credited),
  )
  if (!standing) return open
  const from = ladder.rung(standing.stageId)
  return open.filter((stage) => ladder.rung(stage.id) >= from || ladder.onTheWay.has(stage.id))
}

/** Whether a stage leads on from the standing: a rung higher, next in line, or needed on the way to the top. */
export function leadsOn({ ladder, standing }: Standpoint, stageId: string): boolean {
  return (
    !standing ||
    ladder.rung(stageId) > ladder.rung(standing.stageId) ||
    ladder.onTheWay.has(stageId) ||
    successorsOf(ladder.stages, standing.stageId).some((s) => s.id === stageId)
  )
}

/** What the approach prefers first, then what follows the standing at once, then the order of the ladder. */
export function byPreference(
  { ladder, standing }: Standpoint,
  stages: readonly Stage[],
  prefers: readonly string[],
): Stage[] {
  const next = new Set(standing ? successorsOf(ladder.stages, standing.stageId).map((s) => s.id) : [])
  const rank = ({ id }: Stage): number =>
    prefers.includes(id) ? prefers.indexOf(id) : prefers.length + (next.has(id) ? 0 : 1)
  return stages.toSorted((a, b) => rank(a) - rank(b))
}
