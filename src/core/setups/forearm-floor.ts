import type { Result } from '../result'
import { defineSetup, placement } from './define'
import { chooseHandBlock, GRIPS, type HandBlock } from './hand-block'
import { across, box, chair, upright } from './scene'
import { step, type Pose, type Setup, type SetupGiven, type SetupRefusal } from './setup'
import { elbowWidth, fartherOut, FEET, option, strapFor, strapLoop, walkIn, walkInDimension } from './shared'
import { forearmsFromAbove, slab } from './top-view'
import { read } from '../mechanics/parameters'
import { CHAIR_BACK_CM, CHAIR_SEAT_CM } from '../props/stock'

const BASE_OPTIONS = [FEET, option.kneeBend]

const dolphinPoses = ({ body, o }: SetupGiven): { start: Pose; target: Pose } => {
  const toeDistanceCm = read(o, 'toeDistanceCm')
  const kneeBendDeg = read(o, 'kneeBendDeg')
  return {
    start: ['dolphin', { toeDistanceCm: fartherOut(body, toeDistanceCm), kneeBendDeg }],
    target: ['dolphin', { toeDistanceCm, kneeBendDeg }],
  }
}

const strap = defineSetup<number>({
  id: 'SETUP-dolphin-strap',
  options: [
    ...BASE_OPTIONS,
    option.cm('loopWiderCm', 'Loop wider than the shoulders', -4, 6, 0, {
      usualFrom: -4,
      usualTo: 0,
      above: 'FT-strap-misplaced',
    }),
  ],
  choose: ({ lengths, stock }) => strapFor(lengths.strapNeeded, stock.straps),
  poses: dolphinPoses,
  place: ({ body, lengths, o, target, chosen }) => {
    const loop = strapLoop(lengths)
    const wider = read(o, 'loopWiderCm')
    const width = elbowWidth(lengths)
    const feet = walkIn(target)
    const { shoulder } = target.skeleton
    const at = { x: shoulder.x * 0.25, y: shoulder.y * 0.25 }
    return {
      placements: [
        { ...loop, valueCm: loop.valueCm + 2 * wider, toCm: Math.max(loop.toCm, loop.valueCm + 2 * wider) },
        width,
        feet,
      ],
      props: [{ kind: 'strap', count: 1, detail: [chosen] }],
      steps: [
        step('strap-close', { loopCm: loop.valueCm + 2 * wider }),
        step('strap-above-elbows'),
        step('elbows-at-width', { widthCm: width.valueCm }),
        step('forearms-parallel'),
        step('plank-then-walk', { walkInCm: feet.valueCm }),
        step('strap-off-before-rest'),
      ],
      outlines: [box('strap', at.x - 5, at.y - 2, 10, 4)],
      dimensions: [walkInDimension(target)],
      top: forearmsFromAbove(body, {
        elbowsCm: width.valueCm,
        props: [slab('strap', 4, 3.8, 0, width.valueCm + 9)],
      }),
    }
  },
})

const block = defineSetup<HandBlock>({
  id: 'SETUP-dolphin-block',
  options: [option.choice('grip', 'How the hands meet the block', GRIPS), ...BASE_OPTIONS],
  choose: handBlock,
  poses: dolphinPoses,
  place: ({ body, lengths, target, chosen }) => {
    const width = elbowWidth(lengths)
    const feet = walkIn(target)
    const { spacer, elbowToBlockCm, turnInDeg, warnings } = chosen
    const { forearm, hand } = body.length
    return {
      placements: [
        width,
        placement('block-from-elbow', 'elbow', elbowToBlockCm, {
          sdCm: Math.hypot(forearm.sdCm, hand.sdCm / 2),
          give: 2,
          way: ['thumbs-meet-block', 1],
        }),
        feet,
      ],
      props: [chosen.prop],
      steps: [
        step('elbows-at-width', { widthCm: width.valueCm }),
        step('block-between-hands', { widthCm: spacer.widthCm, turnInDeg: Math.max(0, turnInDeg) }),
        step('thumbs-near-face'),
        step('plank-then-walk', { walkInCm: feet.valueCm }),
      ],
      warnings,
      outlines: [box('block', elbowToBlockCm, 0, chosen.block.wideCm, chosen.block.thickCm)],
      dimensions: [walkInDimension(target), across('block-from-elbow', 0, elbowToBlockCm)],
      top: forearmsFromAbove(body, {
        elbowsCm: width.valueCm,
        wristsCm: width.valueCm - 2 * forearm.valueCm * Math.sin((turnInDeg * Math.PI) / 180),
        props: [slab('block', elbowToBlockCm, chosen.block.wideCm, 0, spacer.widthCm)],
      }),
    }
  },
})

/** Which block and grip; shared with the kick at the wall. */
export function handBlock({ body, lengths, o, stock }: SetupGiven): Result<HandBlock, SetupRefusal> {
  return chooseHandBlock(body, lengths, stock.blocks, GRIPS[read(o, 'grip')] ?? 'thumb-index')
}

/** Dolphins without a prop differ by their elbows, hands and first steps only. */
function bare(id: string, widerCm: number, steps: readonly string[], wristsIn = 0): Setup {
  return defineSetup({
    id,
    options:
      widerCm > 0
        ? [
            option.cm('elbowsWiderCm', 'Elbows wider than the shoulders', 0, 10, widerCm, {
              usualFrom: 2,
              usualTo: 5,
              above: 'FT-elbow-splay',
            }),
            ...BASE_OPTIONS,
          ]
        : BASE_OPTIONS,
    poses: dolphinPoses,
    place: ({ body, lengths, o, target }) => {
      const width = elbowWidth(lengths, o.elbowsWiderCm ?? 0)
      const feet = walkIn(target)
      return {
        placements: [width, feet],
        steps: [
          step('elbows-at-width', { widthCm: width.valueCm }),
          ...steps.map((code) => step(code, { widthCm: width.valueCm })),
          step('plank-then-walk', { walkInCm: feet.valueCm }),
        ],
        dimensions: [walkInDimension(target)],
        top: forearmsFromAbove(body, { elbowsCm: width.valueCm, wristsCm: width.valueCm * (1 - wristsIn) }),
      }
    },
  })
}

