import { derivedLengths } from '../body/derived'
import { ok } from '../result'
import { dolphinPair, elbowWidth, walkIn, walkInDimension } from './dolphin-base'
import { figureOf, sceneFrom } from './scene'
import { step, type Placement, type Setup } from './setup'

/** A loop this much narrower than the shoulders is still kind; wider never (progressions.md, setup table). */
const NARROWER_CM = 2
/** Circumference a loop lies off when it is judged just taut by eye, cm. */
const TAUT_BY_EYE_CM = 4

/** Dolphin with a strap looped above the elbows at shoulder width, never wider. */
export const DOLPHIN_STRAP: Setup = {
  id: 'SETUP-dolphin-strap',
  solve(body, options) {
    const pair = dolphinPair(body, options)
    if (!pair.ok) return pair
    const { start, target } = pair.value
    const { elbowLoop, strapNeeded } = derivedLengths(body)
    const loop: Placement = {
      key: 'strap-loop',
      line: 'loop',
      valueCm: elbowLoop.valueCm,
      withinCm: 2 * elbowLoop.sdCm,
      fromCm: elbowLoop.valueCm - 2 * NARROWER_CM,
      toCm: elbowLoop.valueCm,
      bodyWay: { measure: 'arms-forward', withinCm: TAUT_BY_EYE_CM, numbers: {} },
    }
    const width = elbowWidth(body)
    const feet = walkIn(target)
    const shoulder = target.skeleton.shoulder
    const strapAt = 0.25
    const onArm = { x: shoulder.x * strapAt, y: shoulder.y * strapAt }
    return ok({
      id: DOLPHIN_STRAP.id,
      body,
      start,
      target,
      placements: [loop, width, feet],
      props: [{ kind: 'strap', count: 1, detail: [Math.ceil(strapNeeded / 10) * 10] }],
      steps: [
        step('strap-close', { loopCm: loop.valueCm }),
        step('strap-above-elbows'),
        step('elbows-at-width', { widthCm: width.valueCm }),
        step('forearms-parallel'),
        step('plank-then-walk', { walkInCm: feet.valueCm }),
        step('strap-off-before-rest'),
      ],
      warnings: [],
      less: 'SETUP-dolphin-block',
      more: 'SETUP-dolphin-raised',
      scene: sceneFrom(target, {
        figures: [figureOf(start, 'start'), figureOf(target, 'target')],
        props: [
          {
            kind: 'strap',
            outline: [
              { x: onArm.x - 5, y: onArm.y - 2 },
              { x: onArm.x + 5, y: onArm.y - 2 },
              { x: onArm.x + 5, y: onArm.y + 2 },
              { x: onArm.x - 5, y: onArm.y + 2 },
            ],
          },
        ],
        dimensions: [walkInDimension(target)],
      }),
    })
  },
}
