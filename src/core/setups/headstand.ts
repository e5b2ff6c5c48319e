import type { DerivedLengths } from '../body/derived'
import type { Body, Reading } from '../body/estimate'
import { read, type Parameters } from '../mechanics/parameters'
import { FOAM_GIVE_CM, type BlockSize } from '../props/blocks'
import { lowestStack, tippingDeg, type Stack } from '../props/stack'
import { BLANKET_FOLD_CM, CHAIR_BACK_CM, CHAIR_SEAT_CM } from '../props/stock'
import { ok, refused, type Result } from '../result'
import { defineSetup, placement } from './define'
import { footHeightWarning } from './forearm-wall'
import { across, box, chair, upright } from './scene'
import { step, type Placement, type Pose, type Setup, type SetupGiven, type SetupRefusal } from './setup'
import { elbowWidth, option } from './shared'
import { forearmsFromAbove, handsFromAbove, supportsFromAbove } from './top-view'

/** Forearms are raised by what short upper arms lack, and this much more (progressions.md 8, M14). */
const LIFT_EXTRA_CM = 2
/** More than this under the head lowers the push the arms can give (FT-crown-misplaced). */
const PAD_MOST_CM = 1

const PAD = option.cm('padCm', 'Padding under the head', 0, 4, 0.5, {
  usualTo: PAD_MOST_CM,
  above: 'FT-crown-misplaced',
})
const HEAD_FEET = option.cm('toeDistanceCm', 'Feet from the elbows', 20, 140, (body) => 0.4 * body.statureCm)

/** What the forearms need under them so that the arms can carry the head: 0 where they are long enough. */
function armsShort(body: Body): Reading {
  const { headNeck, upperArm } = body.length
  const short = headNeck.valueCm - upperArm.valueCm
  return {
    valueCm: short > 0 ? short + LIFT_EXTRA_CM : 0,
    sdCm: Math.hypot(headNeck.sdCm, upperArm.sdCm),
    source: headNeck.source === 'measured' && upperArm.source === 'measured' ? 'measured' : 'estimated',
  }
}

function basePlacements({ body, lengths }: SetupGiven): Placement[] {
  return [
    { ...elbowWidth(lengths), bodyWay: { measure: 'thumbs-in-elbow-folds', withinCm: 3, numbers: {} } },
    placement('forearm-lift', 'prop-top', armsShort(body), { give: 1, way: ['M14', 1] }),
  ]
}

type Variant = {
  id: string
  pose: (given: SetupGiven) => { start?: Pose; target: Pose }
  options?: Parameters
  more?: (given: SetupGiven) => {
    placements?: Placement[]
    steps?: readonly ReturnType<typeof step>[]
    wallX?: number
  }
  gap?: readonly [min: number, max: number, usual: number, from: number, to: number]
}

/** Forearms and crown on the floor: all versions share the triangle and differ by what stands around it. */
function headstand({ id, pose, more, gap }: Variant): Setup {
  return defineSetup<Stack>({
    id,
    options: [
      PAD,
      HEAD_FEET,
      ...(gap
        ? [
            option.cm('knuckleGapCm', 'Knuckles to wall', gap[0], gap[1], gap[2], {
              usualFrom: gap[3],
              usualTo: gap[4],
              below: 'FT-wall-rest',
              above: 'FT-wall-rest',
            }),
          ]
        : []),
    ],
    choose: ({ body, stock }) => {
      const { valueCm } = armsShort(body)
      const lift = lowestStack(valueCm, [], stock.slabs, { most: 3 })
      return lift
        ? ok(lift)
        : refused({
            code: 'not-in-stock',
            prop: 'slab',
            needed: Math.ceil(valueCm / 5),
            inStock: stock.slabs.length,
          })
    },
    poses: pose,
    place: (given) => {
      const extra = more?.(given) ?? {}
      const width = given.lengths.jointWidth.valueCm
      return {
        placements: [...basePlacements(given), ...(extra.placements ?? [])],
        props:
          given.chosen.layers.length > 0
            ? [
                {
                  kind: 'slab',
                  count: given.chosen.layers.length,
                  detail: given.chosen.layers.map((l) => l.heightCm),
                },
              ]
            : [],
        steps: [
          step('fold-mat', { padCm: read(given.o, 'padCm') }),
          step('elbows-at-width', { widthCm: width }),
          step('raise-forearms', { liftCm: given.chosen.heightCm }),
          step('crown-down-hands-cup'),
          ...(extra.steps ?? []),
        ],
        top: forearmsFromAbove(given.body, { elbowsCm: width, wristsCm: 0.25 * width }),
        ...(extra.wallX === undefined ? {} : { wallX: extra.wallX }),
        dimensions: extra.wallX === undefined ? [] : [across('elbow-to-wall', 0, extra.wallX)],
      }
    },
  })
}

