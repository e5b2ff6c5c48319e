import { read } from '../mechanics/parameters'
import { spacersFor, type Spacer } from '../props/blocks'
import { CHAIR_BACK_CM } from '../props/stock'
import { ok, refused } from '../result'
import type { Body } from '../body/estimate'
import { defineSetup, placement } from './define'
import { box, chair, upright } from './scene'
import { step, type Setup } from './setup'
import { elbowWidth, option, strapFor } from './shared'
import { forearmsFromAbove, slab } from './top-view'

/** Under the knee there is this much flesh and mat, as a fraction of stature. */
const KNEE_PAD = 0.025

/** Kneeling with upright thighs, the trunk is level when the elbows rest as high as the hips. */
function levelHeight(body: Body): number {
  return body.length.thigh.valueCm + KNEE_PAD * body.statureCm
}

/** Knees this far back put the thighs upright under a trunk that reaches forward from raised elbows. */
function kneesBehind(body: Body, elbowCm: number, leanDeg: number): number {
  const lean = (leanDeg * Math.PI) / 180
  const { upperArm, trunk, thigh } = body.length
  const shoulder = { x: upperArm.valueCm * Math.sin(lean), y: elbowCm + upperArm.valueCm * Math.cos(lean) }
  return Math.min(
    120,
    -shoulder.x + Math.sqrt(Math.max(0, trunk.valueCm ** 2 - (shoulder.y - thigh.valueCm) ** 2)),
  )
}

const OPENING = option.deg('armsForwardDeg', 'Upper arms from upright', 45, 88, 78)

const chairElbows = defineSetup({
  id: 'SETUP-chair-elbows',
  options: [option.cm('edgeHeightCm', 'Edge that is at hand', 20, 75, 45), OPENING],
  poses: ({ body, o }) => ({
    target: [
      'forearm-tabletop',
      {
        forearmHeightCm: read(o, 'edgeHeightCm'),
        shoulderLeanDeg: -read(o, 'armsForwardDeg'),
        kneeDistanceCm: kneesBehind(body, read(o, 'edgeHeightCm'), -read(o, 'armsForwardDeg')),
      },
    ],
  }),
  place: ({ body, lengths, o }) => {
    const wanted = levelHeight(body)
    const edge = read(o, 'edgeHeightCm')
    const off = edge - wanted
    return {
      placements: [
        placement(
          'level-height',
          'prop-top',
          { ...body.length.thigh, valueCm: wanted },
          { give: 6, way: ['hips-high-kneeling', 3] },
        ),
        elbowWidth(lengths),
      ],
      steps: [
        step(off > 12 ? 'stand-or-raise-knees' : off < -8 ? 'pad-the-edge' : 'kneel-before-edge', {
          offCm: Math.abs(off),
        }),
        step('upper-arms-on-edge', { widthCm: lengths.jointWidth.valueCm }),
        step('hips-behind-chest-sinks'),
        step('ribs-stay-in'),
      ],
      warnings: off < -8 ? [{ code: 'edge-low', faultId: 'FT-rib-flare', numbers: { offCm: -off } }] : [],
      outlines: chair(-3, 1, edge, Math.max(edge, CHAIR_BACK_CM)),
      dimensions: [upright('level-height', 42, wanted)],
      top: forearmsFromAbove(body, { elbowsCm: lengths.jointWidth.valueCm, head: false }),
    }
  },
})

/** Head plus this between the blocks, cm (progressions.md 8: at least head width + 4, 20–24). */
const BESIDE_HEAD_CM = 4

const blocksElbows = defineSetup({
  id: 'SETUP-blocks-elbows',
  options: [
    option.cm('besideHeadCm', 'Room beside the head', 0, 10, BESIDE_HEAD_CM, {
      usualFrom: 4,
      below: 'FT-rib-flare',
    }),
    OPENING,
  ],
  choose: ({ stock }) =>
    stock.blocks.length >= 2
      ? ok(undefined)
      : refused({ code: 'no-blocks', needed: 2, inStock: stock.blocks.length }),
  poses: ({ body, o, stock }) => {
    const high = stock.blocks[0]?.thickCm ?? 10
    return {
      target: [
        'forearm-tabletop',
        {
          forearmHeightCm: high,
          shoulderLeanDeg: -read(o, 'armsForwardDeg'),
          kneeDistanceCm: kneesBehind(body, high, -read(o, 'armsForwardDeg')),
        },
      ],
    }
  },
  place: ({ body, lengths, o, stock }) => {
    const gap = lengths.headWidth.valueCm + read(o, 'besideHeadCm')
    const { thickCm = 10, wideCm = 15, longCm = 23 } = stock.blocks[0] ?? {}
    return {
      placements: [
        placement(
          'block-gap-inner',
          'between',
          { ...lengths.headWidth, valueCm: gap },
          { from: gap, to: gap + 4, way: ['head-and-two-fingers', 1.5] },
        ),
        placement('block-height', 'prop-top', thickCm, { from: 0, to: 15 }),
      ],
      props: [{ kind: 'block', count: 2, face: 'flat', detail: [thickCm] }],
      steps: [
        step('blocks-gap-of-head', { gapCm: gap }),
        step('kneel-elbows-on-blocks'),
        step('palms-together-behind'),
        step('chest-sinks-ribs-in'),
      ],
      outlines: [box('block', -wideCm / 2, 0, wideCm, thickCm)],
      top: forearmsFromAbove(body, {
        elbowsCm: gap + 8,
        props: [-1, 1].map((side) => slab('block', -wideCm / 2, wideCm, (side * (gap + longCm)) / 2, longCm)),
      }),
    }
  },
})