const raised = defineSetup({
  id: 'SETUP-dolphin-raised',
  options: [
    option.cm('seatHeightCm', 'Seat height', 30, 75, CHAIR_SEAT_CM, {
      usualFrom: 40,
      usualTo: 50,
      below: 'FT-rib-flare',
    }),
    option.kneeBend,
  ],
  poses: ({ body, o }) => ({
    target: [
      'dolphin-raised',
      {
        forearmHeightCm: read(o, 'seatHeightCm'),
        toeDistanceCm: feetBack(body.statureCm),
        kneeBendDeg: read(o, 'kneeBendDeg'),
      },
    ],
  }),
  place: ({ body, lengths, o, target }) => {
    const width = elbowWidth(lengths)
    const back = feetBack(body.statureCm)
    const height = read(o, 'seatHeightCm')
    const wallX = target.skeleton.fingertip.x + 6
    return {
      placements: [
        placement('seat-height', 'prop-top', height, { give: 2 }),
        width,
        placement('feet-back', 'ball-of-foot', back, {
          sdCm: 3,
          from: Math.min(80, back),
          to: 110,
          way: [
            'M15',
            body.length.foot.valueCm / 2,
            { feet: Math.round((2 * back) / body.length.foot.valueCm) / 2 },
          ],
        }),
      ],
      steps: [
        step('chair-against-wall'),
        step('blanket-on-seat'),
        step('elbows-at-width', { widthCm: width.valueCm }),
        step('feet-back-to', { feetBackCm: back }),
      ],
      outlines: chair(-6, 1, height, CHAIR_BACK_CM),
      dimensions: [across('feet-back', -back, 0), upright('seat-height', 20, height)],
      top: forearmsFromAbove(body, { elbowsCm: width.valueCm, head: false }),
      wallX: Math.max(wallX, 36),
    }
  },
})

/** Feet behind the elbows so that the trunk comes near to level: 80–110 cm by height (progressions.md 8). */
function feetBack(statureCm: number): number {
  return Math.min(110, 0.56 * statureCm)
}

const corner = defineSetup<HandBlock>({
  id: 'SETUP-wall-corner-forearms',
  options: [option.choice('grip', 'How the hands meet the block', GRIPS), FEET],
  choose: handBlock,
  poses: ({ o }) => ({ target: ['dolphin-at-corner', { toeDistanceCm: read(o, 'toeDistanceCm') }] }),
  place: ({ body, lengths, target, chosen }) => {
    const width = elbowWidth(lengths)
    const { forearm, hand } = body.length
    const height = forearm.valueCm + hand.valueCm / 2
    return {
      placements: [
        width,
        placement('block-height', 'block-face', height, {
          sdCm: forearm.sdCm,
          give: 2,
          way: ['thumbs-meet-block', 1],
        }),
        walkIn(target),
      ],
      props: [chosen.prop],
      steps: [
        step('mat-to-wall'),
        step('elbows-in-corner', { widthCm: width.valueCm }),
        step('block-between-hands', {
          widthCm: chosen.spacer.widthCm,
          turnInDeg: Math.max(0, chosen.turnInDeg),
        }),
        step('walk-in-head-free'),
      ],
      warnings: chosen.warnings,
      outlines: [
        box(
          'block',
          (target.wallX ?? 0) - chosen.block.thickCm,
          height,
          chosen.block.thickCm,
          chosen.block.wideCm,
        ),
      ],
      dimensions: [walkInDimension(target)],
      top: forearmsFromAbove(body, { elbowsCm: width.valueCm, wallX: target.wallX }),
    }
  },
})

const slide = defineSetup({
  id: 'SETUP-forearm-slide',
  options: [
    option.cm('slideCm', 'Slide from upright', 0, 15, 8, {
      usualFrom: 0,
      usualTo: 10,
      above: 'FT-slide-runaway',
    }),
  ],
  poses: ({ o }) => ({
    start: ['forearm-plank', {}],
    target: ['forearm-plank', { shoulderOffsetCm: -Math.min(10, read(o, 'slideCm')) }],
  }),
  place: ({ body, lengths, o, start, target }) => {
    const width = elbowWidth(lengths)
    const reach = -start.base.fromCm
    return {
      placements: [
        width,
        placement('feet-back', 'ball-of-foot', reach, { sdCm: 0.04 * reach, give: 10, way: ['one-line', 5] }),
        placement('slide', 'ball-of-foot', read(o, 'slideCm'), {
          from: 0,
          to: 15,
          way: ['until-the-back-dips', 5],
        }),
      ],
      steps: [
        step('elbows-at-width', { widthCm: width.valueCm }),
        step('cloth-under-toes'),
        step('slide-until-back-holds'),
      ],
      dimensions: [across('feet-back', target.base.fromCm, 0)],
      top: forearmsFromAbove(body, { elbowsCm: width.valueCm }),
    }
  },
})

export const FOREARM_FLOOR: readonly Setup[] = [
  strap,
  block,
  bare('SETUP-dolphin-plain', 0, ['forearms-parallel']),
  bare('SETUP-dolphin-clasp', 0, ['clasp-fingers', 'elbows-again'], 0.9),
  bare('SETUP-dolphin-wide', 3.5, ['note-the-width'], 0.1),
  raised,
  corner,
  slide,
]
