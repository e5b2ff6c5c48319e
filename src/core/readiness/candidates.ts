import { afterSatisfied, answersTo, namesIn } from '../practice/after'
import type { Stage } from '../practice/schema'
import { successorsOf, type Ladder } from './ladder'
import type { Standing } from './standing'

/** From where somebody looks for what comes next in a family. */
export type Standpoint = {
  readonly ladder: Ladder
  readonly standing: Standing | null
  /** Stages that are behind them, shown or seen by eye. */
  readonly reached: ReadonlySet<string>
}

/** A stage that may come next, and how it lies to where somebody stands. */
export type Candidate = {
  readonly stage: Stage
  /**
   * `onward`: above the standing, or on its rung and next in line or needed by everybody further up. `beside`: another way
   * of the same rung. `below`: a gap that is left under the standing. The first two are *next*; a gap is told as what comes *first*.
   */
  readonly lies: 'onward' | 'beside' | 'below'
  /** What has to be done before it, where something is left out beneath it. */
  readonly first: readonly string[]
}

/**
 * Every stage that is not behind somebody yet: those that are open to be gone to, and above the standing also those for which
 * only something lower is missing. Without a standing, every open one leads on.
 */
export function candidates(point: Standpoint, hidden: ReadonlySet<string>): Candidate[] {
  const { ladder, reached, standing } = point
  const left = ladder.stages.filter((stage) => !hidden.has(stage.id) && !reached.has(stage.id))
  const found = left.flatMap((stage): Candidate[] => {
    const lies = liesTo(point, stage)
    if (afterSatisfied(stage, reached)) return [{ stage, lies, first: [] }]
    if (!standing || lies !== 'onward') return []
    const first = gapsBelow(point, stage, left)
    return first.length === 0 ? [] : [{ stage, lies, first }]
  })
  // What lies below is of no use to anybody but where something further up rests on it.
  const gaps = new Set(found.flatMap(({ first }) => first))
  return found.filter(({ stage, lies }) => lies !== 'below' || gaps.has(stage.id))
}

function liesTo({ ladder, standing }: Standpoint, { id }: Stage): Candidate['lies'] {
  // A ladder's rungs need not rise along every branch: what follows at once leads on whatever its rung.
  if (!standing || successorsOf(ladder.stages, standing.stageId).some((s) => s.id === id)) return 'onward'
  const [at, from] = [ladder.rung(id), ladder.rung(standing.stageId)]
  if (at > from || (at === from && ladder.onTheWay.has(id))) return 'onward'
  return at === from ? 'beside' : 'below'
}

/**
 * What is left out beneath a stage that somebody could otherwise go on to: open to be done now, no higher than they stand.
 * None where the stage does not follow from where they stand, or where what is missing lies above them. Of a choice only a way
 * that is open now counts, and none where it asks for several: it is no gap that somebody took another way.
 */
function gapsBelow(
  { ladder, standing, reached }: Standpoint,
  stage: Stage,
  left: readonly Stage[],
): string[] {
  if (!standing || !namesIn(stage.after).some((name) => answersTo(standing.stageId, name))) return []
  const has = (name: string): boolean => [...reached].some((id) => answersTo(id, name))
  const top = ladder.rung(standing.stageId)
  const lower = (name: string): Stage[] =>
    left.filter((s) => answersTo(s.id, name) && ladder.rung(s.id) <= top)
  const found = new Set<string>()
  const visit = ({ all, some }: Stage['after'], seen: ReadonlySet<string>): void => {
    for (const gap of all.filter((name) => !has(name)).flatMap(lower)) {
      if (seen.has(gap.id)) continue
      if (afterSatisfied(gap, reached)) found.add(gap.id)
      else visit(gap.after, new Set([...seen, gap.id]))
    }
    for (const { least, of } of some)
      if (least === 1 && !of.some(has))
        for (const way of of.flatMap(lower)) if (afterSatisfied(way, reached)) found.add(way.id)
  }
  visit(stage.after, new Set())
  return [...found]
}

/** What the approach prefers first, then what follows the standing at once, then the order of the ladder. */
export function byPreference(
  { ladder, standing }: Standpoint,
  found: readonly Candidate[],
  prefers: readonly string[],
): Candidate[] {
  const next = new Set(standing ? successorsOf(ladder.stages, standing.stageId).map((s) => s.id) : [])
  const from = standing === null ? -1 : ladder.order(standing.stageId)
  // Of other ways of the same rung the one that comes later in the ladder first: nobody is turned back without need.
  const rank = ({ stage: { id }, lies }: Candidate): number =>
    prefers.includes(id)
      ? prefers.indexOf(id)
      : prefers.length + (next.has(id) ? 0 : lies === 'beside' && ladder.order(id) < from ? 2 : 1)
  return found.toSorted((a, b) => rank(a) - rank(b))
}
