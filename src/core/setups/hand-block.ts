import type { DerivedLengths } from '../body/derived'
import type { Body } from '../body/estimate'
import { jointWidthOf } from '../body/derived'
import { degrees } from '../mechanics/point'
import { spacersFor, type BlockSize, type Spacer } from '../props/blocks'
import { ok, refused, type Result } from '../result'
import type { SetupProp, SetupRefusal, SetupWarning } from './setup'

/** How hands and block meet (approach A13), in the order of the option. */
export const GRIPS = ['thumb-index', 'outer-faces', 'wrist-line'] as const
export type Grip = (typeof GRIPS)[number]

/** Hands held in the thumb–index L keep their inner edges this much wider than the block, cm (props.md 2.3, solved back). */
const L_GRIP_EXTRA_CM = 3.8
/** Hand's own half width, twice, between the block and the forearm's line (props.md 2.3). */
const HAND_ALLOWANCE_CM = 3
/** A turn-in of the forearms up to this is still called parallel (A12). */
const TURN_IN_TOLERANCE_DEG = 5
/** Where the near face lies along the hand from the wrist: at the web of the thumb, or at the crease itself. */
const NEAR_FACE: Record<Grip, number> = { 'thumb-index': 0.5, 'outer-faces': 0.5, 'wrist-line': 0 }

export type HandBlock = {
  readonly block: BlockSize
  readonly spacer: Spacer
  readonly turnInDeg: number
  /** Elbow to the near face of the block, cm. */
  readonly elbowToBlockCm: number
  readonly prop: SetupProp
  readonly warnings: readonly SetupWarning[]
}

/** Chooses which face of the block (or pair) goes between the hands so that the forearms stay nearest to parallel. */
export function chooseHandBlock(
  body: Body,
  lengths: DerivedLengths,
  stock: readonly BlockSize[],
  grip: Grip = 'thumb-index',
): Result<HandBlock, SetupRefusal> {
  const [block] = stock
  if (!block) return refused({ code: 'no-blocks', needed: 1, inStock: 0 })
  const wanted = lengths.jointWidth.valueCm - HAND_ALLOWANCE_CM - extraOf(grip)
  const spacers = spacersFor(wanted, stock)
  const whole = spacers.find((spacer) => spacer.edgesCm.length === 1)
  // One block is simpler to hold: a second comes in only when one turns the forearms past tolerance.
  const single =
    whole && Math.abs(turnIn(body, whole.widthCm, grip)) <= TURN_IN_TOLERANCE_DEG ? whole : undefined
  const spacer = single ?? spacers[0]
  if (!spacer) return refused({ code: 'no-blocks', needed: 1, inStock: 0 })
  const turnInDeg = turnIn(body, spacer.widthCm, grip)
  const { forearm, hand } = body.length
  return ok({
    block,
    spacer,
    turnInDeg,
    prop: { kind: 'block', count: spacer.edgesCm.length, face: 'flat', detail: spacer.edgesCm },
    warnings:
      Math.abs(turnInDeg) > TURN_IN_TOLERANCE_DEG
        ? [
            {
              code: 'forearms-turn-in',
              faultId: 'FT-block-width',
              numbers: { turnInDeg, widthCm: spacer.widthCm },
            },
          ]
        : [],
    elbowToBlockCm: forearm.valueCm + NEAR_FACE[grip] * hand.valueCm,
  })
}

/** Turn-in of each forearm with the hands round a width, degrees; negative turns out (props.md 2.3). */
export function turnIn(body: Body, widthCm: number, grip: Grip = 'thumb-index'): number {
  const perSide = (jointWidthOf(body).valueCm - HAND_ALLOWANCE_CM - (widthCm + extraOf(grip))) / 2
  return degrees(Math.atan(perSide / body.length.forearm.valueCm))
}

function extraOf(grip: Grip): number {
  return grip === 'outer-faces' ? 0 : L_GRIP_EXTRA_CM
}
