import { ok } from '../result'
import { dolphinPair, elbowWidth, walkIn, walkInDimension } from './dolphin-base'
import { figureOf, sceneFrom } from './scene'
import { step, type Setup } from './setup'

/** Dolphin without a prop: the reference shape. */
export const DOLPHIN_PLAIN: Setup = {
  id: 'SETUP-dolphin-plain',
  solve(body, options) {
    const pair = dolphinPair(body, options)
    if (!pair.ok) return pair
    const { start, target } = pair.value
    const width = elbowWidth(body)
    const feet = walkIn(target)
    return ok({
      id: DOLPHIN_PLAIN.id,
      body,
      start,
      target,
      placements: [width, feet],
      props: [],
      steps: [
        step('elbows-at-width', { widthCm: width.valueCm }),
        step('forearms-parallel'),
        step('plank-then-walk', { walkInCm: feet.valueCm }),
      ],
      warnings: [],
      less: null,
      more: 'SETUP-dolphin-block',
      scene: sceneFrom(target, {
        figures: [figureOf(start, 'start'), figureOf(target, 'target')],
        props: [],
        dimensions: [walkInDimension(target)],
      }),
    })
  },
}
