import { armLength, legLength } from '../mechanics/pose'
import { read } from '../mechanics/parameters'
import { seatClearance } from '../mechanics/positions/seated-lift'
import { SEAT_DEPTH } from '../mechanics/positions/supine'
import { FACES, heightOn, type Face } from '../props/blocks'
import { CHAIR_BACK_CM } from '../props/stock'
import { ok, refused, type Result } from '../result'
import type { Body } from '../body/estimate'
import { defineSetup, placement } from './define'
import { across, box, chair, upright } from './scene'
import { step, type Setup, type SetupRefusal } from './setup'
import { handWidth, option } from './shared'
import { handsFromAbove } from './top-view'

/** The face on which a block stands for a height in cm: flat to 10, side to 15, tall above. */
export function faceOf(heightCm: number): Face {
  return heightCm <= 10 ? 'flat' : heightCm <= 15 ? 'side' : 'tall'
}

/** Clear under a lifted seat, cm (progressions.md 8). */
const SEAT_CLEAR_CM = 2

export const lolasana = defineSetup<{ face: Face; heightCm: number; neededCm: number }>({
  id: 'SETUP-lolasana-blocks',
  options: [
    option.cm('clearCm', 'Clear under the seat', 0, 8, SEAT_CLEAR_CM, {
      usualFrom: SEAT_CLEAR_CM,
      below: 'FT-seat-low',
    }),
    option.deg('roundingDeg', 'Rounding of the back', 0, 70, 20),
  ],
  choose: ({ body, o, stock }): Result<{ face: Face; heightCm: number; neededCm: number }, SetupRefusal> => {
    if (stock.blocks.length < 2)
      return refused({ code: 'no-blocks', needed: 2, inStock: stock.blocks.length })
    const [block] = stock.blocks
    if (!block) return refused({ code: 'no-blocks', needed: 2, inStock: 0 })
    const neededCm = liftNeeded(body, read(o, 'clearCm'))
    // Under hands the small face rocks: flat or side only (props.md 2.1).
    const face = FACES.slice(0, 2).find((f) => heightOn(block, f) >= neededCm)
    return face
      ? ok({ face, heightCm: heightOn(block, face), neededCm })
      : refused({ code: 'stack-too-low', neededCm, reachedCm: block.wideCm })
  },
  poses: ({ o }, { heightCm }) => ({
    target: ['seated-lift', { blockHeightCm: heightCm, roundingDeg: read(o, 'roundingDeg') }],
  }),
  place: ({ body, lengths, target, chosen }) => {
    const { trunk, upperArm, forearm } = body.length
    const clear = seatClearance(body, target.skeleton)
    return {
      placements: [
        placement('hand-height-needed', 'prop-top', chosen.neededCm, {
          sdCm: Math.hypot(trunk.sdCm, upperArm.sdCm, forearm.sdCm),
          give: 3,
          way: ['fists-beside-seat', 2],
        }),
        placement('hand-height', 'prop-top', chosen.heightCm, { from: chosen.neededCm, give: 3 }),
        placement(
          'hand-width',
          'between',
          { ...lengths.jointWidth, valueCm: body.length.hipBreadth.valueCm + 6 },
          { give: 3 },
        ),
      ],
      props: [{ kind: 'block', count: 2, face: chosen.face, detail: [chosen.heightCm] }],
      steps: [
        step('blocks-beside-thighs', { heightCm: chosen.heightCm }),
        step('arms-straight-round'),
        step('seat-lifts', { clearCm: Math.max(0, clear) }),
        step('one-heel-then-both'),
      ],
      warnings:
        clear < 0
          ? [{ code: 'seat-still-touches', faultId: 'FT-seat-low', numbers: { shortCm: -clear } }]
          : [],
      outlines: [box('block', -4, 0, 23, chosen.heightCm)],
      dimensions: [upright('hand-height', -12, chosen.heightCm)],
    }
  },
})

/** Straight arms must lift the seat clear: what trunk and seat need beyond the arm's own length. */
function liftNeeded(body: Body, clearCm: number): number {
  const sittingShoulder = body.length.trunk.valueCm + SEAT_DEPTH * body.statureCm
  return Math.max(0, sittingShoulder + clearCm - armLength(body))
}

