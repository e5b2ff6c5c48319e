import { answersTo } from '../practice/after'
import type { Library } from '../practice/library'
import type { Stage } from '../practice/schema'
import { asStrictAs, isStricter, judgeLoad, type Limit, type Limits, type LoadVerdict } from './caps'

/**
 * What the limits say of a stage: of its own load, and never less closed than what must come before it (ruling 17), so
 * that a limit which bars the easy leaves nothing harder open. Of several branches one open one is enough.
 */
export function judgeStage<L extends Limit>(
  practice: Library,
  stage: Stage,
  limits: Limits<L>,
): LoadVerdict<L> {
  const known = knownFor(practice, limits)
  const found = known.get(stage.id)
  if (found) return found as LoadVerdict<L>
  const own = judgeLoad(stage.load, limits)
  // Set before looking below, so that a circle in an altered library ends.
  known.set(stage.id, own)
  const verdict = [...closedBefore(practice, stage, limits)].reduce(stricter, own)
  known.set(stage.id, verdict)
  return verdict
}

/** Whether limits close a stage: it or what must come before it is barred or left out. */
export function closesStage(practice: Library, limits: Limits, stage: Stage): boolean {
  return asStrictAs(judgeStage(practice, stage, limits).verdict, 'left-out')
}

/** Whether a Stop bars a stage, or what must come before it. */
export function barsStage(practice: Library, limits: Limits, stage: Stage): boolean {
  return judgeStage(practice, stage, limits).verdict === 'barred'
}

/** Verdicts of what must come before, where they close it. */
function* closedBefore<L extends Limit>(
  practice: Library,
  { after }: Stage,
  limits: Limits<L>,
): Generator<LoadVerdict<L>> {
  const judged = (name: string): LoadVerdict<L>[] =>
    practice.stages.filter((s) => answersTo(s.id, name)).map((s) => judgeStage(practice, s, limits))
  for (const name of after.all) yield* leastClosed(judged(name), 1)
  for (const { least, of } of after.some) yield* leastClosed(of.flatMap(judged), least)
}

/** The strictest verdict of the so many most open ways, where it closes. */
function leastClosed<L extends Limit>(ways: readonly LoadVerdict<L>[], least: number): LoadVerdict<L>[] {
  const needed = ways.toSorted((a, b) => (isStricter(a.verdict, b.verdict) ? 1 : -1)).at(least - 1)
  return needed && asStrictAs(needed.verdict, 'left-out') ? [needed] : []
}

function stricter<L extends Limit>(a: LoadVerdict<L>, b: LoadVerdict<L>): LoadVerdict<L> {
  return isStricter(b.verdict, a.verdict) ? b : a
}

type Known = Map<string, LoadVerdict<Limit>>
const judgedStages = new WeakMap<Library, WeakMap<readonly Limit[], Known>>()

function knownFor(practice: Library, { caps }: Limits): Known {
  const inPractice = judgedStages.get(practice) ?? new WeakMap<readonly Limit[], Known>()
  judgedStages.set(practice, inPractice)
  const known = inPractice.get(caps) ?? new Map<string, LoadVerdict<Limit>>()
  inPractice.set(caps, known)
  return known
}
