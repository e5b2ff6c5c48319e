import type { Body } from '../body/estimate'
import type { Point } from '../mechanics/point'
import type { Dimension, TopView } from './scene'

type Shape = TopView['shapes'][number]

/** Breadth of a forearm and of a hand as drawn from above, as fractions of stature. */
const FOREARM_BROAD = 0.045
const HAND_BROAD = 0.05
/** Half a head's breadth as drawn, as a fraction of stature. */
const HEAD_RADIUS = 0.055

/** A bar of some breadth between two places. */
function bar(kind: string, from: Point, to: Point, broad: number): Shape {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1
  const side = { x: (-(to.y - from.y) / length) * (broad / 2), y: ((to.x - from.x) / length) * (broad / 2) }
  return {
    kind,
    outline: [
      { x: from.x + side.x, y: from.y + side.y },
      { x: to.x + side.x, y: to.y + side.y },
      { x: to.x - side.x, y: to.y - side.y },
      { x: from.x - side.x, y: from.y - side.y },
    ],
  }
}

/** A prop from above: its nearest x, its depth towards the wall, its middle and width across. */
export function slab(kind: string, x: number, depthCm: number, middleY: number, widthCm: number): Shape {
  return bar(kind, { x, y: middleY }, { x: x + depthCm, y: middleY }, widthCm)
}

function width(key: string, x: number, widthCm: number): Dimension {
  return { key, from: { x, y: -widthCm / 2 }, to: { x, y: widthCm / 2 }, valueCm: widthCm, offsetCm: 0 }
}

type ForearmsTop = {
  elbowsCm: number
  /** Wrist to wrist; less than the elbows when the forearms turn in. */
  wristsCm?: number
  props?: readonly Shape[]
  head?: boolean
  wallX?: number | null
}

/** Both forearms and hands on the floor from above, elbow width measured. */
export function forearmsFromAbove(
  body: Body,
  { elbowsCm, wristsCm = elbowsCm, props = [], head = true, wallX = null }: ForearmsTop,
): TopView {
  const { forearm, hand } = body.length
  const offset = (elbowsCm - wristsCm) / 2
  const wristX = Math.sqrt(Math.max(0, forearm.valueCm ** 2 - offset ** 2))
  const arms = [-1, 1].flatMap((side) => {
    const elbow = { x: 0, y: (side * elbowsCm) / 2 }
    const wrist = { x: wristX, y: (side * wristsCm) / 2 }
    return [
      bar('forearm', elbow, wrist, FOREARM_BROAD * body.statureCm),
      bar('hand', wrist, { x: wrist.x + hand.valueCm, y: wrist.y }, HAND_BROAD * body.statureCm),
    ]
  })
  return {
    shapes: [...props, ...arms],
    head: head ? { centre: { x: 0.3 * wristX, y: 0 }, radiusCm: HEAD_RADIUS * body.statureCm } : null,
    dimensions: [width('elbow-width', -8, elbowsCm)],
    wallX,
  }
}

/** Both hands from above, their middle fingers this far apart. */
export function handsFromAbove(
  body: Body,
  widthCm: number,
  {
    pointing = 1,
    props = [],
    wallX = null,
    key = 'hand-width',
  }: { pointing?: 1 | -1; props?: readonly Shape[]; wallX?: number | null; key?: string } = {},
): TopView {
  const hand = body.length.hand.valueCm
  return {
    shapes: [
      ...props,
      ...[-1, 1].map((side) =>
        bar(
          'hand',
          { x: 0, y: (side * widthCm) / 2 },
          { x: pointing * hand, y: (side * widthCm) / 2 },
          HAND_BROAD * body.statureCm,
        ),
      ),
    ],
    head: null,
    dimensions: [width(key, -6 * pointing, widthCm)],
    wallX,
  }
}

/** Two supports with a gap for the head between them, from above. */
export function supportsFromAbove(
  body: Body,
  gapCm: number,
  depthCm: number,
  eachWideCm: number,
  kind: string,
): TopView {
  return {
    shapes: [-1, 1].map((side) =>
      slab(kind, -depthCm / 2, depthCm, (side * (gapCm + eachWideCm)) / 2, eachWideCm),
    ),
    head: { centre: { x: 0, y: 0 }, radiusCm: HEAD_RADIUS * body.statureCm },
    dimensions: [width('head-gap', -depthCm / 2 - 6, gapCm)],
    wallX: null,
  }
}

/** A platform from above with the shoulders near its edge, a thumb inside it. */
export function platformFromAbove(
  body: Body,
  depthCm: number,
  widthCm: number,
  thumbCm: number,
  strapCm: number,
): TopView {
  return {
    shapes: [
      slab('slab', -depthCm, depthCm, 0, widthCm),
      bar('strap', { x: -thumbCm - 14, y: -strapCm / 2 }, { x: -thumbCm - 14, y: strapCm / 2 }, 3.8),
    ],
    head: { centre: { x: HEAD_RADIUS * body.statureCm + 4, y: 0 }, radiusCm: HEAD_RADIUS * body.statureCm },
    dimensions: [width('elbow-strap', -thumbCm - 22, strapCm)],
    wallX: null,
  }
}
