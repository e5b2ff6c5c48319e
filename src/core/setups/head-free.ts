import type { DerivedLengths } from '../body/derived'
import type { Body } from '../body/estimate'
import { read, type Parameters } from '../mechanics/parameters'
import { FOAM_GIVE_CM, type BlockSize } from '../props/blocks'
import { lowestStack, tippingDeg, type Stack } from '../props/stack'
import { BLANKET_FOLD_CM, CHAIR_BACK_CM, CHAIR_SEAT_CM } from '../props/stock'
import { ok, refused, type Result } from '../result'
import { defineSetup, placement } from './define'
import { across, box, chair, upright } from './scene'
import { step, type Placement, type SetupRefusal } from './setup'
import { option } from './shared'
import { supportsFromAbove } from './top-view'

/** Both seats or towers leave a head and this much between them, cm (5–10). */
/** How high the support has to be for the crown to hang free, found by hanging it. */
const crownHangs = (body: Body, neededCm: number): ReturnType<typeof placement> =>
  placement('needed-height', 'prop-top', neededCm, {
    ...{ sdCm: body.length.headNeck.sdCm, give: 2, way: ['crown-hangs', 2] },
  })

const HEAD_ROOM_CM = 8
/** Crown above the floor with the shoulders resting, cm. */
const HEAD_CLEAR_CM = 5

const HEAD_FREE_OPTIONS = [
  option.cm('clearCm', 'Crown above the floor', 2, 12, HEAD_CLEAR_CM, {
    usualFrom: HEAD_CLEAR_CM,
    below: 'FT-head-load-hidden',
  }),
  option.cm('roomCm', 'Room beside the head, both sides together', 3, 14, HEAD_ROOM_CM, {
    usualFrom: 5,
    usualTo: 10,
    below: 'FT-head-load-hidden',
  }),
  option.cm('wallDistanceCm', 'Shoulders from the wall', 10, 40, 20, {
    usualFrom: 15,
    usualTo: 25,
    above: 'FT-chair-slip',
  }),
]

/** Shoulders must rest this high under load. */
function neededHeight(body: Body, o: Parameters): number {
  return body.length.headNeck.valueCm + read(o, 'clearCm')
}

function headGap(lengths: DerivedLengths, o: Parameters): Placement {
  const gap = { ...lengths.headWidth, valueCm: lengths.headWidth.valueCm + read(o, 'roomCm') }
  return placement('head-gap', 'between', gap, { give: 2, way: ['head-and-hand', 2] })
}

export const chairs = defineSetup<{ folds: number }>({
  id: 'SETUP-headfree-chairs',
  options: [...HEAD_FREE_OPTIONS, option.cm('seatHeightCm', 'Seat height', 30, 55, CHAIR_SEAT_CM)],
  choose: ({ body, o, stock }) => {
    if (stock.chairs < 2)
      return refused({ code: 'not-in-stock', prop: 'chair', needed: 2, inStock: stock.chairs })
    // At least one fold on each seat for comfort, more where the head would otherwise be low.
    const each = Math.max(1, Math.ceil((neededHeight(body, o) - read(o, 'seatHeightCm')) / BLANKET_FOLD_CM))
    return 2 * each <= stock.blankets
      ? ok({ folds: each })
      : refused({ code: 'not-in-stock', prop: 'blanket', needed: 2 * each, inStock: stock.blankets })
  },
  poses: ({ o }, { folds }) => ({
    target: [
      'headstand-head-free',
      {
        supportHeightCm: read(o, 'seatHeightCm') + folds * BLANKET_FOLD_CM,
        wallDistanceCm: read(o, 'wallDistanceCm'),
      },
    ],
  }),
  place: ({ body, lengths, o, target, chosen }) => {
    const gap = headGap(lengths, o)
    const seat = read(o, 'seatHeightCm')
    const wall = read(o, 'wallDistanceCm')
    const needed = neededHeight(body, o)
    return {
      placements: [
        gap,
        crownHangs(body, needed),
        placement('padded-height', 'prop-top', seat + chosen.folds * BLANKET_FOLD_CM, {
          from: needed,
          give: 2,
        }),
        placement('shoulders-to-wall', 'prop-edge', wall, { from: 15, to: 25 }),
      ],
      props: [
        { kind: 'chair', count: 2, detail: [seat] },
        { kind: 'blanket', count: 2 * chosen.folds, detail: [BLANKET_FOLD_CM] },
      ],
      steps: [
        step('chairs-on-mat-braced', { wallCm: wall }),
        step('gap-for-head', { gapCm: gap.valueCm }),
        step('pad-seats', { folds: chosen.folds }),
        step('press-test-seats'),
        step('shoulders-rest-feet-down'),
        step('crown-gap-by-hand', { clearCm: read(o, 'clearCm') }),
        step('legs-one-by-one'),
      ],
      warnings:
        target.headClearanceCm < HEAD_CLEAR_CM - 0.01
          ? [
              {
                code: 'crown-too-low',
                faultId: 'FT-head-load-hidden',
                numbers: { clearCm: target.headClearanceCm, leastCm: HEAD_CLEAR_CM },
              },
            ]
          : [],
      outlines: [
        ...chair(-20, 1, seat, CHAIR_BACK_CM).slice(0, 2),
        box('blanket', -20, seat, 40, chosen.folds * BLANKET_FOLD_CM),
      ],
      dimensions: [
        across('shoulders-to-wall', 0, wall),
        upright('padded-height', -26, seat + chosen.folds * BLANKET_FOLD_CM),
      ],
      top: supportsFromAbove(body, gap.valueCm, 40, 40, 'chair'),
    }
  },
})

