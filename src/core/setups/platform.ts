import type { Body } from '../body/estimate'
import { read } from '../mechanics/parameters'
import { legLength } from '../mechanics/pose'
import { SEAT_DEPTH, SHOULDER_DEPTH } from '../mechanics/positions/floor'
import { neckFlexion } from '../mechanics/positions/shoulder-stand'
import { lowestStack, type Stack } from '../props/stack'
import { CHAIR_BACK_CM, CHAIR_SEAT_CM } from '../props/stock'
import { ok, refused, type Result } from '../result'
import { defineSetup, placement } from './define'
import { across, bench as benchFromSide, box, chair, upright } from './scene'
import {
  step,
  type Placement,
  type Pose,
  type Setup,
  type SetupGiven,
  type SetupOption,
  type SetupRefusal,
  type SetupWarning,
} from './setup'
import { option } from './shared'
import { platformFromAbove } from './top-view'

/** Platforms start this high and rise by half slabs until the throat is soft (progressions.md 8). */
const PLATFORM = { startCm: 5, stepCm: 2.5, capCm: 12 } as const
/** Depth and width of four slabs laid two by two, cm. */
const PLATFORM_DEPTH_CM = 60
const PLATFORM_WIDTH_CM = 40

const NECK_LIMIT = option.deg('neckLimitDeg', 'Neck fold at most', 55, 95, 75)
const TRUNK = option.deg('trunkDeg', 'Trunk above the floor', 60, 90, 80)

/**
 * How high the shoulders must be so that the neck folds no more than asked: in half-slab steps from 5 cm.
 * A longer neck holds the head further away, which a given height relieves less, so it needs more.
 */
function platformHeight({ body, o }: SetupGiven): { neededCm: number; capped: boolean } {
  const limit = read(o, 'neckLimitDeg')
  const trunk = read(o, 'trunkDeg')
  let height: number = PLATFORM.startCm
  while (neckFlexion(body, height, trunk) > limit && height < PLATFORM.capCm) height += PLATFORM.stepCm
  return {
    neededCm: Math.min(PLATFORM.capCm, height),
    capped: neckFlexion(body, Math.min(PLATFORM.capCm, height), trunk) > limit,
  }
}

/** The height the neck would like exactly, before it is rounded to layers; what a tape would read. */
function neckHeight({ body, o }: SetupGiven): number {
  const trunk = read(o, 'trunkDeg')
  const slope = Math.max(0, trunk - read(o, 'neckLimitDeg'))
  const reach = body.length.headNeck.valueCm - 0.055 * body.statureCm
  return reach * Math.sin((slope * Math.PI) / 180) + (0.055 - SHOULDER_DEPTH) * body.statureCm
}

function platformStack(given: SetupGiven): Result<{ stack: Stack; capped: boolean }, SetupRefusal> {
  const { neededCm, capped } = platformHeight(given)
  const stack = lowestStack(neededCm, [], given.stock.slabs, { most: 5 })
  return stack
    ? ok({ stack, capped })
    : refused({
        code: 'not-in-stock',
        prop: 'slab',
        needed: Math.ceil(neededCm / 5),
        inStock: given.stock.slabs.length,
      })
}

function platformPlacements(given: SetupGiven, stack: Stack): Placement[] {
  const { body, lengths } = given
  return [
    placement('neck-height', 'prop-top', neckHeight(given), {
      sdCm: body.length.headNeck.sdCm * 0.2,
      give: 2.5,
      way: ['throat-soft', 2.5],
    }),
    placement('platform-height', 'prop-top', stack.heightCm, {
      from: PLATFORM.startCm,
      to: Math.max(PLATFORM.capCm, stack.heightCm),
    }),
    placement('thumb-inside', 'shoulder-edge', lengths.thumb, { give: 1, way: ['M2', 2] }),
    placement('elbow-strap', 'loop', body.length.shoulderBreadth, { give: 2, way: ['M8', 2] }),
  ]
}

function neckWarning(capped: boolean, heightCm: number): SetupWarning[] {
  return capped ? [{ code: 'platform-at-cap', faultId: 'FT-chin-jam', numbers: { heightCm } }] : []
}

