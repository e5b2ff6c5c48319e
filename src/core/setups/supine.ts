import type { Body } from '../body/estimate'
import { read } from '../mechanics/parameters'
import { SEAT_DEPTH, SHOULDER_DEPTH } from '../mechanics/positions/supine'
import { spanAcross } from '../mechanics/linkage'
import { BOLSTER_CM, CHAIR_BACK_CM, CHAIR_SEAT_CM } from '../props/stock'
import { defineSetup, placement } from './define'
import { across, box, upright, chair } from './scene'
import { step, type Setup } from './setup'
import { option } from './shared'
import { bench, chairFeet, home, open, platformWall, slabs, wallStand } from './platform'
import { legsWall, sacrum } from './legs-wall'

const wallPlough = defineSetup({
  id: 'SETUP-wall-plough-hands',
  options: [option.deg('elbowDeg', 'Elbows nearly straight', 110, 180, 150)],
  poses: ({ body, o }) => ({
    target: [
      'plough-hands-on-wall',
      {
        footDistanceCm: Math.max(45, crownToWall(body, read(o, 'elbowDeg')) + body.length.headNeck.valueCm),
        footHeightCm: 0.18 * body.statureCm,
        trunkDeg: 55,
        hipRangeDeg: 160,
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

/** A neck longer than this, where the usual one is 0.182 of stature, wants the support a little off the chair; else it touches. */
/** Nearer than this it touches, cm. */
const LEAST_OFF_CM = 0.5
const LONG_NECK = 0.188

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
        off < LEAST_OFF_CM ? step('support-at-front-legs') : step('support-off-front-legs', { offCm: off }),
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
  place: ({ body, lengths, o, target }) => {
    const { hip } = target.skeleton
    const high = read(o, 'blockHeightCm')
    return {
      placements: [
        placement('block-height', 'prop-top', high, { from: 7.5, to: 15 }),
        placement(
          'heels-from-shoulders',
          'heel',
          { ...body.length.trunk, valueCm: heelsFrom(body) },
          {
            give: 5,
            way: ['fingertips-find-heels', 4 + Math.abs(lengths.armReach.valueCm - heelsFrom(body))],
          },
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
