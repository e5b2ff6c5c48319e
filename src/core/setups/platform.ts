import type { Body } from '../body/estimate'
import { read } from '../mechanics/parameters'
import { legLength } from '../mechanics/pose'
import { SEAT_DEPTH } from '../mechanics/positions/supine'
import { CHAIR_BACK_CM, CHAIR_SEAT_CM } from '../props/stock'
import { placement } from './define'
import { across, bench as benchFromSide, box, chair, upright } from './scene'
import { step } from './setup'
import { byBreadths, option, ownLength } from './shared'
import { PLATFORM_DEPTH_CM, platformHeight, platform, hipHeight } from './platform-base'

const TIGHT = option.cm('nearerCm', 'Nearer for tight hamstrings', -10, 15, 0, {
  usualFrom: 0,
  usualTo: 10,
  below: 'FT-edge-too-far',
  above: 'FT-edge-too-near',
})

/** With the feet still on the wall the hips stand over the shoulders, whatever the trunk does once they leave it. */
const FEET_ON_WALL_TRUNK_DEG = 88

export const platformWall = platform({
  id: 'SETUP-platform-wall',
  options: [TIGHT],
  poses: ({ lengths, o }, platformHeightCm) => ({
    start: [
      'plough-wall',
      {
        platformHeightCm,
        footDistanceCm: lengths.innerLeg.valueCm - read(o, 'nearerCm'),
        trunkDeg: FEET_ON_WALL_TRUNK_DEG,
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
  layers: 'slabs',
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
  return seatedLeg - PLATFORM_DEPTH_CM / 2
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

/** Free floor beyond the head where a roll may carry somebody, cm. */
const CLEAR_BEYOND_CM = 200

export const open = platform({
  id: 'SETUP-platform-open',
  options: [option.choice('halfWay', 'How far up', ['whole-stand', 'half-stand'])],
  poses: ({ o }, platformHeightCm) => ({
    start: ['plough-floor', { platformHeightCm }],
    target:
      read(o, 'halfWay') === 1
        ? ['half-shoulder-stand', { platformHeightCm }]
        : ['platform-shoulder-stand', { platformHeightCm, trunkDeg: read(o, 'trunkDeg') }],
  }),
  edge: ({ body }) => ({
    placements: [
      placement('clear-beyond-head', 'clear-floor', CLEAR_BEYOND_CM, {
        give: 20,
        way: ownLength(body, CLEAR_BEYOND_CM),
      }),
    ],
    steps: [step('two-metres-free')],
  }),
})

export const home = platform({
  id: 'SETUP-home-stack',
  layers: 'household',
  options: [option.choice('softness', 'What the layers are', ['firm-blankets', 'soft-pillows'])],
  poses: ({ o }, platformHeightCm) => ({
    target: ['platform-shoulder-stand', { platformHeightCm, trunkDeg: read(o, 'trunkDeg') }],
  }),
  edge: (given) => {
    // Soft pillows count half (progressions.md 8), so as much again must be laid.
    const soft = read(given.o, 'softness') === 1
    const laid = platformHeight(given).neededCm * (soft ? 2 : 1)
    return {
      placements: [
        placement('layers-laid', 'prop-top', laid, { sdCm: 1, give: 3, way: ['throat-soft', 2.5] }),
      ],
      steps: [step(soft ? 'household-pillows' : 'household-layers', { laidCm: laid })],
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
      {
        platformHeightCm,
        shoulderDistanceCm: wallEdge(body, read(o, 'seatDistanceCm')),
        trunkDeg: read(o, 'trunkDeg'),
      },
    ],
  }),
  edge: ({ body, lengths, o }) => {
    const edge = wallEdge(body, read(o, 'seatDistanceCm'))
    return {
      placements: [
        placement('seat-to-wall', 'seat', read(o, 'seatDistanceCm'), {
          from: 5,
          to: 15,
          way: byBreadths(read(o, 'seatDistanceCm'), lengths, 2),
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
