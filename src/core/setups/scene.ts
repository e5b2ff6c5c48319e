import { outlineOf, type Outline } from '../figure/outline'
import type { Point } from '../mechanics/point'
import type { ContactPart, LoadRange } from '../mechanics/contacts'
import type { Position } from '../mechanics/position'
import { jointsOf } from '../mechanics/skeleton'

/** A body in the drawing: where it starts, as a ghost, or what it aims at. */
export type Figure = {
  readonly role: 'start' | 'target'
  readonly position: Position
  /** How far it is drawn to the right of where it was solved, cm. */
  readonly asideCm: number
}

export type SceneProp = { readonly kind: string; readonly outline: readonly Point[] }

/** Seen from above: x towards the wall, y across the body with its middle line at 0; cm. */
export type TopView = {
  readonly shapes: readonly { readonly kind: string; readonly outline: readonly Point[] }[]
  readonly head: { readonly centre: Point; readonly radiusCm: number } | null
  readonly dimensions: readonly Dimension[]
  readonly wallX: number | null
}

/** A measured distance: drawn with ticks at both ends and its number. */
export type Dimension = {
  readonly key: string
  readonly from: Point
  readonly to: Point
  readonly valueCm: number
  /** Which way the line is set off from what it measures, cm; positive is up or towards the wall. */
  readonly offsetCm: number
}

export type LoadMark = {
  readonly part: ContactPart
  readonly at: Point
  readonly share: LoadRange
  readonly horizontalShare: LoadRange
}

/** Everything a side view shows, in cm, with nothing about pixels, colour or language. */
export type Scene = {
  readonly figures: readonly Figure[]
  readonly props: readonly SceneProp[]
  readonly dimensions: readonly Dimension[]
  readonly loads: readonly LoadMark[]
  readonly plumb: {
    readonly centre: Point
    readonly base: { readonly fromCm: number; readonly toCm: number }
  }
  readonly wallX: number | null
  readonly top: TopView | null
  readonly bounds: { readonly minX: number; readonly maxX: number; readonly maxY: number }
}

/** Room left and right of the joints, cm: flesh stands off them by at most half of it. */
const AIR_CM = 22

/** The outline of a figure of a scene, its flesh flattened at the scene's floor and wall; before it is moved aside. */
export function outlineIn({ wallX }: Pick<Scene, 'wallX'>, { position, asideCm }: Figure): Outline {
  return outlineOf(position, undefined, wallX === null ? position.wallX : wallX - asideCm)
}

/** Less than this is not drawn as a load. */
const DRAWN_SHARE = 0.005

/** Plumb line, loads and bounds of a scene whose target is `position`. */
export function sceneFrom(
  position: Position,
  rest: Pick<Scene, 'figures' | 'props' | 'dimensions' | 'top' | 'wallX'>,
): Scene {
  const points = [
    ...rest.figures.flatMap(({ position: { skeleton }, asideCm }) =>
      jointsOf(skeleton).map(({ x, y }) => ({ x: x + asideCm, y })),
    ),
    ...rest.props.flatMap((prop) => prop.outline),
  ]
  const xs = points.map((p) => p.x)
  return {
    ...rest,
    loads: position.contacts
      .filter((c) => c.share.value > DRAWN_SHARE || Math.abs(c.horizontalShare.value) > DRAWN_SHARE)
      .map(({ part, atCm, share, horizontalShare }) => ({ part, at: atCm, share, horizontalShare })),
    plumb: { centre: position.centreOfMassCm, base: position.base },
    bounds: {
      minX: Math.min(...xs) - AIR_CM,
      maxX: rest.wallX === null ? Math.max(...xs) + AIR_CM : Math.max(rest.wallX, ...xs) + WALL_CM,
      maxY: Math.max(...points.map((p) => p.y)) + AIR_CM,
    },
  }
}

/** Thickness of the wall as drawn, cm. */
const WALL_CM = 8

/** A box seen from the side: left edge, bottom, width and height, cm. */
export function box(kind: string, x: number, y: number, widthCm: number, heightCm: number): SceneProp {
  return {
    kind,
    outline: [
      { x, y },
      { x: x + widthCm, y },
      { x: x + widthCm, y: y + heightCm },
      { x, y: y + heightCm },
    ],
  }
}

/** A chair seen from the side, seat towards the body at `frontX`; `facing` 1 when its back is further along x. */
export function chair(frontX: number, facing: 1 | -1, seatCm: number, backCm: number): SceneProp[] {
  const depth = 40 * facing
  const leg = 2.5 * facing
  const part = (x: number, y: number, w: number, h: number): SceneProp =>
    box('chair', Math.min(x, x + w), y, Math.abs(w), h)
  return [
    part(frontX, seatCm - 2.5, depth, 2.5),
    part(frontX, 0, leg, seatCm - 2.5),
    part(frontX + depth - leg, 0, leg, backCm),
  ]
}

/** A bench seen from the side: a top on two legs. */
export function bench(fromX: number, depthCm: number, heightCm: number): SceneProp[] {
  return [
    box('bench', fromX, heightCm - 4, depthCm, 4),
    box('bench', fromX, 0, 3, heightCm - 4),
    box('bench', fromX + depthCm - 3, 0, 3, heightCm - 4),
  ]
}

/** A level distance along the floor, drawn on one of the rows below it. */
export function across(key: string, fromX: number, toX: number, row: 1 | 2 | 3 = 1): Dimension {
  return {
    key,
    from: { x: fromX, y: 0 },
    to: { x: toX, y: 0 },
    valueCm: Math.abs(toX - fromX),
    offsetCm: -11 - 13 * row,
  }
}

/** A height above the floor at some x. */
export function upright(key: string, x: number, toY: number, fromY = 0): Dimension {
  return { key, from: { x, y: fromY }, to: { x, y: toY }, valueCm: Math.abs(toY - fromY), offsetCm: 0 }
}