type Platform = {
  id: string
  options?: readonly SetupOption[]
  poses: (given: SetupGiven, heightCm: number) => { start?: Pose; target: Pose }
  edge?: (given: SetupGiven) => {
    placements: Placement[]
    steps: readonly ReturnType<typeof step>[]
    outlines?: ReturnType<typeof box>[]
    dimensions?: ReturnType<typeof across>[]
    wallX?: number
  }
}

/** Any shoulder stand on a platform: height by the neck, edge by what the feet go to. */
function platform({ id, options = [], poses, edge }: Platform): Setup {
  return defineSetup<{ stack: Stack; capped: boolean }>({
    id,
    options: [NECK_LIMIT, TRUNK, ...options],
    choose: platformStack,
    poses: (given, { stack }) => poses(given, stack.heightCm),
    place: (given) => {
      const { body, lengths, chosen, target } = given
      const extra = edge?.(given) ?? { placements: [], steps: [] }
      const { stack, capped } = chosen
      return {
        placements: [...extra.placements, ...platformPlacements(given, stack)],
        props: [{ kind: 'slab', count: stack.layers.length, detail: stack.layers.map((l) => l.heightCm) }],
        steps: [
          ...extra.steps,
          step('layers-to-height', { layers: stack.layers.length, heightCm: stack.heightCm }),
          step('top-mat-stops-short'),
          step('shoulders-thumb-inside', { thumbCm: lengths.thumb.valueCm }),
          step('strap-above-elbows-wide', { strapCm: body.length.shoulderBreadth.valueCm }),
          step('hips-over-ramp'),
          step('speak-a-sentence'),
        ],
        warnings: neckWarning(capped, stack.heightCm),
        outlines: [
          box('slab', target.facing === 1 ? 0 : -PLATFORM_DEPTH_CM, 0, PLATFORM_DEPTH_CM, stack.heightCm),
          ...(extra.outlines ?? []),
        ],
        dimensions: extra.dimensions ?? [],
        top: platformFromAbove(
          body,
          PLATFORM_DEPTH_CM,
          PLATFORM_WIDTH_CM * 1.5,
          lengths.thumb.valueCm,
          body.length.shoulderBreadth.valueCm,
        ),
        ...(extra.wallX === undefined ? {} : { wallX: extra.wallX }),
      }
    },
  })
}

const TIGHT = option.cm('nearerCm', 'Nearer for tight hamstrings', -10, 15, 0, {
  usualFrom: 0,
  usualTo: 10,
  below: 'FT-edge-too-far',
  above: 'FT-edge-too-near',
})

export const platformWall = platform({
  id: 'SETUP-platform-wall',
  options: [TIGHT],
  poses: ({ lengths, o }, platformHeightCm) => ({
    start: [
      'plough-wall',
      {
        platformHeightCm,
        footDistanceCm: lengths.innerLeg.valueCm - read(o, 'nearerCm'),
        trunkDeg: read(o, 'trunkDeg'),
      },
    ],
    target: ['platform-shoulder-stand', { platformHeightCm, trunkDeg: read(o, 'trunkDeg') }],
  }),
  edge: ({ lengths, o }) => {
    const fromWall = lengths.innerLeg.valueCm - read(o, 'nearerCm')
    return {
      placements: [
        placement(
          'edge-to-wall',
          'shoulder-edge',
          { ...lengths.innerLeg, valueCm: fromWall },
          { from: fromWall - 3, to: fromWall + 3, method: 'M7', way: ['M7', 3] },
        ),
      ],
      steps: [step('sit-soles-on-wall', { edgeCm: fromWall })],
      dimensions: [across('edge-to-wall', 0, fromWall)],
      wallX: fromWall,
    }
  },
})

