import { derivedLengths } from '../body/derived'
import type { Body } from '../body/estimate'
import { read } from '../mechanics/parameters'
import type { Parameters } from '../mechanics/parameters'
import { lowestStack, type Stack } from '../props/stack'
import { ok, refused } from '../result'
import { defineSetup, placement } from './define'
import { handBlock } from './forearm-floor'
import { GRIPS, type HandBlock } from './hand-block'
import { across, box, upright } from './scene'
import { step, type Pose, type Setup, type SetupGiven } from './setup'
import {
  archWarning,
  elbowWidth,
  KICK_FEET,
  option,
  strapFor,
  strapLoop,
  walkIn,
  walkInDimension,
} from './shared'
import { forearmsFromAbove, slab } from './top-view'

const KICK_OPTIONS = [KICK_FEET, option.kneeBend, option.arch]

const kickPoses = (o: Parameters, fingertipGapCm: number): { start: Pose; target: Pose } => ({
  start: [
    'forearm-stand-kick-start',
    { fingertipGapCm, toeDistanceCm: read(o, 'toeDistanceCm'), kneeBendDeg: read(o, 'kneeBendDeg') },
  ],
  target: ['forearm-stand-heels-on-wall', { fingertipGapCm, archShare: read(o, 'archShare') }],
})

/** Laying the forearm down finds elbow to wall to within this, cm (M11). */
const FOREARM_WAY_CM = 2

/** Gap, elbow mark and width: what every forearm kick at a wall is placed by. */
function kickPlacements(
  { lengths }: SetupGiven,
  gapCm: number,
  from: number,
  to: number,
): ReturnType<typeof placement>[] {
  const { elbowToFingertip } = lengths
  return [
    placement('fingertip-gap', 'fingertips', gapCm, {
      from,
      to,
      fingers: 'towards-wall',
      way: ['hand-breadths', 1.5, { breadths: gapCm / lengths.handBreadth.valueCm }],
    }),
    placement(
      'elbow-to-wall',
      'elbow',
      { ...elbowToFingertip, valueCm: elbowToFingertip.valueCm + gapCm },
      {
        give: 2,
        fingers: 'towards-wall',
        way: ['M11', FOREARM_WAY_CM, { pastFingertipsCm: gapCm }],
      },
    ),
    elbowWidth(lengths),
  ]
}

/** Here the wall is far on purpose and only catches. */
const FAR = 'SETUP-wall-far-forearm'

type Kick = {
  id: string
  gap: readonly [min: number, max: number, usual: number, from: number, to: number]
  faults: { below?: string; above?: string }
  firstSteps?: readonly string[]
  lastStep?: string
  strap?: boolean
}

function kick({
  id,
  gap,
  faults,
  firstSteps = [],
  lastStep = 'one-heel-then-other',
  strap = false,
}: Kick): Setup {
  const [min, max, usual, from, to] = gap
  return defineSetup<number>({
    id,
    options: [option.gap(min, max, usual, from, to, faults), ...KICK_OPTIONS],
    choose: ({ lengths, stock }) => (strap ? strapFor(lengths.strapNeeded, stock.straps) : ok(0)),
    poses: ({ o }) => kickPoses(o, read(o, 'fingertipGapCm')),
    place: (given) => {
      const { body, lengths, o, start, target, chosen } = given
      const gapCm = read(o, 'fingertipGapCm')
      const wallX = target.wallX ?? 0
      const feet = walkIn(start)
      const loop = strapLoop(lengths)
      return {
        placements: [...(strap ? [loop] : []), ...kickPlacements(given, gapCm, from, to), feet],
        props: strap ? [{ kind: 'strap', count: 1, detail: [chosen] }] : [],
        steps: [
          ...(strap ? [step('strap-close', { loopCm: loop.valueCm }), step('strap-above-elbows')] : []),
          step('check-elbow-to-wall', { elbowToWallCm: wallX }),
          ...firstSteps.map((code) => step(code, { gapCm })),
          step('elbows-at-width', { widthCm: lengths.jointWidth.valueCm }),
          step('walk-in-to', { walkInCm: feet.valueCm }),
          step('lead-leg-up'),
          step(lastStep, { gapCm }),
        ],
        warnings: id === FAR ? [] : archWarning('forearm-stand-heels-on-wall', body, gapCm, gapCm, to),
        dimensions: [
          walkInDimension(start),
          across('elbow-to-wall', 0, wallX, 2),
          across('fingertip-gap', wallX - gapCm, wallX),
        ],
        top: forearmsFromAbove(body, {
          elbowsCm: lengths.jointWidth.valueCm,
          wallX,
          props: strap ? [slab('strap', 4, 3.8, 0, lengths.jointWidth.valueCm + 9)] : [],
        }),
      }
    },
  })
}