/** Cushions lie in a horseshoe this far from the elbows, cm (progressions.md 8: 50–90). */
const CUSHIONS = { from: 50, to: 90, usual: 70 } as const

const atWall = (id: string, gap: NonNullable<Variant['gap']>, walls: string): Setup =>
  headstand({
    id,
    gap,
    pose: () => ({ start: ['headstand-base'], target: ['headstand-straight'] }),
    more: (given) => {
      const gapCm = read(given.o, 'knuckleGapCm')
      const { forearm, hand } = given.body.length
      // Knuckles lie a quarter of a hand beyond the wrists of a clasp.
      const reach =
        Math.sqrt(Math.max(0, forearm.valueCm ** 2 - (given.lengths.jointWidth.valueCm / 2) ** 2)) +
        0.25 * hand.valueCm
      return {
        wallX: reach + gapCm,
        placements: [
          placement('knuckle-gap', 'knuckles', gapCm, {
            from: gap[3],
            to: gap[4],
            fingers: 'towards-wall',
            way: ['hand-breadths', 1.5, { breadths: gapCm / given.lengths.handBreadth.valueCm }],
          }),
          placement('elbow-to-wall', 'elbow', reach + gapCm, { sdCm: forearm.sdCm, fingers: 'towards-wall' }),
        ],
        steps: [step(walls, { gapCm })],
      }
    },
  })

const wallL = defineSetup({
  id: 'SETUP-headstand-l-wall',
  options: [
    PAD,
    option.cm(
      'footHeightCm',
      'Feet on the wall',
      40,
      130,
      (body) => body.length.headNeck.valueCm + body.length.trunk.valueCm,
    ),
  ],
  poses: ({ lengths }) => ({
    target: ['headstand-right-angle', { elbowDistanceCm: lengths.seatedLeg.valueCm }],
  }),
  place: (given) => {
    const { lengths, body, o, target } = given
    const mark = lengths.seatedLeg.valueCm
    const foot = read(o, 'footHeightCm')
    const { trunk, upperArm } = body.length
    return {
      placements: [
        placement('elbow-line', 'elbow', lengths.seatedLeg, {
          fingers: 'away-from-wall',
          method: 'M3',
          way: ['M3', 5],
        }),
        placement('foot-height', 'foot-mark', foot, {
          sdCm: Math.hypot(trunk.sdCm, upperArm.sdCm),
          give: 5,
          way: ['upside-down-hip', 4],
        }),
        ...basePlacements(given),
      ],
      steps: [
        step('fold-mat', { padCm: read(o, 'padCm') }),
        step('sit-and-mark', { markCm: mark }),
        step('elbows-on-mark'),
        step('crown-down-hands-cup'),
        step('walk-feet-up', { footHeightCm: foot }),
        step('press-crown-light'),
      ],
      warnings: footHeightWarning(foot - (body.length.headNeck.valueCm + trunk.valueCm)),
      dimensions: [across('elbow-line', 0, mark), upright('foot-height', (target.wallX ?? mark) - 3, foot)],
    }
  },
})

