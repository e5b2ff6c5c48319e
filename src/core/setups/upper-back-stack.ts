import { derivedLengths } from '../body/derived'
import type { Body } from '../body/estimate'
import { forearmLift } from '../body/head-room'
import { read } from '../mechanics/parameters'
import { lowestStack, type Stack } from '../props/stack'
import { ok, refused } from '../result'
import { defineSetup, placement } from './define'
import { across, box } from './scene'
import { step } from './setup'
import { byBreadths, elbowWidth, option } from './shared'
import { forearmsFromAbove, slab } from './top-view'

/** Crown above the floor that a head-free forearm support must leave, cm (progressions.md 8). */
const CROWN_CLEAR_CM = 2

/** A usual block, cm. */
const LONG_CM = 23

/** The face of the stack before the elbows, as a fraction of stature. */
const STACK_FROM_ELBOWS = 0.18

/** The base block stands a hand's breadth off the wall, 5 to 12 cm (progressions.md 8). */
const usualOverlap = (body: Body): number =>
  LONG_CM - Math.min(12, Math.max(5, derivedLengths(body).handBreadth.valueCm))

/** The lower tips of the blades above the forearms, upside down, as a fraction of stature, and how far people differ. */
const BLADES_HIGH = 0.235
const BLADES_SD = 0.01

/** The face of the two upper blocks that brings the top of the stack nearest to the tips of the blades. */
function upperBlocks(
  wantedCm: number,
  { thickCm, wideCm }: { thickCm: number; wideCm: number },
): { upper: number; heightCm: number } {
  const [low, high] = [thickCm, wideCm].map((upper) => ({ upper, heightCm: thickCm + 2 * upper }))
  const off = (built: { heightCm: number } | undefined): number => Math.abs((built?.heightCm ?? 0) - wantedCm)
  return (off(low) <= off(high) ? low : high) ?? { upper: wideCm, heightCm: thickCm + 2 * wideCm }
}

export const stackBack = defineSetup<{ lift: Stack; wallToFaceCm: number; baseGapCm: number }>({
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
    const short = forearmLift(body).valueCm
    const lift = lowestStack(short, [], stock.slabs, { most: 4 })
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
        stackDistanceCm: STACK_FROM_ELBOWS * body.statureCm,
      },
    ],
  }),
  place: ({ body, lengths, o, stock, target, chosen }) => {
    const face = STACK_FROM_ELBOWS * body.statureCm
    const { thickCm = 10, longCm = 23, wideCm = 15 } = stock.blocks[0] ?? {}
    const wallX = face + longCm
    const wanted = BLADES_HIGH * body.statureCm + chosen.lift.heightCm
    const { upper, heightCm } = upperBlocks(wanted, { thickCm, wideCm })
    const high = heightCm + read(o, 'extraHeightCm')
    const { headNeck, upperArm } = body.length
    const clear = target.skeleton.crown.y
    return {
      placements: [
        placement(
          'base-block-gap',
          'block-face',
          { ...lengths.handBreadth, valueCm: chosen.baseGapCm },
          { from: 5, to: 12, way: byBreadths(chosen.baseGapCm, lengths, 1) },
        ),
        placement('stack-wanted', 'prop-top', wanted, {
          sdCm: BLADES_SD * body.statureCm,
          give: 3,
          way: ['blades-rest', 2],
        }),
        placement('stack-height', 'prop-top', high, { give: 3 }),
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
      props: [{ kind: 'block', count: 3, face: 'side', detail: [thickCm, upper, upper] }],
      steps: [
        step('base-block-off-wall', { gapCm: chosen.baseGapCm }),
        step('two-blocks-flush'),
        step('press-test-stack'),
        step('elbows-at-width', { widthCm: lengths.jointWidth.valueCm }),
        ...(chosen.lift.heightCm > 0 ? [step('raise-forearms', { liftCm: chosen.lift.heightCm })] : []),
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
        box('block', face, thickCm, longCm, upper),
        box('block', face, thickCm + upper, longCm, upper + read(o, 'extraHeightCm')),
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
