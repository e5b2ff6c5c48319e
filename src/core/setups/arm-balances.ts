import { read } from '../mechanics/parameters'
import { BOLSTER_CM, CHAIR_SEAT_CM } from '../props/stock'
import type { Body } from '../body/estimate'
import { defineSetup, placement } from './define'
import { across, box, upright } from './scene'
import { step, type Setup } from './setup'
import { handWidth, option } from './shared'
import { handsFromAbove, slab } from './top-view'
import { faceOf, lolasana, float, raisedFeet } from './raised-feet'

/** A heel wedge does no more than this before a squat is better begun on a chair, cm. */
const HEEL_MOST_CM = 16

const squat = defineSetup({
  id: 'SETUP-squat-block',
  options: [
    option.deg('ankleRangeDeg', 'Shin can lean over a flat foot', 5, 50, 35),
    option.deg('kneeBendDeg', 'Knee bend', 80, 155, 140),
  ],
  poses: ({ body, o }) => ({
    target: [
      'loaded-squat',
      {
        heelHeightCm: heelHeight(body, read(o, 'ankleRangeDeg')),
        shinLeanDeg: SQUAT_SHIN_DEG,
        kneeBendDeg: read(o, 'kneeBendDeg'),
      },
    ],
  }),
  place: ({ body, o, target }) => {
    const heel = heelHeight(body, read(o, 'ankleRangeDeg'))
    const ball = -target.skeleton.legs[0].toe.x
    return {
      placements: [
        placement('heel-height', 'prop-top', heel, {
          sdCm: 0.04 * heel,
          give: 2,
          to: heel + 2,
          way: ['trunk-over-feet', 2],
        }),
        placement('feet-from-hands', 'ball-of-foot', ball, {
          sdCm: 0.04 * ball,
          give: 5,
          way: ['forearm-laid', 3],
        }),
      ],
      steps: [
        step('heels-on-block', { heelCm: heel }),
        step('squat-trunk-over-feet'),
        step('hands-flat-forward'),
        step('shoulders-travel'),
      ],
      warnings:
        heel >= HEEL_MOST_CM
          ? [{ code: 'heels-very-high', faultId: 'FT-no-forward-lean', numbers: { heelCm: heel } }]
          : [],
      outlines: [
        box(
          'block',
          target.skeleton.legs[0].heel.x - 8,
          0,
          16,
          Math.max(0.5, target.skeleton.legs[0].heel.y),
        ),
      ],
      dimensions: [across('feet-from-hands', -ball, 0)],
    }
  },
})

/** How far the shins lean in a squat that keeps the trunk over the feet (progressions.md 8, model's default). */
const SQUAT_SHIN_DEG = 45

/** Height under the heels that gives back what the ankles lack. */
function heelHeight(body: Body, ankleRangeDeg: number): number {
  const lacking = Math.max(0, SQUAT_SHIN_DEG - ankleRangeDeg)
  const ballToHeel = 0.73 * body.length.foot.valueCm
  return Math.min(HEEL_MOST_CM, ballToHeel * Math.sin((lacking * Math.PI) / 180))
}

/** The brow lies this far along from shoulder to crown: the forehead, not the top, meets the prop. */
const BROW = 0.62

const crow = defineSetup({
  id: 'SETUP-crow-brow',
  options: [
    option.cm('propHeightCm', 'Prop under the brow', 10, 35, 20, {
      usualFrom: 15,
      usualTo: 25,
      below: 'FT-head-overload',
    }),
    option.cm('footBlockCm', 'Block under the feet', 0, 23, 15),
    option.deg('elbowBendDeg', 'Elbow bend', 20, 100, 75),
  ],
  poses: ({ body, o }) => ({
    start: ['loaded-squat', {}],
    target: ['crow', { elbowBendDeg: read(o, 'elbowBendDeg'), plumbCm: 0.3 * body.length.hand.valueCm }],
  }),
  place: ({ body, lengths, o, target }) => {
    const { crown, shoulder } = target.skeleton
    const brow = { x: shoulder.x + BROW * (crown.x - shoulder.x), y: crown.y }
    const high = read(o, 'propHeightCm')
    const travel = target.shoulderTravelCm
    return {
      placements: [
        placement('brow-prop', 'prop-edge', brow.x, {
          sdCm: 0.04 * brow.x,
          from: Math.min(25, brow.x),
          to: Math.max(35, brow.x),
          way: ['brow-meets-prop', 3],
        }),
        placement('prop-height', 'prop-top', high, { from: 15, to: 25 }),
        placement('foot-block', 'prop-top', read(o, 'footBlockCm'), { from: 0, to: 23 }),
        handWidth(lengths),
      ],
      props: [
        { kind: 'bolster', count: 1, detail: [high] },
        {
          kind: 'block',
          count: read(o, 'footBlockCm') > 0 ? 1 : 0,
          face: faceOf(read(o, 'footBlockCm')),
          detail: [read(o, 'footBlockCm')],
        },
      ].filter((p) => p.count > 0),
      steps: [
        step('hands-at-width', { widthCm: lengths.jointWidth.valueCm }),
        step('prop-ahead', { aheadCm: brow.x, highCm: high }),
        step('feet-on-block', { heightCm: read(o, 'footBlockCm') }),
        step('knees-high-on-arms'),
        step('shoulders-past-wrists', { travelCm: Math.max(0, travel) }),
        step('one-toe-light-then-other'),
      ],
      outlines: [
        box('bolster', brow.x - 4, 0, BOLSTER_CM.wideCm, high),
        ...(read(o, 'footBlockCm') > 0
          ? [box('block', -0.32 * body.statureCm, 0, 15, read(o, 'footBlockCm'))]
          : []),
      ],
      dimensions: [across('brow-prop', 0, brow.x), upright('prop-height', brow.x + BOLSTER_CM.wideCm, high)],
      top: handsFromAbove(body, lengths.jointWidth.valueCm, {
        props: [slab('bolster', brow.x - 4, BOLSTER_CM.wideCm, 0, BOLSTER_CM.longCm)],
      }),
    }
  },
})

export const ARM_BALANCE_SETUPS: readonly Setup[] = [
  squat,
  crow,
  lolasana,
  float,
  raisedFeet('SETUP-pike-elevated', 'chair', CHAIR_SEAT_CM),
  raisedFeet('SETUP-press-blocks', 'block', 22),
]