export const float = defineSetup({
  id: 'SETUP-float-slide',
  options: [
    option.cm('shoulderOffsetCm', 'Shoulders past the wrists', -5, 15, 3, {
      usualFrom: 0,
      usualTo: 8,
      below: 'FT-slide-runaway',
    }),
  ],
  poses: ({ o }) => ({
    start: ['high-plank', {}],
    target: ['high-plank', { shoulderOffsetCm: read(o, 'shoulderOffsetCm'), hipBendDeg: 45 }],
  }),
  place: ({ body, lengths, start, target }) => {
    const reach = -start.base.fromCm
    return {
      placements: [
        placement('feet-from-hands', 'ball-of-foot', reach, {
          sdCm: 0.04 * reach,
          give: 8,
          way: ['one-line', 5],
        }),
        handWidth(lengths),
      ],
      steps: [
        step('mat-under-hands-only'),
        step('hands-at-width', { widthCm: lengths.jointWidth.valueCm }),
        step('cloth-under-toes'),
        step('slide-in-weight-on-hands'),
      ],
      dimensions: [across('feet-from-hands', target.base.fromCm, 0)],
      top: handsFromAbove(body, lengths.jointWidth.valueCm),
    }
  },
})

/** Feet from the wrists so that straight legs put the hips over the hands, from a raised surface. */
function pikeDistance(body: Body, heightCm: number): number {
  const hip = armLength(body) + body.length.trunk.valueCm
  const ankle =
    heightCm + 0.73 * body.length.foot.valueCm * Math.sin(Math.PI / 3) + body.length.ankleHeight.valueCm / 2
  return Math.sqrt(Math.max(0, legLength(body) ** 2 - (hip - ankle) ** 2))
}

/** Feet on something beside hands on the floor, to lift or press from. */
export function raisedFeet(id: string, kind: 'chair' | 'block', usual: number): Setup {
  const heights =
    kind === 'block'
      ? { usualFrom: 8, usualTo: 22, above: 'FT-hips-short' }
      : { usualFrom: 40, usualTo: 50, above: 'FT-chair-slip' }
  return defineSetup({
    id,
    options: [
      option.cm('feetHeightCm', 'Feet raised by', 0, 55, usual, heights),
      option.deg('shoulderLeanDeg', 'Shoulders ahead of the wrists', 0, 25, 8),
    ],
    poses: ({ body, o }) => {
      const height = read(o, 'feetHeightCm')
      const toeDistanceCm = Math.min(110, Math.max(10, pikeDistance(body, height)))
      const shared = { blockHeightCm: height, shoulderLeanDeg: read(o, 'shoulderLeanDeg'), hipRangeDeg: 170 }
      return { target: ['press-start', { ...shared, toeDistanceCm }] }
    },
    place: ({ body, lengths, o, target }) => {
      const height = read(o, 'feetHeightCm')
      const feet = Math.min(110, Math.max(10, pikeDistance(body, height)))
      const { thigh, shank } = body.length
      return {
        placements: [
          placement('feet-height', 'prop-top', height, { from: 0, to: 50 }),
          placement('feet-from-hands', 'ball-of-foot', feet, {
            sdCm: Math.hypot(thigh.sdCm, shank.sdCm),
            give: 5,
            way: ['hips-over-wrists', 4],
          }),
          handWidth(lengths),
        ],
        props:
          kind === 'block'
            ? [{ kind: 'block', count: 2, face: faceOf(height), detail: [height] }]
            : [{ kind: 'chair', count: 1, detail: [height] }],
        steps: [
          kind === 'chair' ? step('chair-against-wall') : step('blocks-for-feet', { heightCm: height }),
          step('hands-from-feet', { feetCm: feet }),
          step('walk-hips-over-wrists'),
          step('float-one-then-both'),
        ],
        outlines:
          kind === 'block'
            ? [box('block', target.base.fromCm - 18, 0, 23, height)]
            : chair(target.base.fromCm + 12, -1, height, CHAIR_BACK_CM),
        dimensions: [across('feet-from-hands', -feet, 0), upright('feet-height', -feet - 24, height)],
        top: handsFromAbove(body, lengths.jointWidth.valueCm),
      }
    },
  })
}
