import { kickPlacements } from './hands-kick'
import type { Body } from '../body/estimate'
import { read } from '../mechanics/parameters'
import { defineSetup, placement } from './define'
import { across } from './scene'
import { step } from './setup'
import { byBreadths, farther, handWidth, option } from './shared'
import { handsFromAbove } from './top-view'

/** Hips above the hands with arms and trunk in one line, cm. */
export const HIP_FROM_FLOOR = (body: Body): number =>
  body.length.upperArm.valueCm + body.length.forearm.valueCm + body.length.trunk.valueCm

export const halfArm = defineSetup({
  id: 'SETUP-wall-half-arm-hand',
  options: [farther('Hands farther than half-way', 20, 5, 'FT-setup-distance')],
  poses: ({ body, lengths, o }) => ({
    start: [
      'handstand-kick-start',
      { fingertipGapCm: gapAtHalf(body, lengths.armReach.valueCm, read(o, 'fartherCm')) },
    ],
    target: [
      'handstand-one-foot-on-wall',
      { fingertipGapCm: gapAtHalf(body, lengths.armReach.valueCm, read(o, 'fartherCm')) },
    ],
  }),
  place: ({ body, lengths, o, target }) => {
    const half = lengths.armReach.valueCm / 2 + read(o, 'fartherCm')
    const wallX = target.wallX ?? 0
    return {
      placements: [
        placement('feet-mark', 'foot-mark', lengths.armReach, { way: ['M4', 3] }),
        placement(
          'hand-line',
          'heel-of-hand',
          { ...lengths.armReach, valueCm: half },
          { fingers: 'towards-wall', method: 'M5', way: ['M5', 3] },
        ),
        handWidth(lengths),
      ],
      steps: [
        step('mark-arm-length', { reachCm: lengths.armReach.valueCm }),
        step('hands-half-way', { halfCm: half }),
        step('hands-at-width', { widthCm: lengths.jointWidth.valueCm }),
        step('one-sole-rests'),
        step('draw-hips-off-wall'),
      ],
      dimensions: [across('hand-line', 0, wallX)],
      top: handsFromAbove(body, lengths.jointWidth.valueCm, { wallX }),
    }
  },
})

/** Fingers point at the wall, so the gap is what the hand leaves of the half. */
function gapAtHalf(body: Body, reach: number, farther: number): number {
  return Math.max(0, reach / 2 + farther - body.length.hand.valueCm)
}

export const chest = defineSetup({
  id: 'SETUP-wall-chest-hand',
  options: [
    option.cm('handDistanceCm', 'Hands from the wall at the top', 8, 60, 20, {
      usualFrom: 10,
      usualTo: 40,
      below: 'FT-hands-too-close',
    }),
  ],
  poses: ({ lengths, o }) => ({
    start: ['right-angle-hands', { handDistanceCm: lengths.seatedLeg.valueCm }],
    target: ['handstand-chest-to-wall', { handDistanceCm: read(o, 'handDistanceCm') }],
  }),
  place: ({ body, lengths, o }) => {
    const end = read(o, 'handDistanceCm')
    return {
      placements: [
        placement('hand-line', 'heel-of-hand', lengths.seatedLeg, {
          fingers: 'away-from-wall',
          method: 'M3',
          way: ['M3', 5],
        }),
        placement('hand-line-end', 'heel-of-hand', end, {
          from: 10,
          to: 40,
          fingers: 'away-from-wall',
          way: byBreadths(end, lengths, 2),
        }),
        handWidth(lengths),
      ],
      steps: [
        step('sit-and-mark', { markCm: lengths.seatedLeg.valueCm }),
        step('walk-feet-up', { footHeightCm: HIP_FROM_FLOOR(body) }),
        step('walk-in-by-fives', { endCm: end }),
        step('stop-while-return-is-easy'),
      ],
      dimensions: [across('hand-line-end', 0, end)],
      top: handsFromAbove(body, lengths.jointWidth.valueCm, { pointing: -1, wallX: end }),
    }
  },
})

export const tuckHop = defineSetup({
  id: 'SETUP-wall-tuck-hop',
  options: [option.gap(5, 40, 22, 15, 30, { below: 'FT-hips-short', above: 'FT-hips-short' })],
  poses: ({ o }) => ({
    start: ['handstand-hop-start'],
    target: ['handstand-heels-on-wall', { fingertipGapCm: read(o, 'fingertipGapCm') }],
  }),
  place: (given) => {
    const { body, lengths, o, target } = given
    const wallX = target.wallX ?? 0
    return {
      placements: [
        ...kickPlacements(given, 15, 30, false),
        placement('feet-behind', 'ball-of-foot', body.length.hand, { give: 5, way: ['M6', 2, { hands: 1 }] }),
      ],
      steps: [
        step('fingertips-from-wall', { gapCm: read(o, 'fingertipGapCm') }),
        step('hands-at-width', { widthCm: lengths.jointWidth.valueCm }),
        step('feet-wider-hand-behind', { handCm: body.length.hand.valueCm }),
        step('hop-knees-in'),
      ],
      dimensions: [
        across('fingertip-gap', wallX - read(o, 'fingertipGapCm'), wallX),
        across('feet-behind', 0 - body.length.hand.valueCm, 0),
      ],
      top: handsFromAbove(body, lengths.jointWidth.valueCm, { wallX }),
    }
  },
})
