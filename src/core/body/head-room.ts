import type { Body, Reading } from './estimate'

/** Can the arms carry the head? Clearance of the crown over the floor on upright upper arms. */
export type HeadRoom = {
  /** Upper arm less head and neck: what is clear before anybody pushes, cm. */
  readonly clearCm: number
  /** Two standard deviations of it, cm. */
  readonly withinCm: number
  /** With the push of strong shoulder blades, cm. */
  readonly pushedCm: number
  /** The answer at the worst and the best end of the tape. */
  readonly answer: 'yes' | 'with-a-push' | 'depends-on-the-tape' | 'raise-the-forearms'
  /** What to lay under both forearms, cm; 0 where the arms are long enough. */
  readonly raiseCm: number
}

/** How far the blades lift the trunk over the upper arms when they push, cm (props.md M14: 3–4, the lower taken). */
const PUSH_CM = 3
/** Clearance that is wanted once raised, cm (props.md M14: shortfall + 2). */
export const CLEAR_MARGIN_CM = 2

/**
 * What both forearms need under them so that the arms can carry the head: the shortfall and the margin (M14), or 0.
 * The one answer of bench, setups, gates and fault help; the push is left for the work, so nobody needs it to be safe.
 */
export function forearmLift({ length: { upperArm, headNeck } }: Body): Reading {
  const short = headNeck.valueCm - upperArm.valueCm
  return {
    valueCm: short > 0 ? short + CLEAR_MARGIN_CM : 0,
    sdCm: Math.hypot(headNeck.sdCm, upperArm.sdCm),
    source: headNeck.source === 'measured' && upperArm.source === 'measured' ? 'measured' : 'estimated',
  }
}

/** From the body’s proportions, not from strength: a short upper arm fails the test however strong it is. */
export function headRoom(body: Body): HeadRoom {
  const { upperArm, headNeck } = body.length
  const clearCm = upperArm.valueCm - headNeck.valueCm
  const withinCm = 2 * Math.hypot(upperArm.sdCm, headNeck.sdCm)
  const pushedCm = clearCm + PUSH_CM
  const [worst, best] = [clearCm - withinCm, clearCm + withinCm]
  const raiseCm = forearmLift(body).valueCm
  const answer =
    worst >= CLEAR_MARGIN_CM
      ? 'yes'
      : best + PUSH_CM < CLEAR_MARGIN_CM || (raiseCm > 0 && best < CLEAR_MARGIN_CM)
        ? 'raise-the-forearms'
        : worst + PUSH_CM >= CLEAR_MARGIN_CM && raiseCm === 0
          ? 'with-a-push'
          : 'depends-on-the-tape'
  return { clearCm, withinCm, pushedCm, answer, raiseCm }
}