export const slabs = platform({
  id: 'SETUP-slab-platform',
  options: [TIGHT],
  poses: ({ lengths, o }, platformHeightCm) => ({
    target: [
      'plough-wall',
      {
        platformHeightCm,
        footDistanceCm: slabEdge(lengths.seatedLeg.valueCm) - read(o, 'nearerCm'),
        trunkDeg: read(o, 'trunkDeg'),
      },
    ],
  }),
  edge: ({ lengths, o }) => {
    const edge = slabEdge(lengths.seatedLeg.valueCm) - read(o, 'nearerCm')
    return {
      placements: [
        placement('platform-centre', 'prop-edge', lengths.seatedLeg, { method: 'M3', way: ['M3', 5] }),
        placement(
          'edge-to-wall',
          'shoulder-edge',
          { ...lengths.seatedLeg, valueCm: edge },
          { give: 3, method: 'M3' },
        ),
      ],
      steps: [step('wrap-slabs'), step('sit-on-centre', { centreCm: lengths.seatedLeg.valueCm })],
      dimensions: [across('edge-to-wall', 0, edge)],
    }
  },
})

/** The shoulder edge lies half the platform's depth nearer the wall than the centre sat on (props.md 5.2). */
function slabEdge(seatedLeg: number): number {
  return seatedLeg - PLATFORM_WIDTH_CM / 2
}

/** Hips over the shoulders, this high on a platform. */
function hipHeight(body: Body, platformCm: number, trunkDeg: number): number {
  return (
    platformCm +
    SHOULDER_DEPTH * body.statureCm +
    body.length.trunk.valueCm * Math.sin((trunkDeg * Math.PI) / 180)
  )
}

/** How far straight legs reach from hips over the shoulders down to a seat. */
function seatReach(body: Body, platformCm: number, trunkDeg: number, seatCm: number): number {
  const drop = hipHeight(body, platformCm, trunkDeg) - (seatCm + 0.73 * body.length.foot.valueCm)
  const hipX = -1 * body.length.trunk.valueCm * Math.cos((trunkDeg * Math.PI) / 180)
  return hipX + Math.sqrt(Math.max(0, legLength(body) ** 2 - drop ** 2))
}

export const chairFeet = platform({
  id: 'SETUP-platform-chair-feet',
  options: [option.cm('seatHeightCm', 'Seat height', 25, 55, CHAIR_SEAT_CM)],
  poses: ({ body, o }, platformHeightCm) => ({
    target: [
      'plough-floor',
      {
        platformHeightCm,
        footHeightCm: read(o, 'seatHeightCm'),
        footDistanceCm: Math.min(
          120,
          seatReach(body, platformHeightCm, read(o, 'trunkDeg'), read(o, 'seatHeightCm')),
        ),
        trunkDeg: read(o, 'trunkDeg'),
      },
    ],
  }),
  edge: (given) => {
    const { body, lengths, o } = given
    const reach = seatReach(
      body,
      platformHeight(given).neededCm,
      read(o, 'trunkDeg'),
      read(o, 'seatHeightCm'),
    )
    return {
      placements: [
        placement(
          'edge-to-seat',
          'prop-edge',
          { ...lengths.seatedLeg, valueCm: reach },
          { give: 5, way: ['toes-find-seat', 5] },
        ),
        placement('seat-height', 'prop-top', read(o, 'seatHeightCm'), { give: 2 }),
      ],
      steps: [step('chair-beyond-head', { reachCm: reach })],
      outlines: chair(reach - 8, 1, read(o, 'seatHeightCm'), CHAIR_BACK_CM),
      dimensions: [across('edge-to-seat', 0, reach)],
    }
  },
})

