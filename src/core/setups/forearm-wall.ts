import { read } from '../mechanics/parameters'
import { defineSetup, placement } from './define'
import { across, upright } from './scene'
import { step, type Setup } from './setup'
import { byBreadths, elbowLine, elbowWidth, farther, option } from './shared'
import { forearmsFromAbove } from './top-view'
import { FAR, kick, kickBlock } from './forearm-kick'
import { stackBack } from './upper-back-stack'

const rightAngle = defineSetup({
  id: 'SETUP-wall-l-forearm',
  options: [
    farther('Farther than the measured mark', 20, 10, 'FT-l-shoulder-slide'),
    option.cm(
      'footHeightCm',
      'Feet on the wall',
      40,
      130,
      (body) => body.length.upperArm.valueCm + body.length.trunk.valueCm,
    ),
  ],
  poses: ({ lengths, o }) => ({
    target: [
      'right-angle-forearms',
      {
        handDistanceCm: lengths.seatedLeg.valueCm + read(o, 'fartherCm'),
        footHeightCm: read(o, 'footHeightCm'),
        kneeBendDeg: read(o, 'fartherCm') < 0 ? 15 : 0,
      },
    ],
  }),
  place: ({ body, lengths, o, target }) => {
    const wallX = lengths.seatedLeg.valueCm + read(o, 'fartherCm')
    const { upperArm, trunk } = body.length
    const hip = upperArm.valueCm + trunk.valueCm
    const footHeight = read(o, 'footHeightCm')
    const off = footHeight - hip
    return {
      placements: [
        placement(
          'elbow-line',
          'elbow',
          { ...lengths.seatedLeg, valueCm: wallX },
          { fingers: 'away-from-wall', method: 'M3', to: wallX + 5, way: ['M3', 5] },
        ),
        placement('foot-height', 'foot-mark', footHeight, {
          sdCm: Math.hypot(upperArm.sdCm, trunk.sdCm),
          give: 5,
          way: ['upside-down-hip', 4],
        }),
        elbowWidth(lengths),
      ],
      steps: [
        step('sit-and-mark', { markCm: wallX }),
        step('elbows-on-mark'),
        step('elbows-at-width', { widthCm: lengths.jointWidth.valueCm }),
        step('walk-feet-up', { footHeightCm: footHeight }),
        step('feet-level-with-hips'),
      ],
      warnings: footHeightWarning(off),
      dimensions: [across('elbow-line', 0, wallX), upright('foot-height', wallX - 3, footHeight)],
      top: forearmsFromAbove(body, {
        elbowsCm: lengths.jointWidth.valueCm,
        wallX: target.wallX === null ? null : -target.wallX,
        head: false,
      }),
    }
  },
})

/** Legs off level by more than this show (M10: the standing hip misses by 14–17 cm). */
const LEVEL_WITHIN_CM = 5

/** Feet too high or too low for the hips as they are upside down. */
export function footHeightWarning(
  offCm: number,
): { code: string; faultId: string; numbers: { offCm: number } }[] {
  return Math.abs(offCm) > LEVEL_WITHIN_CM
    ? [
        {
          code: offCm > 0 ? 'feet-too-high' : 'feet-too-low',
          faultId: 'FT-l-foot-height',
          numbers: { offCm: Math.abs(offCm) },
        },
      ]
    : []
}

const chest = defineSetup({
  id: 'SETUP-wall-chest-forearm',
  options: [
    option.cm('handDistanceCm', 'Elbows from the wall at the top', 12, 60, 25, {
      usualFrom: 20,
      usualTo: 30,
      below: 'FT-hand-shuffle',
    }),
  ],
  poses: ({ lengths, o }) => ({
    start: ['right-angle-forearms', { handDistanceCm: lengths.seatedLeg.valueCm }],
    target: ['forearm-stand-chest-to-wall', { handDistanceCm: read(o, 'handDistanceCm') }],
  }),
  place: ({ body, lengths, o }) => {
    const end = read(o, 'handDistanceCm')
    return {
      placements: [
        elbowLine(lengths),
        placement('elbow-line-end', 'elbow', end, {
          fingers: 'away-from-wall',
          from: 20,
          to: 30,
          way: byBreadths(end, lengths, 3),
        }),
        elbowWidth(lengths),
      ],
      steps: [
        step('sit-and-mark', { markCm: lengths.seatedLeg.valueCm }),
        step('walk-feet-up', { footHeightCm: body.length.upperArm.valueCm + body.length.trunk.valueCm }),
        step('walk-in-by-fives', { endCm: end }),
        step('stop-while-return-is-easy'),
      ],
      dimensions: [across('elbow-line-end', 0, end)],
    }
  },
})

export const FOREARM_WALL: readonly Setup[] = [
  kick({ id: 'SETUP-wall-kick-forearm', gap: [0, 40, 5, 3, 15], faults: { below: 'FT-wall-rebound' } }),
  kickBlock,
  kick({
    id: 'SETUP-wall-kick-forearm-strap',
    gap: [0, 40, 7, 5, 10],
    faults: { below: 'FT-wall-rebound' },
    strap: true,
  }),
  kick({
    id: 'SETUP-wall-touch-forearm',
    gap: [0, 10, 1, 0, 2],
    faults: { above: 'FT-wall-rest' },
    lastStep: 'one-sole-rests',
  }),
  kick({
    id: FAR,
    gap: [15, 40, 20, 20, 30],
    faults: { below: 'FT-wall-rest', above: 'FT-overkick' },
    lastStep: 'wall-only-catches',
  }),
  rightAngle,
  chest,
  stackBack,
]
