import type { Body } from '../body/estimate'
import { read } from '../mechanics/parameters'
import { legLength } from '../mechanics/pose'
import { SEAT_DEPTH } from '../mechanics/positions/supine'
import { CALF_HALF } from '../mechanics/positions/pelvis-up'
import { lowestStack, type Stack } from '../props/stack'
import { BOLSTER_CM, CHAIR_BACK_CM, CHAIR_SEAT_CM } from '../props/stock'
import { ok, refused, type Result } from '../result'
import { defineSetup, placement } from './define'
import { across, box, upright, chair } from './scene'
import { step, type Setup, type SetupRefusal } from './setup'
import { byBreadths, option } from './shared'

/** Legs up a wall: the seat as near as the hamstrings let straight legs lean on it. */
export function legsWall(id: string, bolster: boolean): Setup {
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
              way: byBreadths(seat, lengths, 2),
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

export const sacrum = defineSetup<{ stack: Stack; neededCm: number }>({
  id: 'SETUP-sacrum-stack-chair',
  options: [
    option.choice('calvesOn', 'Calves lie on', ['seat', 'back-rest']),
    option.deg('thighDeg', 'Thighs above the level', 15, 75, 35),
    option.cm('seatHeightCm', 'Seat height', 35, 55, CHAIR_SEAT_CM),
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
