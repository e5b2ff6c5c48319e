import { ok } from '../result'
import { dolphinPair, elbowWidth, walkIn, walkInDimension } from './dolphin-base'
import { chooseHandBlock } from './hand-block'
import { blockOutline, figureOf, sceneFrom } from './scene'
import { step, type Setup } from './setup'

/** Dolphin with a block between the hands, thumbs along the near face, index fingers along the ends. */
export const DOLPHIN_BLOCK: Setup = {
  id: 'SETUP-dolphin-block',
  solve(body, options) {
    const hands = chooseHandBlock(body, options)
    if (!hands.ok) return hands
    const pair = dolphinPair(body, options)
    if (!pair.ok) return pair
    const { start, target } = pair.value
    const { spacer, block, elbowToBlockCm, turnInDeg, warnings } = hands.value
    const width = elbowWidth(body)
    const feet = walkIn(target)
    return ok({
      id: DOLPHIN_BLOCK.id,
      body,
      start,
      target,
      placements: [
        width,
        {
          key: 'block-from-elbow',
          line: 'elbow',
          valueCm: elbowToBlockCm,
          withinCm: 2 * Math.hypot(body.length.forearm.sdCm, body.length.hand.sdCm / 2),
          fromCm: elbowToBlockCm - 2,
          toCm: elbowToBlockCm + 2,
          bodyWay: { measure: 'thumbs-meet-block', withinCm: 1, numbers: {} },
        },
        feet,
      ],
      props: [{ kind: 'block', count: spacer.edgesCm.length, detail: [...spacer.edgesCm] }],
      steps: [
        step('elbows-at-width', { widthCm: width.valueCm }),
        step('block-between-hands', { widthCm: spacer.widthCm, turnInDeg }),
        step('thumbs-near-face'),
        step('plank-then-walk', { walkInCm: feet.valueCm }),
      ],
      warnings,
      less: 'SETUP-dolphin-plain',
      more: 'SETUP-dolphin-strap',
      scene: sceneFrom(target, {
        figures: [figureOf(start, 'start'), figureOf(target, 'target')],
        props: [blockOutline(elbowToBlockCm, block.wideCm, block.thickCm)],
        dimensions: [
          walkInDimension(target),
          {
            key: 'block-from-elbow',
            from: { x: 0, y: 0 },
            to: { x: elbowToBlockCm, y: 0 },
            valueCm: elbowToBlockCm,
            offsetCm: -24,
          },
        ],
      }),
    })
  },
}
