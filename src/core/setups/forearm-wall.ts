import { derivedLengths } from '../body/derived'
import type { Body } from '../body/estimate'
import { read } from '../mechanics/parameters'
import { lowestStack, type Stack } from '../props/stack'
import { ok, refused } from '../result'
import { defineSetup, placement } from './define'
import { across, box, upright } from './scene'
import { step, type Setup } from './setup'
import { elbowWidth, option } from './shared'
import { forearmsFromAbove, slab } from './top-view'
import { FAR, kick, kickBlock } from './forearm-kick'

const rightAngle = defineSetup({
  id: 'SETUP-wall-l-forearm',
  options: [
    option.cm('fartherCm', 'Farther than the measured mark', -15, 20, 0, {
      usualFrom: -5,
      usualTo: 10,
      below: 'FT-l-shoulder-slide',
      above: 'FT-l-shoulder-slide',
    }),
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
        placement('elbow-line', 'elbow', lengths.seatedLeg, {
          fingers: 'away-from-wall',
          method: 'M3',
          way: ['M3', 5],
        }),
        placement('elbow-line-end', 'elbow', end, {
          fingers: 'away-from-wall',
          from: 20,
          to: 30,
          way: ['hand-breadths', 3, { breadths: end / lengths.handBreadth.valueCm }],
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

/** Crown above the floor that a head-free forearm support must leave, cm (progressions.md 8). */
const CROWN_CLEAR_CM = 2

/** A usual block, cm. */
const LONG_CM = 23

/** The base block stands a hand's breadth off the wall, 5 to 12 cm (progressions.md 8). */
const usualOverlap = (body: Body): number =>
  LONG_CM - Math.min(12, Math.max(5, derivedLengths(body).handBreadth.valueCm))

const stackBack = defineSetup<{ lift: Stack; wallToFaceCm: number; baseGapCm: number }>({
  id: 'SETUP-wall-stack-upper-back',
  options: [
    option.cm('extraHeightCm', 'Stack higher by', 0, 15, 0),
    option.cm('overlapCm', 'Upper blocks resting on the base block', 0, 23, usualOverlap, {
      usualFrom: 7.5,
      below: 'FT-stack-misplaced',
    }),
    option.deg('hipFlexionDeg', 'Hip fold', 0, 110, 85),
  ],
  choose: ({ body, o, stock }) => {
    if (stock.blocks.length < 3)
      return refused({ code: 'no-blocks', needed: 3, inStock: stock.blocks.length })
    const [block] = stock.blocks
    const least = (block?.wideCm ?? 0) / 2
    const overlap = read(o, 'overlapCm')
    if (overlap < least) return refused({ code: 'rig-without-overlap', overlapCm: overlap, leastCm: least })
    // The crown hangs between the arms: short upper arms need something under the forearms.
    const short = body.length.headNeck.valueCm + CROWN_CLEAR_CM - body.length.upperArm.valueCm
    const lift = lowestStack(Math.max(0, short), [], stock.slabs, { most: 4 })
    if (!lift)
      return refused({
        code: 'stack-too-low',
        neededCm: short,
        reachedCm: stock.slabs.reduce((a, b) => a + b, 0),
      })
    return ok({
      lift,
      wallToFaceCm: block?.longCm ?? 23,
      // What lies on the base block and what is left to the wall make the length of a block.
      baseGapCm: Math.max(0, (block?.longCm ?? LONG_CM) - overlap),
    })
  },
  poses: ({ body, o }, { lift }) => ({
    target: [
      'forearm-stand-back-on-stack',
      {
        forearmLiftCm: lift.heightCm,
        hipFlexionDeg: read(o, 'hipFlexionDeg'),
        stackDistanceCm: 0.18 * body.statureCm,
      },
    ],
  }),
  place: ({ body, lengths, o, stock, target, chosen }) => {
    const face = target.wallX ?? 0
    const { thickCm = 10, longCm = 23, wideCm = 15 } = stock.blocks[0] ?? {}
    const wallX = face + longCm
    const high = thickCm + 2 * wideCm + read(o, 'extraHeightCm')
    const { headNeck, upperArm } = body.length
    const clear = target.skeleton.crown.y
    return {
      placements: [
        placement(
          'base-block-gap',
          'block-face',
          { ...lengths.handBreadth, valueCm: chosen.baseGapCm },
          { from: 5, to: 12, way: ['hand-breadths', 1, { breadths: 1 }] },
        ),
        placement('stack-height', 'prop-top', high, { give: 3, way: ['blades-rest', 2] }),
        placement('elbow-to-stack', 'elbow', face, {
          sdCm: upperArm.sdCm,
          give: 4,
          way: ['back-meets-stack', 3],
        }),
        placement('forearm-lift', 'prop-top', chosen.lift.heightCm, {
          sdCm: Math.hypot(headNeck.sdCm, upperArm.sdCm),
          give: 1,
          way: ['M14', 1],
        }),
        placement('crown-clearance', 'crown', Math.max(CROWN_CLEAR_CM, clear), {
          from: CROWN_CLEAR_CM,
          give: 3,
          way: ['M12', 1],
        }),
        elbowWidth(lengths),
      ],
      props: [{ kind: 'block', count: 3, face: 'side', detail: [thickCm, wideCm, wideCm] }],
      steps: [
        step('base-block-off-wall', { gapCm: chosen.baseGapCm }),
        step('two-blocks-flush'),
        step('press-test-stack'),
        step('elbows-at-width', { widthCm: lengths.jointWidth.valueCm }),
        step('raise-forearms', { liftCm: chosen.lift.heightCm }),
        step('crown-gap-by-hand', { clearCm: CROWN_CLEAR_CM }),
        step('lean-back-then-legs'),
      ],
      warnings:
        clear < CROWN_CLEAR_CM
          ? [
              {
                code: 'crown-too-low',
                faultId: 'FT-head-load-hidden',
                numbers: { clearCm: clear, leastCm: CROWN_CLEAR_CM },
              },
            ]
          : [],
      outlines: [
        box('block', wallX - chosen.baseGapCm - wideCm, 0, wideCm, thickCm),
        box('block', face, thickCm, longCm, wideCm),
        box('block', face, thickCm + wideCm, longCm, wideCm),
      ],
      dimensions: [across('elbow-to-stack', 0, face)],
      wallX,
      top: forearmsFromAbove(body, {
        elbowsCm: lengths.jointWidth.valueCm,
        props: [slab('block', face, longCm, 0, 10)],
        wallX,
      }),
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
