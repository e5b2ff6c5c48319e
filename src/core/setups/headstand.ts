import { forearmLift } from '../body/head-room'
import { read, type Parameters } from '../mechanics/parameters'
import { lowestStack, type Stack } from '../props/stack'
import { ok, refused } from '../result'
import { defineSetup, placement } from './define'
import { footHeightWarning } from './forearm-wall'
import type { Position } from '../mechanics/position'
import { across, box, upright, type SceneProp } from './scene'
import { step, type Placement, type Pose, type Setup, type SetupGiven } from './setup'
import { byBreadths, elbowLine, elbowWidth, option } from './shared'
import { forearmsFromAbove, handsFromAbove } from './top-view'
import { chairs, towers } from './head-free'

/** More than this under the head lowers the push the arms can give (FT-crown-misplaced). */
const PAD_MOST_CM = 1

const PAD = option.cm('padCm', 'Padding under the head', 0, 4, 0.5, {
  usualTo: PAD_MOST_CM,
  above: 'FT-crown-misplaced',
})
const HEAD_FEET = option.cm('toeDistanceCm', 'Feet from the elbows', 20, 140, (body) => 0.4 * body.statureCm)

function basePlacements({ body, lengths }: SetupGiven): Placement[] {
  return [
    { ...elbowWidth(lengths), bodyWay: { measure: 'thumbs-in-elbow-folds', withinCm: 3, numbers: {} } },
    placement('forearm-lift', 'prop-top', forearmLift(body), { give: 1, way: ['M14', 1] }),
  ]
}

/** The folded mat under the head, as thick as it is asked for. */
function padUnder({ skeleton: { crown } }: Position, padCm: number): SceneProp[] {
  return padCm > 0 ? [box('blanket', crown.x - PAD_LONG_CM / 2, 0, PAD_LONG_CM, padCm)] : []
}

/** A mat folded in four is about this long, cm. */
const PAD_LONG_CM = 30

type Variant = {
  id: string
  /** Poses with what is laid under the forearms. */
  pose: (given: SetupGiven, lift: { forearmLiftCm: number }) => { start?: Pose; target: Pose }
  options?: Parameters
  more?: (given: SetupGiven) => {
    placements?: Placement[]
    steps?: readonly ReturnType<typeof step>[]
    wallX?: number
  }
  gap?: readonly [min: number, max: number, usual: number, from: number, to: number]
}

/** Forearms and crown on the floor: all versions share the triangle and differ by what stands around it. */
function headstand({ id, pose, more, gap }: Variant): Setup {
  return defineSetup<Stack>({
    id,
    options: [
      PAD,
      HEAD_FEET,
      ...(gap
        ? [
            option.cm('knuckleGapCm', 'Knuckles to wall', gap[0], gap[1], gap[2], {
              usualFrom: gap[3],
              usualTo: gap[4],
              below: 'FT-wall-rest',
              above: 'FT-wall-rest',
            }),
          ]
        : []),
    ],
    choose: ({ body, stock }) => {
      const { valueCm } = forearmLift(body)
      const lift = lowestStack(valueCm, [], stock.slabs, { most: 3 })
      return lift
        ? ok(lift)
        : refused({
            code: 'not-in-stock',
            prop: 'slab',
            needed: Math.ceil(valueCm / 5),
            inStock: stock.slabs.length,
          })
    },
    poses: (given, lift) => pose(given, { forearmLiftCm: lift.heightCm }),
    place: (given) => {
      const extra = more?.(given) ?? {}
      const width = given.lengths.jointWidth.valueCm
      return {
        placements: [...basePlacements(given), ...(extra.placements ?? [])],
        props:
          given.chosen.layers.length > 0
            ? [
                {
                  kind: 'slab',
                  count: given.chosen.layers.length,
                  detail: given.chosen.layers.map((l) => l.heightCm),
                },
              ]
            : [],
        steps: [
          step('fold-mat', { padCm: read(given.o, 'padCm') }),
          step('elbows-at-width', { widthCm: width }),
          ...(given.chosen.heightCm > 0 ? [step('raise-forearms', { liftCm: given.chosen.heightCm })] : []),
          step('crown-down-hands-cup'),
          ...(extra.steps ?? []),
        ],
        outlines: padUnder(given.target, read(given.o, 'padCm')),
        top: forearmsFromAbove(given.body, { elbowsCm: width, wristsCm: 0.25 * width }),
        ...(extra.wallX === undefined ? {} : { wallX: extra.wallX }),
        dimensions: extra.wallX === undefined ? [] : [across('elbow-to-wall', 0, extra.wallX)],
      }
    },
  })
}

/** Cushions lie in a horseshoe this far from the elbows, cm (progressions.md 8: 50–90). */
const CUSHIONS = { from: 50, to: 90, usual: 70 } as const

