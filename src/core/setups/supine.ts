import type { Body } from '../body/estimate'
import { read } from '../mechanics/parameters'
import { legLength } from '../mechanics/pose'
import { SEAT_DEPTH, SHOULDER_DEPTH } from '../mechanics/positions/floor'
import { CALF_HALF, neckFlexion } from '../mechanics/positions/shoulder-stand'
import { spanAcross } from '../mechanics/linkage'
import { lowestStack, type Stack } from '../props/stack'
import { BOLSTER_CM, CHAIR_BACK_CM, CHAIR_SEAT_CM } from '../props/stock'
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

const platformWall = platform({
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

const slabs = platform({
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

const chairFeet = platform({
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

const bench = platform({
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

const open = platform({
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

const home = platform({
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

const wallStand = platform({
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

/** Legs up a wall: the seat as near as the hamstrings let straight legs lean on it. */
function legsWall(id: string, bolster: boolean): Setup {
  const usual = (body: Body): number => {
    const lean = legLength(body) * Math.cos((HAMSTRING_DEG * Math.PI) / 180)
    return bolster ? 10 : Math.min(20, Math.max(0, lean - SEAT_DEPTH * body.statureCm))
  }
  return defineSetup({
    id,
    options: [
      option.cm('seatDistanceCm', bolster ? 'Bolster from the wall' : 'Seat from the wall', 0, 40, usual, {
        usualFrom: bolster ? 5 : 0,
        usualTo: bolster ? 15 : 20,
        above: 'FT-hip-distance',
        ...(bolster ? { below: 'FT-stack-misplaced' } : {}),
      }),
    ],
    poses: ({ o }) => ({
      target: [
        'legs-up-wall',
        { seatDistanceCm: read(o, 'seatDistanceCm'), bolsterHeightCm: bolster ? BOLSTER_CM.thickCm : 0 },
      ],
    }),
    place: ({ lengths, o, target }) => {
      const seat = read(o, 'seatDistanceCm')
      const hip = target.skeleton.hip
      const wallX = target.wallX ?? 0
      return {
        placements: [
          placement(
            bolster ? 'bolster-to-wall' : 'seat-to-wall',
            bolster ? 'prop-edge' : 'seat',
            bolster ? seat : { ...lengths.seatedLeg, valueCm: seat, sdCm: 0.2 * lengths.seatedLeg.sdCm },
            {
              from: bolster ? 5 : 0,
              to: bolster ? 15 : 20,
              way: ['hand-breadths', 2, { breadths: seat / lengths.handBreadth.valueCm }],
            },
          ),
          ...(bolster
            ? [placement('bolster-height', 'prop-top', BOLSTER_CM.thickCm, { from: 13, to: 17 })]
            : []),
        ],
        props: bolster ? [{ kind: 'bolster', count: 1, detail: [BOLSTER_CM.thickCm] }] : [],
        steps: bolster
          ? [
              step('bolster-from-wall', { seatCm: seat }),
              step('sit-sideways-swing-legs'),
              step('whole-sacrum-on-bolster'),
              step('heels-rest-on-wall'),
            ]
          : [
              step('sit-sideways-swing-legs'),
              step('seat-from-wall', { seatCm: seat }),
              step('heels-rest-on-wall'),
            ],
        outlines: bolster
          ? [box('bolster', hip.x - BOLSTER_CM.wideCm / 2, 0, BOLSTER_CM.wideCm, BOLSTER_CM.thickCm)]
          : [],
        dimensions: [across('seat-to-wall', wallX - seat, wallX)],
      }
    },
  })
}
/** A leg lifted this far comes up without the seat rolling under, for middling hamstrings. */
const HAMSTRING_DEG = 78

const sacrum = defineSetup<{ stack: Stack; neededCm: number }>({
  id: 'SETUP-sacrum-stack-chair',
  options: [
    option.choice('calvesOn', 'Calves lie on', ['seat', 'back-rest']),
    option.deg('thighDeg', 'Thighs above the level', 15, 75, 35),
    option.cm('seatHeightCm', 'Seat height', 30, 55, CHAIR_SEAT_CM),
  ],
  choose: ({ body, o, stock }): Result<{ stack: Stack; neededCm: number }, SetupRefusal> => {
    const top = read(o, 'calvesOn') === 1 ? CHAIR_BACK_CM - 23 : read(o, 'seatHeightCm')
    const climb = body.length.thigh.valueCm * Math.sin((read(o, 'thighDeg') * Math.PI) / 180)
    const neededCm = Math.min(
      30,
      Math.max(5, top + CALF_HALF * body.statureCm - climb - SEAT_DEPTH * body.statureCm),
    )
    const stack = lowestStack(neededCm, [], stock.slabs, { most: 6 })
    return stack
      ? ok({ stack, neededCm })
      : refused({ code: 'stack-too-low', neededCm, reachedCm: stock.slabs.reduce((a, b) => a + b, 0) })
  },
  poses: ({ o }, { stack }) => ({
    target: [
      'pelvis-on-stack',
      {
        stackHeightCm: Math.max(5, stack.heightCm),
        seatHeightCm: read(o, 'calvesOn') === 1 ? 55 : read(o, 'seatHeightCm'),
      },
    ],
  }),
  place: ({ body, o, target, chosen }) => {
    const { hip, legs } = target.skeleton
    const { stack, neededCm } = chosen
    return {
      placements: [
        placement('stack-needed', 'prop-top', neededCm, {
          sdCm: body.length.thigh.sdCm,
          give: 3,
          way: ['M17', 2.5],
        }),
        placement('stack-height', 'prop-top', stack.heightCm, { from: neededCm, give: 3 }),
        placement('chair-from-stack', 'prop-edge', legs[0].knee.x - hip.x, {
          sdCm: body.length.thigh.sdCm,
          give: 5,
          way: ['knees-over-edge', 3],
        }),
      ],
      props: [{ kind: 'slab', count: stack.layers.length, detail: stack.layers.map((l) => l.heightCm) }],
      steps: [
        step('calves-on-chair'),
        step('lift-add-a-layer', { layers: stack.layers.length, heightCm: stack.heightCm }),
        step('whole-sacrum-covered'),
        step('calves-level'),
      ],
      outlines: [
        box('slab', hip.x - 15, 0, 30, stack.heightCm),
        ...chair(legs[0].knee.x - 3, 1, read(o, 'seatHeightCm'), CHAIR_BACK_CM),
      ],
      dimensions: [upright('stack-height', hip.x - 22, stack.heightCm)],
    }
  },
})

const wallPlough = defineSetup({
  id: 'SETUP-wall-plough-hands',
  options: [option.deg('elbowDeg', 'Elbows nearly straight', 110, 180, 150), TRUNK],
  poses: ({ body, o }) => ({
    target: [
      'plough-hands-on-wall',
      {
        footDistanceCm: Math.max(45, crownToWall(body, read(o, 'elbowDeg')) + body.length.headNeck.valueCm),
        footHeightCm: 0.18 * body.statureCm,
        trunkDeg: 55,
        hipRangeDeg: 150,
      },
    ],
  }),
  place: ({ body, o, target }) => {
    const crown = crownToWall(body, read(o, 'elbowDeg'))
    const { upperArm, forearm, headNeck } = body.length
    const wallX = target.wallX ?? 0
    return {
      placements: [
        placement('crown-to-wall', 'crown', crown, {
          sdCm: Math.hypot(upperArm.sdCm, forearm.sdCm, headNeck.sdCm),
          from: Math.min(25, crown),
          to: Math.max(35, crown),
          way: ['palms-flat-beside-ears', 3],
        }),
      ],
      steps: [
        step('lie-crown-from-wall', { crownCm: crown }),
        step('palms-on-wall'),
        step('knees-to-chest-press'),
        step('walk-feet-down-wall'),
      ],
      dimensions: [across('crown-to-wall', wallX - crown, wallX)],
    }
  },
})

/** Palms flat on the wall beyond the head: what the arms reach past the crown. */
function crownToWall(body: Body, elbowDeg: number): number {
  const { upperArm, forearm, hand, headNeck } = body.length
  return spanAcross(upperArm.valueCm, forearm.valueCm, elbowDeg) + 0.25 * hand.valueCm - headNeck.valueCm
}

/** A neck this much longer than usual wants the support a little off the chair, as a fraction of stature. */
const LONG_NECK = 0.17

const chairStand = defineSetup({
  id: 'SETUP-chair-shoulderstand',
  options: [
    option.cm('supportHeightCm', 'Support under the shoulders', 8, 28, BOLSTER_CM.thickCm, {
      usualFrom: 10,
      usualTo: 25,
      below: 'FT-edge-too-near',
    }),
    option.cm('seatHeightCm', 'Padded seat height', 35, 55, CHAIR_SEAT_CM + 2),
  ],
  poses: ({ o }) => ({
    target: [
      'chair-shoulder-stand',
      { supportHeightCm: read(o, 'supportHeightCm'), seatHeightCm: read(o, 'seatHeightCm') },
    ],
  }),
  place: ({ body, o, target }) => {
    const neck = body.length.headNeck
    const off = Math.min(10, Math.max(0, (neck.valueCm - LONG_NECK * body.statureCm) * 2))
    const { hip } = target.skeleton
    const seat = read(o, 'seatHeightCm')
    const support = read(o, 'supportHeightCm')
    return {
      placements: [
        placement(
          'support-off-chair',
          'prop-edge',
          { ...neck, valueCm: off },
          { from: 0, to: 10, way: ['throat-soft', 3] },
        ),
        placement('support-height', 'prop-top', support, { from: 10, to: 25 }),
        placement(
          'chair-to-shoulders',
          'shoulder-edge',
          { ...body.length.trunk, valueCm: hip.x },
          { give: 4, way: ['slide-until-held', 3] },
        ),
      ],
      props: [
        { kind: 'bolster', count: 1, detail: [support] },
        { kind: 'chair', count: 1, detail: [seat] },
      ],
      steps: [
        step('chair-on-mat-seat-padded'),
        step('support-at-front-legs', { offCm: off }),
        step('sit-sideways-legs-over-back'),
        step('hold-rear-legs-slide'),
        step('shoulders-on-support'),
        step('speak-a-sentence'),
      ],
      outlines: [
        box('bolster', -BOLSTER_CM.wideCm / 2, 0, BOLSTER_CM.wideCm, support),
        ...chair(hip.x - 4, 1, seat, CHAIR_BACK_CM),
      ],
      dimensions: [across('chair-to-shoulders', 0, hip.x)],
    }
  },
})

const bridgeBlock = defineSetup({
  id: 'SETUP-bridge-block',
  options: [
    option.cm('blockHeightCm', 'Block under the sacrum', 7.5, 23, 10, {
      usualTo: 15,
      above: 'FT-stack-misplaced',
    }),
  ],
  poses: ({ body, o }) => ({
    target: [
      'bridge',
      { liftDeg: bridgeLift(body, read(o, 'blockHeightCm')), footDistanceCm: heelsFrom(body) },
    ],
  }),
  place: ({ body, o, target }) => {
    const { hip } = target.skeleton
    const high = read(o, 'blockHeightCm')
    return {
      placements: [
        placement('block-height', 'prop-top', high, { from: 7.5, to: 15 }),
        placement(
          'heels-from-shoulders',
          'heel',
          { ...body.length.trunk, valueCm: heelsFrom(body) },
          { give: 5, way: ['fingertips-find-heels', 4] },
        ),
      ],
      props: [
        { kind: 'block', count: 1, face: high <= 10 ? 'flat' : high <= 15 ? 'side' : 'tall', detail: [high] },
      ],
      steps: [
        step('feet-hip-wide-near'),
        step('lift-block-under-sacrum', { heightCm: high }),
        step('lowest-face-first'),
      ],
      outlines: [box('block', hip.x - 8, 0, 16, high)],
      dimensions: [
        across('heels-from-shoulders', 0, heelsFrom(body)),
        upright('block-height', hip.x + 14, high),
      ],
    }
  },
})

function bridgeLift(body: Body, blockCm: number): number {
  const climb = blockCm + SEAT_DEPTH * body.statureCm - SHOULDER_DEPTH * body.statureCm
  return (Math.asin(Math.min(0.7, climb / body.length.trunk.valueCm)) * 180) / Math.PI
}

/** Heels just beyond the fingertips of arms laid along the body, so that the shins stand near to upright. */
function heelsFrom(body: Body): number {
  return Math.min(110, body.length.trunk.valueCm + 0.55 * body.length.thigh.valueCm)
}

export const SUPINE_SETUPS: readonly Setup[] = [
  legsWall('SETUP-legs-wall', false),
  legsWall('SETUP-legs-wall-bolster', true),
  sacrum,
  wallPlough,
  wallStand,
  platformWall,
  chairFeet,
  bench,
  slabs,
  open,
  chairStand,
  home,
  bridgeBlock,
]
