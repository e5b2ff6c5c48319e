import { read, type Parameters } from '../mechanics/parameters'
import { ok } from '../result'
import { defineSetup, placement } from './define'
import { handBlock } from './forearm-floor'
import { GRIPS, type HandBlock } from './hand-block'
import { across, box } from './scene'
import { step, type Pose, type Setup, type SetupGiven } from './setup'
import {
  archWarning,
  byBreadths,
  elbowWidth,
  KICK_FEET,
  option,
  strapFor,
  strapLoop,
  walkIn,
  walkInDimension,
} from './shared'
import { forearmsFromAbove, slab } from './top-view'

const KICK_OPTIONS = [KICK_FEET, option.kneeBend, option.arch, option.gaze]

const kickPoses = (o: Parameters, fingertipGapCm: number): { start: Pose; target: Pose } => ({
  start: [
    'forearm-stand-kick-start',
    { fingertipGapCm, toeDistanceCm: read(o, 'toeDistanceCm'), kneeBendDeg: read(o, 'kneeBendDeg') },
  ],
  target: [
    'forearm-stand-heels-on-wall',
    { fingertipGapCm, archShare: read(o, 'archShare'), gazeDeg: read(o, 'gazeDeg') },
  ],
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
      way: byBreadths(gapCm, lengths, 1.5),
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
export const FAR = 'SETUP-wall-far-forearm'

type Kick = {
  id: string
  gap: readonly [min: number, max: number, usual: number, from: number, to: number]
  faults: { below?: string; above?: string }
  firstSteps?: readonly string[]
  lastStep?: string
  strap?: boolean
}

/** A kick to forearms at a wall: gap, elbow mark and width, from the start to heels on the wall. */
export function kick({
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

/** The edge of a block that is as long as the gap, where one nearly is. */
function byBlockEdge(
  gapCm: number,
  { longCm, wideCm, thickCm }: HandBlock['block'],
): readonly [measure: string, withinCm: number, numbers: { edgeCm: number }] | undefined {
  const off = (edge: number): number => Math.abs(edge - gapCm)
  const edgeCm = [thickCm, wideCm, longCm].reduce((a, b) => (off(b) < off(a) ? b : a))
  return off(edgeCm) > BLOCK_EDGE_MOST_OFF_CM
    ? undefined
    : ['block-thickness', BLOCK_EDGE_ERROR_CM + off(edgeCm), { edgeCm }]
}

/** An edge further off than this shows another distance. */
const BLOCK_EDGE_MOST_OFF_CM = 2

/** How far off a mark laid by eye against a block's edge usually is, cm. */
const BLOCK_EDGE_ERROR_CM = 1

export const kickBlock = defineSetup<HandBlock & { fingertipGapCm: number; elbowToWallCm: number }>({
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
          way: byBlockEdge(gapCm, block),
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
