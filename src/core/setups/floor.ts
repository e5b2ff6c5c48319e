import { read } from '../mechanics/parameters'
import { CHAIR_BACK_CM, CHAIR_SEAT_CM } from '../props/stock'
import { ok } from '../result'
import { defineSetup, placement } from './define'
import { across, box, chair, upright } from './scene'
import { step, type Setup } from './setup'
import { handWidth, option, ownLength, strapFor, strapLoop } from './shared'
import { handsFromAbove } from './top-view'

/** Floor that must be clear round a body, cm (progressions.md 8: arm's span, 1 m each side). */
const CLEAR_SIDE_CM = 100
/** Beyond its own height a falling body needs this, cm (props.md 6). */
const FALL_ROOM_CM = 50

const clear = defineSetup({
  id: 'SETUP-floor-clear',
  poses: () => ({ start: ['all-fours'], target: ['high-plank'] }),
  place: ({ body, lengths }) => ({
    placements: [
      placement('clear-side', 'clear-floor', CLEAR_SIDE_CM, { from: 80, to: 150, way: ['arms-out', 10] }),
    ],
    steps: [step('mat-flat'), step('arms-span-clear')],
    top: handsFromAbove(body, lengths.jointWidth.valueCm),
  }),
})

const supine = defineSetup({
  id: 'SETUP-supine-floor',
  options: [option.cm('headPadCm', 'Under the head', 0, 8, 0, { usualTo: 4, above: 'FT-neck-pull' })],
  poses: () => ({ target: ['supine-tuck'] }),
  place: ({ o }) => ({
    placements: [
      placement('head-pad', 'prop-top', read(o, 'headPadCm'), { from: 0, to: 4, way: ['head-level', 1] }),
    ],
    steps: [step('lie-down-head-level'), step('blanket-if-chin-lifts')],
  }),
})

const incline = defineSetup({
  id: 'SETUP-incline-hands',
  options: [
    option.cm('handHeightCm', 'Hands raised by', 8, 130, CHAIR_SEAT_CM, { usualFrom: 8 }),
    option.deg('hipBendDeg', 'Hips: pike (+) or sag (−)', -20, 20, 0, { usualFrom: -3, below: 'FT-hip-sag' }),
  ],
  poses: ({ o }) => ({
    target: ['incline-plank', { handHeightCm: read(o, 'handHeightCm'), hipBendDeg: read(o, 'hipBendDeg') }],
  }),
  place: ({ body, lengths, o, target }) => {
    const high = read(o, 'handHeightCm')
    const feet = -target.base.fromCm
    return {
      placements: [
        placement('hand-height', 'prop-top', high, { from: 8, to: 130, way: ['next-lower-support', 2] }),
        placement('feet-from-hands', 'ball-of-foot', feet, {
          sdCm: 0.04 * feet,
          give: 8,
          way: ['one-line', 5],
        }),
        handWidth(lengths),
      ],
      steps: [
        step('support-cannot-slide'),
        step('hands-at-width', { widthCm: lengths.jointWidth.valueCm }),
        step('walk-back-to-line', { feetCm: feet }),
        step('lower-support-when-easy'),
      ],
      outlines: chair(4, 1, high, high > CHAIR_SEAT_CM + 5 ? high : CHAIR_BACK_CM),
      dimensions: [across('feet-from-hands', -feet, 0), upright('hand-height', 52, high)],
      top: handsFromAbove(body, lengths.jointWidth.valueCm),
    }
  },
})

/** The stop is a little under elbow height, so that the shoulders never pass below the elbows, cm. */
const BELOW_ELBOW_CM = 3

const stop = defineSetup<number>({
  id: 'SETUP-pushup-stop',
  options: [
    option.cm('lowerCm', 'Stop under elbow height', -2, 12, BELOW_ELBOW_CM, {
      usualFrom: 2,
      usualTo: 4,
      above: 'FT-shoulder-dip',
    }),
  ],
  choose: ({ lengths, stock }) =>
    stock.straps.length === 0 ? ok(0) : strapFor(lengths.strapNeeded, stock.straps),
  poses: () => ({
    start: ['high-plank'],
    target: ['low-push-up'],
  }),
  place: ({ body, lengths, o, target, chosen }) => {
    const { forearm } = body.length
    const high = forearm.valueCm - read(o, 'lowerCm')
    const loop = strapLoop(lengths)
    const { shoulder } = target.skeleton
    return {
      placements: [
        placement(
          'stop-shoulders',
          'prop-top',
          { ...forearm, valueCm: high },
          { give: 1, way: ['forearm-upright', 1.5] },
        ),
        placement(
          'stop-breastbone',
          'prop-top',
          { ...forearm, valueCm: Math.min(20, Math.max(10, high - 6)) },
          { from: 10, to: 20 },
        ),
        { ...loop, key: 'strap-loop' },
      ],
      props: chosen > 0 ? [{ kind: 'strap', count: 1, detail: [chosen] }] : [],
      steps: [
        step('stop-under-shoulders', { heightCm: high }),
        step('top-plank-first'),
        step('lower-until-it-touches'),
        step('elbows-by-ribs'),
      ],
      outlines: [box('block', shoulder.x - 9, 0, 18, Math.min(high, Math.max(2, shoulder.y - 5)))],
      dimensions: [upright('stop-shoulders', shoulder.x + 16, high)],
      top: handsFromAbove(body, lengths.jointWidth.valueCm),
    }
  },
})

