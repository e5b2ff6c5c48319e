import { derivedLengths } from '../body/derived'
import type { Body } from '../body/estimate'
import { degrees } from '../mechanics/point'
import { spacersFor, USUAL_BLOCK, type BlockSize, type Spacer } from '../props/blocks'
import { ok, refused, type Result } from '../result'
import type { SetupOptions, SetupRefusal, SetupWarning } from './setup'

/** Hands held in the thumb–index L keep their inner edges this much wider than the block, cm (props.md 2.3, solved back). */
const L_GRIP_EXTRA_CM = 3.8
/** Hand's own half width, twice, between the block and the forearm's line (props.md 2.3). */
const HAND_ALLOWANCE_CM = 3
/** A turn-in of the forearms up to this is still called parallel (A12). */
const TURN_IN_TOLERANCE_DEG = 5
/** Where the web between thumb and index lies along the hand from the wrist. */
const THUMB_WEB = 0.5

export type HandBlock = {
  readonly block: BlockSize
  readonly spacer: Spacer
  readonly turnInDeg: number
  /** Elbow to the near face of the block, cm. */
  readonly elbowToBlockCm: number
  readonly warnings: readonly SetupWarning[]
}

/**
 * Chooses which face of the block (or pair) goes between the hands so that the forearms stay nearest to parallel.
 * Held in the thumb–index L: thumbs along the near face, index fingers along the ends.
 */
export function chooseHandBlock(body: Body, options: SetupOptions): Result<HandBlock, SetupRefusal> {
  const stock = options.blocks ?? [USUAL_BLOCK, USUAL_BLOCK]
  const [block] = stock
  if (!block) return refused({ code: 'no-blocks', needed: 1 })
  const { jointWidth } = derivedLengths(body)
  const wanted = jointWidth.valueCm - HAND_ALLOWANCE_CM - L_GRIP_EXTRA_CM
  const [best] = spacersFor(wanted, stock)
  const whole = spacersFor(wanted, stock).find((spacer) => spacer.edgesCm.length === 1)
  // One block is simpler to hold: a second comes in only when one turns the forearms past tolerance.
  const single = whole && Math.abs(turnIn(body, whole.widthCm)) <= TURN_IN_TOLERANCE_DEG ? whole : undefined
  const spacer = single ?? best
  if (!spacer) return refused({ code: 'no-blocks', needed: 1 })
  const turnInDeg = turnIn(body, spacer.widthCm)
  const warnings: SetupWarning[] =
    Math.abs(turnInDeg) > TURN_IN_TOLERANCE_DEG
      ? [
          {
            code: 'forearms-turn-in',
            faultId: 'FT-block-width',
            numbers: { turnInDeg, widthCm: spacer.widthCm },
          },
        ]
      : []
  const { forearm, hand } = body.length
  return ok({
    block,
    spacer,
    turnInDeg,
    warnings,
    elbowToBlockCm: forearm.valueCm + THUMB_WEB * hand.valueCm,
  })
}

/** Turn-in of each forearm with the hands in the L round a width, degrees; negative turns out (props.md 2.3). */
export function turnIn(body: Body, widthCm: number): number {
  const { jointWidth } = derivedLengths(body)
  const perSide = (jointWidth.valueCm - HAND_ALLOWANCE_CM - (widthCm + L_GRIP_EXTRA_CM)) / 2
  return degrees(Math.atan(perSide / body.length.forearm.valueCm))
}
