import type { Stage } from '../practice/schema'
import type { Decision } from './decide'
import { EVIDENCE_WINDOW_DAYS, PLACEMENT_DAYS } from './evidence'
import type { OverrideReason } from '../classes/override'

/** A teacher’s own look at an offer. The newest for a stage counts. */
export type OfferTap = {
  readonly studentId: string
  readonly stageId: string
  /** `override`: the teacher goes above what is recorded, with a reason. */
  readonly answer: 'accept' | 'hold-back' | 'override'
  readonly reason: OverrideReason | null
  readonly by: string
  readonly atMs: number
}

/** A first solo kick, free balance or head load never goes ahead on the engine’s word alone (ruling 16). */
export function needsLook({ load: { FR = 0, HB = 0 } }: Pick<Stage, 'load'>): boolean {
  return FR >= 3 || HB >= 2
}

/** Going above what is recorded lasts as long as a placing by eye, ms. */
const OVERRIDE_MS = PLACEMENT_DAYS * 86_400_000

/** A look at an offer is a look at this body now: it lasts as long as the evidence it looked at, ms. */
const ACCEPT_MS = EVIDENCE_WINDOW_DAYS * 86_400_000

/**
 * What a teacher may say of a next step: answer an offer, go above what is recorded, or nothing. A limit that closes the
 * stage, and a health screen that nobody recorded, are not gone above.
 */
export function mayAnswer({
  outcome,
  reasons,
}: Pick<Decision, 'outcome' | 'reasons'>): 'answer' | 'override' | 'nothing' {
  if (outcome === 'offer') return 'answer'
  const closed = outcome === 'not-now' || reasons.some((r) => r.code === 'screening-not-recorded')
  return closed ? 'nothing' : 'override'
}

/** The last answer to an offer, or null where nobody has looked or the last word has run out. */
export function answerTo(
  taps: readonly OfferTap[],
  studentId: string,
  stageId: string,
  nowMs: number,
): OfferTap | null {
  const last = taps
    .filter((t) => t.studentId === studentId && t.stageId === stageId)
    .reduce<OfferTap | null>((best, t) => (best === null || t.atMs >= best.atMs ? t : best), null)
  if (!last || last.answer === 'hold-back') return last
  return nowMs - last.atMs > (last.answer === 'override' ? OVERRIDE_MS : ACCEPT_MS) ? null : last
}

/** Whether a stage that was offered may be planned: looked at where it must be, and not held back. */
export function mayBePlanned(stage: Pick<Stage, 'load'>, answer: OfferTap['answer'] | null): boolean {
  return answer === 'accept' || answer === 'override' || (answer === null && !needsLook(stage))
}