const fallZone = defineSetup({
  id: 'SETUP-open-fall-zone',
  poses: () => ({ target: ['forearm-stand-straight'] }),
  place: ({ body }) => ({
    placements: [
      placement('clear-radius', 'clear-floor', body.statureCm + FALL_ROOM_CM, {
        give: 20,
        way: ownLength(body, body.statureCm + FALL_ROOM_CM),
      }),
    ],
    steps: [step('lie-down-and-mark'), step('nobody-walks-behind'), step('cushions-beyond-fingers')],
    dimensions: [],
  }),
})

const landing = defineSetup({
  id: 'SETUP-soft-landing',
  poses: () => ({ start: ['forearm-stand-straight'], target: ['low-push-up'] }),
  place: ({ body, target }) => {
    const long = target.skeleton.crown.x - target.base.fromCm
    return {
      placements: [
        placement('padded-length', 'prop-edge', long + 20, {
          sdCm: 0.04 * body.statureCm,
          give: 20,
          way: ownLength(body, long + 20),
        }),
        placement('mid-line', 'elbow', 0, { give: 5 }),
      ],
      steps: [
        step('two-mats-deep', { longCm: long + 20 }),
        step('forearms-on-mid-line'),
        step('hands-and-feet-land-soft'),
      ],
      outlines: [box('mat', target.base.fromCm - 10, -0.1, long + 20, 1)],
      dimensions: [across('padded-length', target.base.fromCm - 10, target.base.fromCm + long + 10)],
    }
  },
})

/** Heels of the hands raised until wrists bend this much less, degrees (10–20). */
const WEDGE_DEG = 15

const wedge = defineSetup({
  id: 'SETUP-wrist-wedge',
  options: [
    option.deg('wedgeDeg', 'Wedge', 5, 30, WEDGE_DEG, { usualFrom: 10, usualTo: 20, below: 'FT-wrist-dump' }),
  ],
  poses: () => ({ target: ['all-fours'] }),
  place: ({ body, lengths, o }) => {
    const { hand } = body.length
    // From the heel of the hand to the finger roots lies on the slope.
    const high = 0.6 * hand.valueCm * Math.sin((read(o, 'wedgeDeg') * Math.PI) / 180)
    return {
      placements: [
        placement(
          'heel-raise',
          'prop-top',
          { ...hand, valueCm: high, sdCm: 0.15 * hand.sdCm },
          { from: Math.min(2, high), to: Math.max(4, high), way: ['finger-thick', 0.5] },
        ),
      ],
      steps: [step('wedge-under-heels', { highCm: high }), step('fingers-lower'), step('press-finger-roots')],
      outlines: [
        {
          kind: 'wedge',
          outline: [
            { x: -6, y: 0 },
            { x: 0.6 * hand.valueCm, y: 0 },
            { x: -6, y: high },
          ],
        },
      ],
      top: handsFromAbove(body, lengths.jointWidth.valueCm),
    }
  },
})

const grips = defineSetup({
  id: 'SETUP-neutral-grips',
  poses: () => ({ target: ['high-plank'] }),
  place: ({ body, lengths }) => ({
    placements: [{ ...handWidth(lengths), key: 'grip-width' }],
    steps: [step('grips-at-width', { widthCm: lengths.jointWidth.valueCm }), step('wrists-straight')],
    top: handsFromAbove(body, lengths.jointWidth.valueCm, { key: 'grip-width' }),
  }),
})

const towel = defineSetup({
  id: 'SETUP-towel-wrist',
  options: [
    option.deg('shoulderLeanDeg', 'Shoulder over the wrist', -20, 20, 0, {
      usualTo: 5,
      above: 'FT-wrist-dump',
    }),
  ],
  poses: ({ o }) => ({ target: ['all-fours', { shoulderLeanDeg: read(o, 'shoulderLeanDeg') }] }),
  place: ({ body, lengths, target }) => {
    const knees = -target.skeleton.legs[0].knee.x
    return {
      placements: [
        placement(
          'knees-from-hands',
          'knee',
          { ...body.length.trunk, valueCm: knees },
          { give: 5, way: ['knees-under-hips', 3] },
        ),
        handWidth(lengths),
      ],
      steps: [
        step('knees-under-hips'),
        step('one-hand-on-cloth'),
        step('turn-slowly'),
        step('lean-back-to-lighten'),
      ],
      dimensions: [across('knees-from-hands', -knees, 0)],
      top: handsFromAbove(body, lengths.jointWidth.valueCm),
    }
  },
})

export const FLOOR_SETUPS: readonly Setup[] = [
  clear,
  supine,
  incline,
  stop,
  fallZone,
  landing,
  wedge,
  grips,
  towel,
]
