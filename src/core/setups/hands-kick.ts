import type { Body } from '../body/estimate'
import { read, type Parameters } from '../mechanics/parameters'
import { spacersFor, type Spacer } from '../props/blocks'
import { BOLSTER_CM } from '../props/stock'
import { ok, refused } from '../result'
import { defineSetup, placement } from './define'
import { across, box } from './scene'
import { step, type Pose, type Setup, type SetupGiven } from './setup'
import {
  archWarning,
  byBreadths,
  HAND_KICK_FEET,
  handWidth,
  option,
  strapFor,
  strapLoop,
  walkIn,
} from './shared'
import { handsFromAbove, slab } from './top-view'

type Kick = {
  id: string
  gap: readonly [min: number, max: number, usual: number | ((body: Body) => number), from: number, to: number]
  faults: { below?: string; above?: string }
  steps?: readonly string[]
  start?: string
  /** Own hand's length as the gap (M6), or counted in hand breadths. */
  byHand?: boolean
  holds?: boolean
}

function kickPoses(start: string, gapCm: number, o: Parameters): { start: Pose; target: Pose } {
  const feet: Parameters = o.toeDistanceCm === undefined ? {} : { toeDistanceCm: o.toeDistanceCm }
  return {
    start: start === 'handstand-kick-start' ? [start, { fingertipGapCm: gapCm, ...feet }] : [start],
    target: [
      'handstand-heels-on-wall',
      { fingertipGapCm: gapCm, archShare: o.archShare ?? 0, gazeDeg: o.gazeDeg ?? 0 },
    ],
  }
}

/** Where the fingertips and the heels of the hands go for a kick at the wall. */
export function kickPlacements(
  { body, lengths, o }: SetupGiven,
  from: number,
  to: number,
  byHand: boolean,
): ReturnType<typeof placement>[] {
  const gapCm = read(o, 'fingertipGapCm')
  const hand = body.length.hand
  return [
    placement('fingertip-gap', 'fingertips', byHand ? { ...hand, valueCm: gapCm } : gapCm, {
      from,
      to,
      fingers: 'towards-wall',
      way: byHand ? ['M6', 2, { hands: gapCm / hand.valueCm }] : byBreadths(gapCm, lengths, 1.5),
    }),
    placement(
      'wrist-to-wall',
      'heel-of-hand',
      { ...hand, valueCm: hand.valueCm + gapCm },
      { give: 2, fingers: 'towards-wall' },
    ),
    handWidth(lengths),
  ]
}

/** Any kick at the wall without something between or behind the arms. */
export function kick({
  id,
  gap,
  faults,
  steps = [],
  start = 'handstand-kick-start',
  byHand = false,
  holds = true,
}: Kick): Setup {
  const [min, max, usual, from, to] = gap
  return defineSetup({
    id,
    options: [
      option.gap(min, max, usual, from, to, faults),
      ...(start === 'handstand-kick-start' ? [HAND_KICK_FEET] : []),
      option.arch,
      option.gaze,
    ],
    poses: ({ o }) => kickPoses(start, read(o, 'fingertipGapCm'), o),
    place: (given) => {
      const { body, lengths, o, start: from0, target } = given
      const gapCm = read(o, 'fingertipGapCm')
      const wallX = target.wallX ?? 0
      return {
        placements: [
          ...kickPlacements(given, from, to, byHand),
          ...(start === 'handstand-kick-start' ? [walkIn(from0, 'walk-in-hands')] : []),
        ],
        steps: [
          step(byHand ? 'fingertips-own-hand' : 'fingertips-from-wall', { gapCm }),
          step('hands-at-width', { widthCm: lengths.jointWidth.valueCm }),
          ...steps.map((code) => step(code, { gapCm, handCm: body.length.hand.valueCm })),
        ],
        warnings: holds ? archWarning('handstand-heels-on-wall', body, gapCm, gapCm, to) : [],
        dimensions: [across('fingertip-gap', wallX - gapCm, wallX), across('wrist-to-wall', 0, wallX, 2)],
        top: handsFromAbove(body, lengths.jointWidth.valueCm, { wallX }),
      }
    },
  })
}

export const kickStrap = defineSetup<number>({
  id: 'SETUP-wall-kick-hand-strap',
  options: [
    option.gap(5, 40, (body) => body.length.hand.valueCm, 10, 30, { below: 'FT-wall-rebound' }),
    HAND_KICK_FEET,
    option.cm('loopWiderCm', 'Loop wider than the shoulders', -2, 6, 1, {
      usualFrom: 0,
      usualTo: 2,
      above: 'FT-strap-misplaced',
    }),
  ],
  choose: ({ lengths, o, stock }) => strapFor(lengths.strapNeeded + 2 * read(o, 'loopWiderCm'), stock.straps),
  poses: ({ o }) => kickPoses('handstand-kick-start', read(o, 'fingertipGapCm'), o),
  place: (given) => {
    const { body, lengths, o, target, chosen } = given
    const loop = strapLoop(lengths, 2)
    const wider = 2 * read(o, 'loopWiderCm')
    const { elbow } = target.skeleton
    const wallX = target.wallX ?? 0
    return {
      placements: [
        { ...loop, valueCm: loop.valueCm + wider, toCm: Math.max(loop.toCm, loop.valueCm + wider) },
        ...kickPlacements(given, 10, 30, true),
      ],
      props: [{ kind: 'strap', count: 1, detail: [chosen] }],
      steps: [
        step('strap-close', { loopCm: loop.valueCm + wider }),
        step('strap-above-elbows'),
        step('fingertips-own-hand', { gapCm: read(o, 'fingertipGapCm') }),
        step('press-out-before-hop'),
        step('lead-leg-up-hands'),
        step('heels-arrive-quietly'),
      ],
      outlines: [box('strap', elbow.x - 6, elbow.y + 4, 12, 4)],
      dimensions: [across('fingertip-gap', wallX - read(o, 'fingertipGapCm'), wallX)],
      top: handsFromAbove(body, lengths.jointWidth.valueCm, {
        wallX,
        props: [slab('strap', 2, 3.8, 0, lengths.jointWidth.valueCm + 9)],
      }),
    }
  },
})