/** Block to wall, cm (progressions.md 8): usual 10, 5–30; past 15 only for hops and taps, never for a hold. */
const BLOCK_GAP = { usualCm: 10, minCm: 5, maxCm: 30, holdMaxCm: 15, reboundBelowCm: 7 } as const
/** How far off a mark laid by eye against a block's edge usually is, cm. */
const BLOCK_EDGE_ERROR_CM = 1

const kickBlock = defineSetup<HandBlock & { fingertipGapCm: number; elbowToWallCm: number }>({
  id: 'SETUP-wall-kick-forearm-block',
  options: [
    option.cm('wallGapCm', 'Block to wall', BLOCK_GAP.minCm, BLOCK_GAP.maxCm, BLOCK_GAP.usualCm, {
      usualFrom: BLOCK_GAP.reboundBelowCm,
      below: 'FT-wall-rebound',
    }),
    option.choice('grip', 'How the hands meet the block', GRIPS),
    ...KICK_OPTIONS,
  ],
  choose: (given) => {
    const hands = handBlock(given)
    if (!hands.ok) return hands
    const { block, elbowToBlockCm } = hands.value
    const elbowToWallCm = elbowToBlockCm + block.wideCm + read(given.o, 'wallGapCm')
    return ok({
      ...hands.value,
      elbowToWallCm,
      fingertipGapCm: elbowToWallCm - given.body.length.forearm.valueCm - given.body.length.hand.valueCm,
    })
  },
  poses: ({ o }, { fingertipGapCm }) => kickPoses(o, fingertipGapCm),
  place: ({ body, lengths, o, start, chosen }) => {
    const { block, spacer, elbowToBlockCm, elbowToWallCm, turnInDeg } = chosen
    const gapCm = read(o, 'wallGapCm')
    const feet = walkIn(start)
    const width = elbowWidth(lengths)
    const { forearm, hand } = body.length
    return {
      placements: [
        placement('block-gap', 'block-face', gapCm, {
          from: BLOCK_GAP.minCm,
          to: BLOCK_GAP.holdMaxCm,
          fingers: 'towards-wall',
          way: ['block-thickness', BLOCK_EDGE_ERROR_CM, { gapCm }],
        }),
        placement('elbow-to-wall', 'elbow', elbowToWallCm, {
          sdCm: Math.hypot(forearm.sdCm, hand.sdCm / 2),
          give: 2,
          fingers: 'towards-wall',
          way: ['M11', FOREARM_WAY_CM, { pastFingertipsCm: chosen.fingertipGapCm }],
        }),
        width,
        feet,
      ],
      props: [chosen.prop],
      steps: [
        step('block-from-wall', { gapCm }),
        step('check-elbow-to-wall', { elbowToWallCm }),
        step('thumbs-near-face'),
        step('elbows-at-width', { widthCm: width.valueCm }),
        step('walk-in-to', { walkInCm: feet.valueCm }),
        step('lead-leg-up'),
        step('one-heel-then-other'),
      ],
      warnings: [
        ...chosen.warnings,
        ...archWarning(
          'forearm-stand-heels-on-wall',
          body,
          chosen.fingertipGapCm,
          gapCm,
          BLOCK_GAP.holdMaxCm,
        ),
      ],
      outlines: [box('block', elbowToBlockCm, 0, block.wideCm, block.thickCm)],
      dimensions: [
        walkInDimension(start),
        across('elbow-to-wall', 0, elbowToWallCm, 2),
        across('block-gap', elbowToWallCm - gapCm, elbowToWallCm),
      ],
      top: forearmsFromAbove(body, {
        elbowsCm: width.valueCm,
        wristsCm: width.valueCm - 2 * forearm.valueCm * Math.sin((turnInDeg * Math.PI) / 180),
        props: [slab('block', elbowToBlockCm, block.wideCm, 0, spacer.widthCm)],
        wallX: elbowToWallCm,
      }),
    }
  },
})

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