/** How much of the upper block must lie on the lower one: half of its depth (mechanics.md 3). */
function overlapRefusal(overlapCm: number, block: BlockSize): SetupRefusal | null {
  const leastCm = block.wideCm / 2
  return overlapCm < leastCm ? { code: 'rig-without-overlap', overlapCm, leastCm } : null
}

export const towers = defineSetup<{ stack: Stack; block: BlockSize }>({
  id: 'SETUP-headfree-towers',
  options: [
    ...HEAD_FREE_OPTIONS.slice(0, 2),
    option.cm('overlapCm', 'Upper blocks resting on the lower', 0, 23, 15, {
      usualFrom: 10,
      below: 'FT-head-load-hidden',
    }),
  ],
  choose: ({ body, o, stock }): Result<{ stack: Stack; block: BlockSize }, SetupRefusal> => {
    const [block] = stock.blocks
    if (!block || stock.blocks.length < 4)
      return refused({ code: 'no-blocks', needed: 4, inStock: stock.blocks.length })
    const bad = overlapRefusal(read(o, 'overlapCm'), block)
    if (bad) return refused(bad)
    const half = stock.blocks.slice(0, Math.floor(stock.blocks.length / 2))
    const slabs = stock.slabs.slice(0, Math.floor(stock.slabs.length / 2))
    const stack = lowestStack(neededHeight(body, o) + SOFT_GIVE_CM, half, slabs, {
      most: 4,
      tallAllowed: true,
    })
    const reachedCm = half.reduce((sum, b) => sum + b.longCm, 0)
    return stack
      ? ok({ stack, block })
      : refused({ code: 'stack-too-low', neededCm: neededHeight(body, o) + SOFT_GIVE_CM, reachedCm })
  },
  poses: (_, { stack }) => ({
    target: ['headstand-head-free', { supportHeightCm: stack.heightCm, wallDistanceCm: 12 }],
  }),
  place: ({ body, lengths, o, chosen }) => {
    const gap = headGap(lengths, o)
    const needed = neededHeight(body, o) + SOFT_GIVE_CM
    const { stack, block } = chosen
    const blocks = stack.layers.filter((l) => l.kind === 'block').length
    const tip = tippingDeg(read(o, 'overlapCm'), block.wideCm, stack.heightCm)
    return {
      placements: [
        gap,
        crownHangs(body, needed),
        placement('tower-height', 'prop-top', stack.heightCm, { from: needed, give: 3 }),
      ],
      props: [
        {
          kind: 'block',
          count: 2 * blocks,
          face: stack.layers.find((l) => l.kind === 'block')?.face,
          detail: stack.layers.map((l) => l.heightCm),
        },
        { kind: 'blanket', count: 2, detail: [BLANKET_FOLD_CM] },
      ],
      steps: [
        step('towers-flush-to-wall'),
        step('gap-for-head', { gapCm: gap.valueCm }),
        step('press-test-stack'),
        step('shoulders-rest-feet-down'),
        step('crown-gap-by-hand', { clearCm: read(o, 'clearCm') }),
        step('legs-one-by-one'),
      ],
      warnings:
        tip < 5 ? [{ code: 'tower-tips', faultId: 'FT-head-load-hidden', numbers: { tipDeg: tip } }] : [],
      outlines: towerOutlines(stack, block, read(o, 'overlapCm')),
      dimensions: [upright('tower-height', -block.wideCm / 2 - 6, stack.heightCm)],
      top: supportsFromAbove(body, gap.valueCm, block.wideCm, block.longCm, 'block'),
    }
  },
})

/** Blankets on top give about this much under the shoulders, cm (progressions.md 8: 1 cm for every soft layer). */
const SOFT_GIVE_CM = 1

/** Layers from the floor up; what rests on the lowest one lies as far off it as the overlap leaves. */
function towerOutlines(stack: Stack, block: BlockSize, overlapCm: number): ReturnType<typeof box>[] {
  let y = 0
  return stack.layers.map((layer, i) => {
    const off = i === 0 ? 0 : Math.max(0, block.wideCm - overlapCm)
    const height = layer.heightCm - (layer.kind === 'block' ? FOAM_GIVE_CM : 0)
    const outline = box(layer.kind, -block.wideCm / 2 - off, y, block.wideCm, height)
    y += height
    return outline
  })
}