export const bench = platform({
  id: 'SETUP-platform-bench',
  options: [option.cm('benchHeightCm', 'Bench and cushions', 30, 75, CHAIR_SEAT_CM)],
  poses: ({ body, o }, platformHeightCm) => ({
    target: [
      'plough-floor',
      {
        platformHeightCm,
        footHeightCm: Math.min(60, read(o, 'benchHeightCm')),
        footDistanceCm: Math.min(
          120,
          seatReach(body, platformHeightCm, read(o, 'trunkDeg'), read(o, 'benchHeightCm')),
        ),
        trunkDeg: read(o, 'trunkDeg'),
      },
    ],
  }),
  edge: (given) => {
    const { body, o } = given
    const thighs =
      hipHeight(body, platformHeight(given).neededCm, read(o, 'trunkDeg')) - THIGH_HALF * body.statureCm
    const short = thighs - read(o, 'benchHeightCm')
    return {
      placements: [
        placement('bench-height', 'prop-top', thighs, {
          sdCm: body.length.trunk.sdCm,
          give: 3,
          way: ['thighs-rest-level', 3],
        }),
      ],
      steps: [step('bench-at-groin', { heightCm: thighs, cushionCm: Math.max(0, short) })],
      outlines: [
        ...benchFromSide(8, 35, read(o, 'benchHeightCm')),
        ...(short > 0 ? [box('cushion', 8, read(o, 'benchHeightCm'), 35, short)] : []),
      ],
      dimensions: [upright('bench-height', 46, thighs)],
    }
  },
})
/** Half a thigh's thickness, as a fraction of stature. */
const THIGH_HALF = 0.04

export const open = platform({
  id: 'SETUP-platform-open',
  poses: ({ o }, platformHeightCm) => ({
    start: ['plough-floor', { platformHeightCm }],
    target: ['platform-shoulder-stand', { platformHeightCm, trunkDeg: read(o, 'trunkDeg') }],
  }),
  edge: () => ({
    placements: [
      placement('clear-beyond-head', 'clear-floor', 200, { give: 20, way: ['own-height-lying', 10] }),
    ],
    steps: [step('two-metres-free')],
  }),
})

export const home = platform({
  id: 'SETUP-home-stack',
  options: [option.choice('softness', 'What the layers are', ['firm-blankets', 'soft-pillows'])],
  poses: ({ o }, platformHeightCm) => ({
    target: ['platform-shoulder-stand', { platformHeightCm, trunkDeg: read(o, 'trunkDeg') }],
  }),
  edge: (given) => {
    // Soft pillows count half (progressions.md 8), so as much again must be laid.
    const laid = neckHeight(given) * (read(given.o, 'softness') === 1 ? 2 : 1)
    return {
      placements: [
        placement('layers-laid', 'prop-top', laid, { sdCm: 1, give: 3, way: ['throat-soft', 2.5] }),
      ],
      steps: [step('household-layers', { laidCm: laid })],
    }
  },
})

export const wallStand = platform({
  id: 'SETUP-wall-shoulderstand',
  options: [
    option.cm('seatDistanceCm', 'Seat from the wall', 0, 30, 10, {
      usualFrom: 5,
      usualTo: 15,
      above: 'FT-elbow-spread-back',
    }),
  ],
  poses: ({ body, o }, platformHeightCm) => ({
    target: [
      'wall-shoulder-stand',
      { platformHeightCm, shoulderDistanceCm: wallEdge(body, read(o, 'seatDistanceCm')), trunkDeg: 60 },
    ],
  }),
  edge: ({ body, lengths, o }) => {
    const edge = wallEdge(body, read(o, 'seatDistanceCm'))
    return {
      placements: [
        placement('seat-to-wall', 'seat', read(o, 'seatDistanceCm'), {
          from: 5,
          to: 15,
          way: ['hand-breadths', 2, { breadths: read(o, 'seatDistanceCm') / lengths.handBreadth.valueCm }],
        }),
        placement(
          'edge-to-wall',
          'shoulder-edge',
          { ...body.length.trunk, valueCm: edge },
          { give: 4, way: ['lie-and-mark', 3] },
        ),
      ],
      steps: [
        step('lie-seat-to-wall', { seatCm: read(o, 'seatDistanceCm') }),
        step('edge-under-shoulders', { edgeCm: edge }),
        step('soles-climb-wall'),
      ],
      dimensions: [across('edge-to-wall', 0, edge)],
    }
  },
})

/** Lying with the seat near the wall, the shoulders lie a trunk and the seat's own depth further. */
function wallEdge(body: Body, seatCm: number): number {
  return body.length.trunk.valueCm + SEAT_DEPTH * body.statureCm + seatCm
}