/** Both seats or towers leave a head and this much between them, cm (5–10). */
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

const chairs = defineSetup<{ folds: number }>({
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
        placement('needed-height', 'prop-top', needed, {
          sdCm: body.length.headNeck.sdCm,
          give: 2,
          way: ['crown-hangs', 2],
        }),
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

const towers = defineSetup<{ stack: Stack; block: BlockSize }>({
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
        placement('needed-height', 'prop-top', needed, {
          sdCm: body.length.headNeck.sdCm,
          give: 2,
          way: ['crown-hangs', 2],
        }),
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
      outlines: towerOutlines(stack, block),
      dimensions: [upright('tower-height', -block.wideCm / 2 - 6, stack.heightCm)],
      top: supportsFromAbove(body, gap.valueCm, block.wideCm, block.longCm, 'block'),
    }
  },
})

/** Blankets on top give about this much under the shoulders, cm (progressions.md 8: 1 cm for every soft layer). */
const SOFT_GIVE_CM = 1

function towerOutlines(stack: Stack, block: BlockSize): ReturnType<typeof box>[] {
  let y = 0
  return stack.layers.map((layer) => {
    const height = layer.heightCm - (layer.kind === 'block' ? FOAM_GIVE_CM : 0)
    const outline = box(layer.kind, -block.wideCm / 2, y, block.wideCm, height)
    y += height
    return outline
  })
}

const tripod = defineSetup({
  id: 'SETUP-tripod-base',
  options: [PAD],
  poses: () => ({ target: ['headstand-tripod'] }),
  place: ({ body, lengths, o }) => {
    const side = body.length.forearm
    const depth = 0.87 * side.valueCm
    return {
      placements: [
        placement('triangle-side', 'between', side, { give: 2, way: ['forearm-laid', 1.5] }),
        placement('crown-from-hands', 'crown', { ...side, valueCm: depth }, { give: 2 }),
        placement('hand-width', 'between', lengths.jointWidth, { give: 2, way: ['shoulder-line', 3] }),
      ],
      steps: [
        step('fold-mat', { padCm: read(o, 'padCm') }),
        step('hands-at-width', { widthCm: lengths.jointWidth.valueCm }),
        step('crown-makes-triangle', { sideCm: side.valueCm }),
        step('fingertips-in-view'),
        step('elbows-over-wrists'),
      ],
      dimensions: [across('crown-from-hands', 0, depth)],
      top: {
        ...handsFromAbove(body, lengths.jointWidth.valueCm),
        head: { centre: { x: depth, y: 0 }, radiusCm: 0.055 * body.statureCm },
      },
    }
  },
})

export const HEADSTAND_SETUPS: readonly Setup[] = [
  headstand({
    id: 'SETUP-headbase',
    pose: ({ o }) => ({ target: ['headstand-base', { toeDistanceCm: read(o, 'toeDistanceCm') }] }),
    more: () => ({ steps: [step('paper-test')] }),
  }),
  headstand({
    id: 'SETUP-headstand-open',
    pose: ({ o }) => ({
      start: ['headstand-base', { toeDistanceCm: read(o, 'toeDistanceCm') }],
      target: ['headstand-straight'],
    }),
    more: () => ({
      placements: [
        placement('cushions', 'prop-edge', CUSHIONS.usual, {
          from: CUSHIONS.from,
          to: CUSHIONS.to,
          way: ['arm-reach-round', 10],
        }),
      ],
      steps: [
        step('cushion-horseshoe', { fromCm: CUSHIONS.from, toCm: CUSHIONS.to }),
        step('nothing-soft-under-head'),
      ],
    }),
  }),
  atWall('SETUP-headstand-wall', [2, 20, 7.5, 5, 10], 'knuckles-from-wall'),
  atWall('SETUP-headstand-corner', [4, 20, 10, 8, 12], 'knuckles-from-both-walls'),
  wallL,
  chairs,
  towers,
  tripod,
]
