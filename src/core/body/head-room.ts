import type { Body } from './estimate'

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
  /** Least height to lay under both forearms so that the crown clears by the margin even at the worst end, cm. */
  readonly raiseCm: number
}

/** How far the blades lift the trunk over the upper arms when they push, cm (props.md M14: 3–4, the lower taken). */
const PUSH_CM = 3
/** Clearance that is wanted once raised, cm (props.md M14: shortfall + 2). */
export const CLEAR_MARGIN_CM = 2

/** From the body’s proportions, not from strength: a short upper arm fails the test however strong it is. */
export function headRoom(body: Body): HeadRoom {
  const { upperArm, headNeck } = body.length
  const clearCm = upperArm.valueCm - headNeck.valueCm
  const withinCm = 2 * Math.hypot(upperArm.sdCm, headNeck.sdCm)
  const pushedCm = clearCm + PUSH_CM
  const [worst, best] = [clearCm - withinCm, clearCm + withinCm]
  const answer =
    worst >= CLEAR_MARGIN_CM
      ? 'yes'
      : worst + PUSH_CM >= CLEAR_MARGIN_CM
        ? 'with-a-push'
        : best + PUSH_CM >= CLEAR_MARGIN_CM
          ? 'depends-on-the-tape'
          : 'raise-the-forearms'
  return { clearCm, withinCm, pushedCm, answer, raiseCm: Math.max(0, CLEAR_MARGIN_CM - (worst + PUSH_CM)) }
}