export const kickBlocks = defineSetup<Spacer>({
  id: 'SETUP-wall-kick-hand-blocks',
  options: [
    option.gap(5, 40, (body) => body.length.hand.valueCm, 10, 30, { below: 'FT-wall-rebound' }),
    HAND_KICK_FEET,
  ],
  choose: ({ lengths, stock }) => {
    const [best] = spacersFor(lengths.innerForearmGap.valueCm, stock.blocks)
    return best ? ok(best) : refused({ code: 'no-blocks', needed: 2, inStock: stock.blocks.length })
  },
  poses: ({ o }) => kickPoses('handstand-kick-start', read(o, 'fingertipGapCm'), o),
  place: (given) => {
    const { body, lengths, o, target, chosen } = given
    const { elbow } = target.skeleton
    const off = chosen.errorCm
    const wallX = target.wallX ?? 0
    return {
      placements: [
        placement('forearm-gap', 'between', lengths.innerForearmGap, {
          give: 1,
          way: ['blocks-full-faces', 1.5],
        }),
        placement('spacer-width', 'between', chosen.widthCm, { give: 1 }),
        ...kickPlacements(given, 10, 30, true),
      ],
      props: [{ kind: 'block', count: chosen.edgesCm.length, detail: chosen.edgesCm }],
      steps: [
        step('blocks-below-elbow-folds', { widthCm: chosen.widthCm }),
        step('faces-fully-touch'),
        step('fingertips-own-hand', { gapCm: read(o, 'fingertipGapCm') }),
        step('squeeze-before-hop'),
        step('lead-leg-up-hands'),
        step('heels-arrive-quietly'),
      ],
      warnings:
        Math.abs(off) > SPACER_WITHIN_CM
          ? [
              {
                code: off > 0 ? 'spacer-too-wide' : 'spacer-too-narrow',
                faultId: off > 0 ? 'FT-block-width' : 'FT-block-drop',
                numbers: { offCm: Math.abs(off) },
              },
            ]
          : [],
      outlines: [box('block', elbow.x - 5, elbow.y - 16, 10, 15)],
      dimensions: [across('fingertip-gap', wallX - read(o, 'fingertipGapCm'), wallX)],
      top: handsFromAbove(body, lengths.jointWidth.valueCm, {
        wallX,
        props: [slab('block', 2, 10, 0, chosen.widthCm)],
      }),
    }
  },
})
/** A spacer may be off by this much before it pinches or drops, cm (progressions.md 8). */
const SPACER_WITHIN_CM = 1

/** Ear line to the back of the skull, as a fraction of stature: half of a head's depth. */
const SKULL_BACK = 0.056

export const kickBolster = defineSetup({
  id: 'SETUP-wall-kick-hand-bolster',
  options: [
    option.cm('pastWristsCm', 'Shoulders past the wrists on the bolster', -2, 8, 1.5, {
      usualFrom: 0,
      usualTo: 3,
      above: 'FT-shoulder-overlean',
    }),
    HAND_KICK_FEET,
  ],
  poses: ({ body, o }) => {
    const toBolster = read(o, 'pastWristsCm') + SKULL_BACK * body.statureCm
    const gap = Math.max(0, toBolster + BOLSTER_CM.wideCm - body.length.hand.valueCm)
    return kickPoses('handstand-kick-start', gap, o)
  },
  place: (given) => {
    const { body, lengths, o, target } = given
    const toBolster = read(o, 'pastWristsCm') + SKULL_BACK * body.statureCm
    const wallX = target.wallX ?? 0
    return {
      placements: [
        placement('wrist-to-bolster', 'heel-of-hand', toBolster, {
          sdCm: 0.004 * body.statureCm,
          from: toBolster - read(o, 'pastWristsCm'),
          to: toBolster + 3,
          fingers: 'towards-wall',
          way: ['M19', 2],
        }),
        placement('wrist-to-wall', 'heel-of-hand', toBolster + BOLSTER_CM.wideCm, {
          give: 3,
          fingers: 'towards-wall',
        }),
        handWidth(lengths),
      ],
      steps: [
        step('bolster-upright-at-wall', { faceCm: BOLSTER_CM.thickCm }),
        step('hands-so-skull-meets', { toBolsterCm: toBolster }),
        step('skull-touches-shoulders-over', { pastCm: read(o, 'pastWristsCm') }),
        step('lead-leg-up-hands'),
        step('heels-arrive-quietly'),
      ],
      // Its narrow side faces the room, so that it stands between the hands and not on the fingers.
      outlines: [box('bolster', toBolster, 0, BOLSTER_CM.wideCm, BOLSTER_CM.longCm)],
      dimensions: [across('wrist-to-bolster', 0, toBolster), across('wrist-to-wall', 0, wallX, 2)],
      top: handsFromAbove(body, lengths.jointWidth.valueCm, {
        wallX,
        props: [slab('bolster', toBolster, BOLSTER_CM.wideCm, 0, BOLSTER_CM.thickCm)],
      }),
    }
  },
})
