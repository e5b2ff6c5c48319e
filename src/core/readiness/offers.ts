import type { Stage } from '../practice/schema'

/** A teacher’s own look at an offer. The newest for a stage counts. */
export type OfferTap = {
  readonly studentId: string
  readonly stageId: string
  readonly answer: 'accept' | 'hold-back'
  readonly by: string
  readonly atMs: number
}

/** A first solo kick, free balance or head load never goes ahead on the engine’s word alone (ruling 16). */
export function needsLook({ load: { FR = 0, HB = 0 } }: Pick<Stage, 'load'>): boolean {
  return FR >= 3 || HB >= 2
}

/** The last answer to an offer, or null where nobody has looked. */
export function answerTo(taps: readonly OfferTap[], studentId: string, stageId: string): OfferTap | null {
  return taps
    .filter((t) => t.studentId === studentId && t.stageId === stageId)
    .reduce<OfferTap | null>((best, t) => (best === null || t.atMs >= best.atMs ? t : best), null)
}

/** Whether a stage that was offered may be planned: looked at where it must be, and not held back. */
export function mayBePlanned(stage: Pick<Stage, 'load'>, answer: OfferTap['answer'] | null): boolean {
  return answer === 'accept' || (answer === null && !needsLook(stage))
}