const atWall = (id: string, gap: NonNullable<Variant['gap']>, walls: string): Setup =>
  headstand({
    id,
    gap,
    pose: ({ o }, lift) => ({
      start: ['headstand-base', { toeDistanceCm: read(o, 'toeDistanceCm'), ...lift }],
      target: ['headstand-straight', lift],
    }),
    more: (given) => {
      const gapCm = read(given.o, 'knuckleGapCm')
      const { forearm, hand } = given.body.length
      // Knuckles lie a quarter of a hand beyond the wrists of a clasp.
      const reach =
        Math.sqrt(Math.max(0, forearm.valueCm ** 2 - (given.lengths.jointWidth.valueCm / 2) ** 2)) +
        0.25 * hand.valueCm
      return {
        wallX: reach + gapCm,
        placements: [
          placement('knuckle-gap', 'knuckles', gapCm, {
            from: gap[3],
            to: gap[4],
            fingers: 'towards-wall',
            way: byBreadths(gapCm, given.lengths, 1.5),
          }),
          placement('elbow-to-wall', 'elbow', reach + gapCm, { sdCm: forearm.sdCm, fingers: 'towards-wall' }),
        ],
        steps: [step(walls, { gapCm })],
      }
    },
  })

const wallL = defineSetup({
  id: 'SETUP-headstand-l-wall',
  options: [
    PAD,
    option.cm(
      'footHeightCm',
      'Feet on the wall',
      40,
      130,
      (body) => body.length.headNeck.valueCm + body.length.trunk.valueCm,
    ),
  ],
  poses: ({ lengths }) => ({
    target: ['headstand-right-angle', { elbowDistanceCm: lengths.seatedLeg.valueCm }],
  }),
  place: (given) => {
    const { lengths, body, o, target } = given
    const mark = lengths.seatedLeg.valueCm
    const foot = read(o, 'footHeightCm')
    const { trunk, upperArm } = body.length
    return {
      placements: [
        elbowLine(lengths),
        placement('foot-height', 'foot-mark', foot, {
          sdCm: Math.hypot(trunk.sdCm, upperArm.sdCm),
          give: 5,
          way: ['upside-down-hip', 4],
        }),
        ...basePlacements(given),
      ],
      steps: [
        step('fold-mat', { padCm: read(o, 'padCm') }),
        step('sit-and-mark', { markCm: mark }),
        step('elbows-on-mark'),
        step('crown-down-hands-cup'),
        step('walk-feet-up', { footHeightCm: foot }),
        step('press-crown-light'),
      ],
      outlines: padUnder(target, read(o, 'padCm')),
      warnings: footHeightWarning(foot - (body.length.headNeck.valueCm + trunk.valueCm)),
      dimensions: [across('elbow-line', 0, mark), upright('foot-height', (target.wallX ?? mark) - 3, foot)],
    }
  },
})

const tripod = defineSetup({
  id: 'SETUP-tripod-base',
  options: [PAD],
  poses: () => ({ target: ['headstand-tripod'] }),
  place: ({ body, lengths, o, target }) => {
    const side = body.length.forearm
    const depth = 0.87 * side.valueCm
    return {
      placements: [
        placement('triangle-side', 'between', side, { give: 2, way: ['forearm-laid', 1.5] }),
        placement('crown-from-hands', 'crown', { ...side, valueCm: depth }, { give: 2 }),
        placement('hand-width', 'between', lengths.jointWidth, { give: 2, way: ['shoulder-line', 3] }),
      ],
      steps: [
        step('fold-mat', { padCm: read(o, 'padCm') }),
        step('hands-at-width', { widthCm: lengths.jointWidth.valueCm }),
        step('crown-makes-triangle', { sideCm: side.valueCm }),
        step('fingertips-in-view'),
        step('elbows-over-wrists'),
      ],
      outlines: padUnder(target, read(o, 'padCm')),
      dimensions: [across('crown-from-hands', 0, depth)],
      top: {
        ...handsFromAbove(body, lengths.jointWidth.valueCm),
        head: { centre: { x: depth, y: 0 }, radiusCm: 0.055 * body.statureCm },
      },
    }
  },
})

export const HEADSTAND_SETUPS: readonly Setup[] = [
  headstand({
    id: 'SETUP-headbase',
    pose: ({ o }, lift) => ({
      target: ['headstand-base', { toeDistanceCm: read(o, 'toeDistanceCm'), ...lift }],
    }),
    more: () => ({ steps: [step('paper-test')] }),
  }),
  headstand({
    id: 'SETUP-headstand-open',
    pose: ({ o }, lift) => ({
      start: ['headstand-base', { toeDistanceCm: read(o, 'toeDistanceCm'), ...lift }],
      target: ['headstand-straight', lift],
    }),
    more: () => ({
      placements: [
        placement('cushions', 'prop-edge', CUSHIONS.usual, {
          from: CUSHIONS.from,
          to: CUSHIONS.to,
          way: ['arm-reach-round', 10],
        }),
      ],
      steps: [
        step('cushion-horseshoe', { fromCm: CUSHIONS.from, toCm: CUSHIONS.to }),
        step('nothing-soft-under-head'),
      ],
    }),
  }),
  atWall('SETUP-headstand-wall', [2, 20, 7.5, 5, 10], 'knuckles-from-wall'),
  atWall('SETUP-headstand-corner', [4, 20, 10, 8, 12], 'knuckles-from-both-walls'),
  wallL,
  chairs,
  towers,
  tripod,
]
