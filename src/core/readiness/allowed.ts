import { isFoot } from '../practice/after'
import type { Library } from '../practice/library'
import type { Load, Stage } from '../practice/schema'
import { closes, NOT_ASKED, type Caps, type Limits } from '../screening/caps'
import { closesStage } from '../screening/stage-limits'
import { waitsForScreening, type Branch, type Decision } from './decide'
import { besideThem } from './ladder'
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

/** The same of any load, such as a drill's. */
export function isOpenTo(limits: Limits & Pick<Caps, 'answered'>, load: Load): boolean {
  return !closes(limits, load) && (limits.answered || !waitsForScreening(load))
}

/**
 * Stages somebody may do, in ladder order: what they hold, and the next where it is offered, wants one more look, or the
 * teacher goes above what is recorded. Never above the decision otherwise.
 */
export function allowedStages(practice: Library, reach: Reach): Stage[] {
  const { standingId, targetId, outcome, limits = NOT_ASKED, looked = null } = reach
  const held = new Set(reach.held)
  const open = new Set([...held, ...besideThem(practice, held).map(({ id }) => id)])
  if (outcome === 'step-back') {
    // Where they go back to, though they may have come by another branch: easier than what they did, and of low stakes.
    const back = practice.stages.find((s) => s.id === targetId)
    if (back && !needsLook(back)) open.add(back.id)
  } else {
    const target = practice.stages.find((s) => s.id === targetId)
    const answer = looked?.answer ?? null
    // Whoever has no standing yet begins where nothing is asked; a first rung that asks for a check waits for it.
    const begins = standingId === null && target !== undefined && isFoot(target)
    const next = outcome === 'offer' || outcome === 'once-more' || begins || answer === 'override'
    if (target && next && mayBePlanned(target, answer)) open.add(target.id)
    const gap = practice.stages.find((s) => s.id === reach.gap?.stageId)
    const isReady = reach.gap?.outcome === 'offer' || reach.gap?.outcome === 'once-more'
    if (gap && isReady && mayBePlanned(gap, null)) open.add(gap.id)
  }
  return practice.stages.filter((stage) => open.has(stage.id) && isOpenStage(practice, limits, stage))
}
