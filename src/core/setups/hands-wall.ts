import { read } from '../mechanics/parameters'
import { defineSetup, placement } from './define'
import { footHeightWarning } from './forearm-wall'
import { lineFromWall, METHODS } from './right-angle-ways'
import { across, upright } from './scene'
import { step, type Setup, type SetupGiven } from './setup'
import { farther, handWidth, option } from './shared'
import { handsFromAbove } from './top-view'
import { kick, kickStrap, kickBlocks, kickBolster, kickPlacements } from './hands-kick'
import { HIP_FROM_FLOOR, halfArm, chest, tuckHop } from './half-arm'

const shortDog = defineSetup({
  id: 'SETUP-wall-short-dog',
  options: [
    option.cm('fartherCm', 'Farther than the measured mark', -10, 20, 0, {
      usualFrom: 0,
      usualTo: 5,
      below: 'FT-setup-distance',
      above: 'FT-setup-distance',
    }),
    option.deg('shoulderAngleDeg', 'Arms to trunk', 120, 190, 175),
  ],
  poses: ({ body, lengths, o }) => ({
    // The heels stand at the skirting board; the ball of the foot is what the model measures to.
    target: [
      'down-dog-short',
      {
        footDistanceCm: lengths.seatedLeg.valueCm + read(o, 'fartherCm') - 0.73 * body.length.foot.valueCm,
        shoulderAngleDeg: read(o, 'shoulderAngleDeg'),
      },
    ],
  }),
  place: ({ body, lengths, o, target }) => {
    const mark = lengths.seatedLeg.valueCm + read(o, 'fartherCm')
    return {
      placements: [
        placement(
          'hand-line',
          'heel-of-hand',
          { ...lengths.seatedLeg, valueCm: mark },
          { fingers: 'away-from-wall', method: 'M3', give: 3, to: mark + 5, way: ['M3', 5] },
        ),
        handWidth(lengths),
      ],
      steps: [
        step('sit-and-mark', { markCm: mark }),
        step('heels-of-hands-on-mark'),
        step('heels-at-skirting'),
        step('push-floor-hips-up'),
      ],
      dimensions: [across('feet-from-hands', target.base.fromCm, 0)],
      top: handsFromAbove(body, lengths.jointWidth.valueCm),
    }
  },
})

const rightAngle = defineSetup({
  id: 'SETUP-wall-l-hand',
  options: [
    option.choice('method', 'How the line was found', METHODS),
    option.cm('fartherCm', 'Farther than that mark', -20, 25, 0, {
      usualFrom: -3,
      usualTo: 10,
      below: 'FT-hands-too-close',
      above: 'FT-l-shoulder-slide',
    }),
    option.cm('footHeightCm', 'Feet on the wall', 50, 150, HIP_FROM_FLOOR),
  ],
  poses: (given) => {
    const { line, bent } = markOf(given)
    return {
      target: [
        'right-angle-hands',
        { handDistanceCm: line, footHeightCm: read(given.o, 'footHeightCm'), kneeBendDeg: bent },
      ],
    }
  },
  place: (given) => {
    const { body, lengths, o } = given
    const { line, method, errorCm } = markOf(given)
    const foot = read(o, 'footHeightCm')
    const { upperArm, forearm, trunk } = body.length
    return {
      placements: [
        placement(
          'hand-line',
          'heel-of-hand',
          { ...lengths.seatedLeg, valueCm: line },
          { fingers: 'away-from-wall', method, to: line + 10, way: [method, errorCm] },
        ),
        placement('foot-height', 'foot-mark', foot, {
          sdCm: Math.hypot(upperArm.sdCm, forearm.sdCm, trunk.sdCm),
          give: 5,
          way: ['upside-down-hip', 4],
        }),
        handWidth(lengths),
      ],
      steps: [
        step(`mark-by-${method}`, { markCm: line }),
        step('heels-of-hands-on-mark'),
        step('walk-feet-up', { footHeightCm: foot }),
        step('feet-level-with-hips'),
        step('push-tall-ribs-to-wall'),
      ],
      warnings: footHeightWarning(foot - HIP_FROM_FLOOR(body)),
      dimensions: [across('hand-line', 0, line), upright('foot-height', line - 3, foot)],
      top: handsFromAbove(body, lengths.jointWidth.valueCm, { pointing: -1, wallX: line }),
    }
  },
})