const blockKneel = defineSetup<Spacer>({
  id: 'SETUP-block-kneel',
  options: [option.deg('armsDeg', 'Arms lifted', 60, 180, 170)],
  choose: ({ lengths, stock }) => {
    // Hands stay as wide as the elbows: the widest face that is no wider than the shoulders.
    const spacers = spacersFor(lengths.jointWidth.valueCm - 6, stock.blocks)
    const [best] = spacers
    return best ? ok(best) : refused({ code: 'no-blocks', needed: 1, inStock: 0 })
  },
  poses: ({ o }) => ({
    start: ['kneeling-tall', { armsDeg: 60 }],
    target: ['kneeling-tall', { armsDeg: read(o, 'armsDeg') }],
  }),
  place: ({ lengths, target, chosen }) => ({
    placements: [
      placement(
        'palm-gap',
        'between',
        { ...lengths.jointWidth, valueCm: lengths.jointWidth.valueCm - 6 },
        { give: 3, way: ['shoulder-line', 3] },
      ),
      placement('spacer-width', 'between', chosen.widthCm, { give: 4 }),
    ],
    props: [{ kind: 'block', count: chosen.edgesCm.length, detail: chosen.edgesCm }],
    steps: [
      step('widest-face-between-palms', { widthCm: chosen.widthCm }),
      step('elbows-lead-up'),
      step('ribs-stay-in'),
    ],
    warnings:
      chosen.errorCm < -6
        ? [{ code: 'spacer-too-narrow', faultId: 'FT-block-width', numbers: { offCm: -chosen.errorCm } }]
        : [],
    outlines: [box('block', target.skeleton.wrist.x - 5, target.skeleton.wrist.y, 10, 15)],
  }),
})

const elbowHip = defineSetup({
  id: 'SETUP-block-elbow-hip',
  choose: ({ stock }) =>
    stock.blocks.length > 0 ? ok(undefined) : refused({ code: 'no-blocks', needed: 1, inStock: 0 }),
  poses: () => ({ target: ['kneeling-tall', { armsDeg: 5, elbowBendDeg: 90 }] }),
  place: ({ stock }) => ({
    placements: [
      placement('block-thickness', 'between', stock.blocks[0]?.thickCm ?? 10, { from: 5, to: 12 }),
    ],
    steps: [step('pin-block-elbow-to-side'), step('forearm-swings-out'), step('shoulder-stays-down')],
  }),
})

/** Hands this far apart for a pass-over, as fractions of stature (M18). */
const PASS_OVER = { from: 0.6, to: 0.85, usual: 0.72 } as const

/** Strap taken up by the turns round both hands, and the longest that is sold, cm (props.md 2, 5.2). */
const STRAP_TURN_CM = 20
const LONGEST_STRAP_CM = 300

const strapLoopHands = defineSetup<number>({
  id: 'SETUP-strap-loop-hands',
  options: [
    option.cm('spreadCm', 'Hands apart', 60, 180, (body) => PASS_OVER.usual * body.statureCm),
    // A loop for long arms can ask for more than the longest strap that is made.
    {
      ...option.choice('strapUse', 'Strap', ['looped', 'held-open']),
      usual: (body: Body) =>
        2 * PASS_OVER.usual * body.statureCm + STRAP_TURN_CM > LONGEST_STRAP_CM ? 1 : 0,
    },
  ],
  choose: ({ o, stock }) =>
    strapFor(
      read(o, 'strapUse') === 0
        ? 2 * read(o, 'spreadCm') + STRAP_TURN_CM
        : read(o, 'spreadCm') + STRAP_TURN_CM,
      stock.straps,
    ),
  poses: () => ({ start: ['kneeling-tall', { armsDeg: 60 }], target: ['kneeling-tall', { armsDeg: 178 }] }),
  place: ({ body, o, chosen }) => {
    const spread = read(o, 'spreadCm')
    const tooNarrow = spread < PASS_OVER.from * body.statureCm
    return {
      placements: [
        placement('hand-spread', 'between', spread, {
          sdCm: 0.02 * body.statureCm,
          from: PASS_OVER.from * body.statureCm,
          to: PASS_OVER.to * body.statureCm,
          way: ['M18', 5],
        }),
      ],
      props: [{ kind: 'strap', count: 1, detail: [chosen] }],
      steps: [
        step('hands-spread-on-strap', { spreadCm: spread }),
        step('pull-outward'),
        step('pass-over-straight-elbows'),
        step('narrow-slowly'),
      ],
      warnings: tooNarrow
        ? [
            {
              code: 'spread-narrow',
              faultId: 'FT-strap-bent-elbow',
              numbers: { spreadCm: spread, leastCm: PASS_OVER.from * body.statureCm },
            },
          ]
        : [],
    }
  },
})

export const OPENERS: readonly Setup[] = [chairElbows, blocksElbows, blockKneel, elbowHip, strapLoopHands]
