import { isFoot } from '../practice/after'
import type { Library } from '../practice/library'
import type { Stage } from '../practice/schema'
import { NOT_ASKED, type Caps, type Limits } from '../screening/caps'
import { closesStage } from '../screening/stage-limits'
import type { Branch, Decision } from './decide'
import { besideThem } from './ladder'
import { isOpenTo } from './may'
import { mayBePlanned, needsLook, type OfferTap } from './offers'

/** What decides how far somebody may go: the decision, what limits it, and the teacher's own look. */
export type Reach = {
  readonly standingId: string | null
  readonly targetId: string | null
  /** What is behind them and may be given (`Decision.held`). */
  readonly held: readonly string[]
  /** A step lower down that was left out, and what is decided of it; null or absent where there is none. */
  readonly gap?: Branch | null
  readonly outcome: Decision['outcome']
  /** What they may carry; nobody asked where absent. */
  readonly limits?: Caps
  /** The teacher’s answer to what is offered; null where nobody has looked. */
  readonly looked?: Pick<OfferTap, 'answer' | 'reason'> | null
}

/** How far a decision lets somebody go: on every page, in every plan, the same. A gap below is worked on where it may be. */
export function reachOf(decision: Decision): Omit<Reach, 'limits' | 'looked'> {
  const { standing, targetId, outcome, held, first, branches } = decision
  const gap = branches.find(({ stageId }) => stageId === first) ?? null
  return { standingId: standing?.stageId ?? null, targetId, outcome, held, gap }
}

/**
 * Whether somebody may do a stage: nothing that limits close, and nothing that leaves the floor or goes fully
 * upside down while the health screen is not recorded.
 */
export function isOpenStage(
  practice: Library,
  limits: Limits & Pick<Caps, 'answered'>,
  stage: Stage,
): boolean {
  return !closesStage(practice, limits, stage) && isOpenTo(limits, stage.load)
}

/**
 * Stages somebody may do, in ladder order: what they hold, and the next where it is offered, wants one more look, or the
 * teacher goes above what is recorded. Never above the decision otherwise.
 */
export function allowedStages(practice: Library, reach: Reach): Stage[] {
  const held = new Set(reach.held)
  const open = new Set([...held, ...besideThem(practice, held).map(({ id }) => id)])
  const find = (id: string | null | undefined): Stage[] => practice.stages.filter((s) => s.id === id)
  // Where they go back to, though they may have come by another branch: easier than what they did, and of low stakes.
  if (reach.outcome === 'step-back')
    for (const back of find(reach.targetId)) if (!needsLook(back)) open.add(back.id)
  if (reach.outcome !== 'step-back') {
    for (const target of find(reach.targetId)) if (mayBeNext(reach, target)) open.add(target.id)
    for (const gap of find(reach.gap?.stageId))
      if (isReady(reach.gap?.outcome) && mayBePlanned(gap, null)) open.add(gap.id)
  }
  const { limits = NOT_ASKED } = reach
  return practice.stages.filter((stage) => open.has(stage.id) && isOpenStage(practice, limits, stage))
}

/** Whether the step that comes next may be done: offered, wanted once more, begun with, or asked for by the teacher. */
function mayBeNext({ standingId, outcome, looked }: Reach, target: Stage): boolean {
  const answer = looked?.answer ?? null
  // Whoever has no standing yet begins where nothing is asked; a first rung that asks for a check waits for it.
  const begins = standingId === null && isFoot(target)
  return (isReady(outcome) || begins || answer === 'override') && mayBePlanned(target, answer)
}

function isReady(outcome: Decision['outcome'] | undefined): boolean {
  return outcome === 'offer' || outcome === 'once-more'
}