function markOf({ body, lengths, o }: SetupGiven): {
  line: number
  method: (typeof METHODS)[number]
  errorCm: number
  bent: number
} {
  const method = METHODS[read(o, 'method')] ?? 'M3'
  const line = lineFromWall(body, lengths, method) + read(o, 'fartherCm')
  // Nearer than the legs are long, the knees have to bend.
  return {
    line,
    method,
    errorCm: method === 'M3' ? 5 : method === 'M4' ? 3 : 4,
    bent: line < lengths.seatedLeg.valueCm - 2 ? 20 : 0,
  }
}

const armLengthL = defineSetup({
  id: 'SETUP-wall-l-hand-arm-length',
  options: [farther('Farther than that mark', 15, 5, 'FT-hands-too-close', 'FT-leg-past-vertical')],
  poses: ({ body, lengths, o }) => ({
    start: [
      'box-walk-up',
      { handDistanceCm: lineFromWall(body, lengths, 'M4') + read(o, 'fartherCm') - 0.06 * body.statureCm },
    ],
    target: [
      'right-angle-hands-leg-lifted',
      { handDistanceCm: lineFromWall(body, lengths, 'M4') + read(o, 'fartherCm') },
    ],
  }),
  place: ({ body, lengths, o }) => {
    const line = lineFromWall(body, lengths, 'M4') + read(o, 'fartherCm')
    return {
      placements: [
        placement('feet-mark', 'foot-mark', lengths.armReach, { way: ['M4', 3] }),
        placement(
          'hand-line',
          'heel-of-hand',
          { ...lengths.armReach, valueCm: line },
          { fingers: 'away-from-wall', method: 'M4', give: 5, way: ['M4', 3] },
        ),
        handWidth(lengths),
      ],
      steps: [
        step('mark-by-M4', { markCm: line }),
        step('room-side-free'),
        step('walk-feet-up', { footHeightCm: HIP_FROM_FLOOR(body) }),
        step('last-foot-floats'),
      ],
      dimensions: [across('hand-line', 0, line)],
      top: handsFromAbove(body, lengths.jointWidth.valueCm, { pointing: -1, wallX: line }),
    }
  },
})

const straddle = defineSetup({
  id: 'SETUP-wall-straddle-hop',
  options: [option.gap(5, 40, 22, 15, 30, { below: 'FT-hips-short', above: 'FT-hips-short' })],
  poses: ({ o }) => ({
    start: ['handstand-hop-start', { kneeBendDeg: 5 }],
    target: ['handstand-heels-on-wall', { fingertipGapCm: read(o, 'fingertipGapCm') }],
  }),
  place: (given) => {
    const { body, lengths, o, target } = given
    const clear = Math.min(240, Math.max(180, STRADDLE_WIDTH * body.statureCm))
    const wallX = target.wallX ?? 0
    return {
      placements: [
        ...kickPlacements(given, 15, 30, false),
        placement('clear-width', 'clear-floor', clear, { from: 180, to: 240, way: ['arms-out', 15] }),
      ],
      steps: [
        step('clear-wall', { widthCm: clear }),
        step('fingertips-from-wall', { gapCm: read(o, 'fingertipGapCm') }),
        step('hands-at-width', { widthCm: lengths.jointWidth.valueCm }),
        step('hop-legs-wide'),
        step('sacrum-then-legs'),
      ],
      dimensions: [across('fingertip-gap', wallX - read(o, 'fingertipGapCm'), wallX)],
      top: handsFromAbove(body, lengths.jointWidth.valueCm, { wallX }),
    }
  },
})

/** Wall that open legs sweep, as a fraction of stature: 2 m at 168 cm (1.8–2.4). */
const STRADDLE_WIDTH = 1.19

export const HANDS_WALL: readonly Setup[] = [
  shortDog,
  rightAngle,
  armLengthL,
  kick({
    id: 'SETUP-wall-kick-hand',
    gap: [5, 40, (body) => body.length.hand.valueCm, 10, 30],
    faults: { below: 'FT-wall-rebound' },
    byHand: true,
    steps: ['lead-leg-up-hands', 'heels-arrive-quietly'],
  }),
  kick({
    id: 'SETUP-wall-kick-hand-close',
    gap: [2, 30, 10, 5, 15],
    faults: { below: 'FT-wall-rebound' },
    steps: ['slow-kick', 'heels-arrive-quietly'],
  }),
  kickStrap,
  kickBlocks,
  kickBolster,
  tuckHop,
  straddle,
  halfArm,
  chest,
]
