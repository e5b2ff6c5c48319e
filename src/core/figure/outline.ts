import { LENGTH_RATIO, inertia } from '../body/anthropometry'
import type { Body } from '../body/estimate'
import type { Leg, Skeleton } from '../mechanics/skeleton'
import type { Point } from '../mechanics/point'
import { flattened, oneWayRound, smooth, type Contour, type Limits } from './contour'
import type { Drawn } from './drawn'
import { footContour } from './foot'
import { headContours } from './head'
import { beside, limb } from './limb'
import { FOREARM, HAND, PELVIS, RIBCAGE, SEAT, SHANK, THIGH, UPPER_ARM, WAIST } from './stations'

/**
 * What is painted, back to front. In each layer every piece is lined first and then filled, so that overlaps vanish and
 * the line round all of it stays; the seat is filled only and covers where the near thigh begins.
 */
export const LAYERS = ['far', 'body', 'leg', 'seat', 'arm'] as const
export type LayerName = (typeof LAYERS)[number]

/** A body as closed lines, cm, in the frame of the position that it was drawn from. */
export type Outline = {
  readonly layers: Readonly<Record<LayerName, readonly Contour[]>>
  /** A shut eye, so that the gaze can be read where the drawing is large. */
  readonly eye: readonly Point[]
}

/** Straight pieces between two stations: enough for a drawing 500 px high. */
const FINE = 5

/**
 * The outline of a body: flesh about the joints, flattened at floor and wall.
 * @param parts straight pieces between two stations; fewer for small drawings
 * @param wallX where the wall stands, when it is the setup's and not the position's own
 */
export function outlineOf(drawn: Drawn, parts = FINE, wallX = drawn.wallX): Outline {
  const { skeleton, body, facing } = drawn
  const limits: Limits = { floorY: 0, wallX }
  const dressed = (contours: readonly Contour[]): Contour[] =>
    contours
      .map((contour) => flattened(oneWayRound(smooth(contour, parts)), limits))
      .filter((contour) => contour.length > 2)
  const [near, far] = skeleton.legs
  const { skull, neck, eye } = headContours(drawn)
  const seat = seatContour(body, skeleton, facing)
  return {
    layers: {
      far: dressed(near === far ? [] : legContours(body, skeleton.hip, far, facing)),
      body: dressed([neck, skull, trunkContour(body, skeleton, facing), seat]),
      leg: dressed(legContours(body, skeleton.hip, near, facing)),
      seat: dressed([seat]),
      arm: dressed(armContours(body, skeleton, facing)),
    },
    eye,
  }
}

/** Ribcage and pelvis as one line; at the waist the line across is the mean of both. */
function trunkContour(body: Body, { shoulder, waist, hip }: Skeleton, facing: number): Contour {
  const scale = body.statureCm * fullness(body, 'trunk')
  const upper = beside(shoulder, waist, facing).front
  const lower = beside(waist, hip, facing).front
  const sum = { x: upper.x + lower.x, y: upper.y + lower.y }
  const length = Math.hypot(sum.x, sum.y) || 1
  const middle = { x: sum.x / length, y: sum.y / length }
  const rows = [
    ...RIBCAGE.map((station) => ({ station, from: shoulder, to: waist, front: upper })),
    { station: WAIST, from: shoulder, to: waist, front: middle },
    ...PELVIS.map((station) => ({ station, from: waist, to: hip, front: lower })),
  ]
  const side = (way: 1 | -1): Point[] =>
    rows.map(({ station: [t, f, b], from, to, front }) => {
      const off = (way === 1 ? f : -b) * scale
      return {
        x: from.x + t * (to.x - from.x) + front.x * off,
        y: from.y + t * (to.y - from.y) + front.y * off,
      }
    })
  return [...side(1), ...side(-1).toReversed()]
}

function seatContour(body: Body, { waist, hip, legs }: Skeleton, facing: number): Contour {
  const scale = body.statureCm * fullness(body, 'thigh')
  const fold = beside(waist, hip, facing).front
  const thigh = beside(hip, legs[0].knee, facing).along
  const away = fold.x * thigh.x + fold.y * thigh.y > 0 ? -1 : 0
  const middle = {
    x: hip.x + fold.x * away * SEAT.away * scale,
    y: hip.y + fold.y * away * SEAT.away * scale,
  }
  const radius = SEAT.radius * scale
  return Array.from({ length: SEAT_POINTS }, (_, i) => {
    const turn = (2 * Math.PI * i) / SEAT_POINTS
    return { x: middle.x + radius * Math.cos(turn), y: middle.y + radius * Math.sin(turn) }
  })
}
const SEAT_POINTS = 10

function legContours(body: Body, hip: Point, leg: Leg, facing: number): Contour[] {
  const scale = body.statureCm * fullness(body, 'thigh')
  return [
    limb(hip, leg.knee, THIGH, scale, facing),
    limb(leg.knee, leg.ankle, SHANK, scale, facing),
    footContour(leg, body.length.foot.valueCm),
  ]
}

/** Less bend than this and an elbow shows no side of its own. */
const BENT = 0.15

function armContours(body: Body, { shoulder, elbow, wrist, fingertip }: Skeleton, facing: number): Contour[] {
  const upper = beside(shoulder, elbow, 1).along
  const lower = beside(elbow, wrist, 1).along
  // An arm bends to its front, whichever way the trunk faces.
  const turn = upper.x * lower.y - upper.y * lower.x
  const front = Math.abs(turn) < BENT ? facing : Math.sign(turn)
  const scale = body.statureCm
  return [
    limb(shoulder, elbow, UPPER_ARM, scale, front),
    limb(elbow, wrist, FOREARM, scale, front),
    limb(wrist, fingertip, HAND, scale, front),
  ]
}

const EVEN = inertia('blend')

/** How much wider than the table a part is drawn: as the root of what it weighs more for its length than the usual. */
function fullness(body: Body, part: 'trunk' | 'thigh'): number {
  const length = body.length[part].valueCm / body.statureCm / LENGTH_RATIO[part]
  return Math.sqrt(body.mass[part].mass / EVEN[part].mass / length)
}
