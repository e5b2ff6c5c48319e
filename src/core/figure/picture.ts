import type { Point } from '../mechanics/point'
import type { Position } from '../mechanics/position'
import { jointsOf } from '../mechanics/skeleton'
import type { Drawn } from './drawn'
import { LAYERS, outlineOf, type LayerName, type Outline } from './outline'
import { lineOf, pathOf } from './path'

/** The paths of one body, ready to be painted back to front; in steps, of which a centimetre has so many. */
export type FigurePaths = {
  readonly perCm: number
  readonly layers: Readonly<Record<LayerName, string>>
  readonly eye: string
}

/** Something under or beside the body: its left edge, width and height, and how far above the floor it begins, cm. */
export type Rest = {
  readonly x: number
  readonly widthCm: number
  readonly heightCm: number
  readonly fromCm?: number
}

/** A small drawing of one shape without numbers: paths and nothing that computes, so that a page may hold sixty. */
export type Picture = {
  /** Left, top, width and height of what is seen, cm with y down. */
  readonly view: readonly [x: number, y: number, wide: number, high: number]
  readonly figure: FigurePaths
  readonly wallX: number | null
  readonly rests: readonly Rest[]
  /** Centre of mass over the floor, for the plumb line; null where nothing was computed. */
  readonly centre: Point | null
}

/** Coarse enough to stay short, fine enough at 120 px: straight pieces between two stations, and steps in a cm. */
const SMALL = { parts: 2, perCm: 2 } as const

/** A shape as a small drawing on this body. */
export function pictureOf(position: Position): Picture {
  const outline = outlineOf(position, SMALL.parts)
  return {
    view: viewOf([position]),
    figure: pathsOf(outline, SMALL.perCm),
    wallX: position.wallX,
    rests: restsOf(position),
    centre: { x: Math.round(position.centreOfMassCm.x), y: Math.round(position.centreOfMassCm.y) },
  }
}

/** A resting shape as a small drawing, with what lies under it; it has no loads and so no plumb line. */
export function pictureOfShape(drawn: Drawn, rests: readonly Rest[]): Picture {
  return {
    view: viewOf([drawn]),
    figure: pathsOf(outlineOf(drawn, SMALL.parts), SMALL.perCm),
    wallX: drawn.wallX,
    rests,
    centre: null,
  }
}

/** The outline's paths. @param asideCm how far to the right it is drawn */
export function pathsOf({ layers, eye }: Outline, perCm: number, asideCm = 0): FigurePaths {
  const paths = Object.fromEntries(
    LAYERS.map((name) => [name, pathOf(layers[name], perCm, asideCm)]),
  ) as Record<LayerName, string>
  return { perCm, layers: paths, eye: lineOf(eye, perCm, asideCm) }
}

/** Room round the joints for the flesh about them, and below for the ground, cm. */
const AIR_CM = 13
const GROUND_CM = 5

/** A view that holds all of these positions, floor and wall with them. */
export function viewOf(positions: readonly Pick<Drawn, 'skeleton' | 'wallX'>[]): Picture['view'] {
  const joints = positions.flatMap(({ skeleton }) => jointsOf(skeleton))
  const left = Math.floor(Math.min(...joints.map((p) => p.x)) - AIR_CM)
  const wall = Math.max(...positions.map(({ wallX }) => (wallX ?? -Infinity) + GROUND_CM))
  const right = Math.ceil(Math.max(wall, Math.max(...joints.map((p) => p.x)) + AIR_CM))
  const top = Math.ceil(Math.max(...joints.map((p) => p.y)) + AIR_CM)
  return [left, -top, right - left, top + GROUND_CM]
}

/** A part this far above the floor rests on something that is drawn, cm. */
const RAISED_CM = 2.5
const REST_WIDE_CM = 26
/** Parts that press down on what is under them. */
const BEARING: ReadonlySet<string> = new Set([
  'hands',
  'forearms',
  'crown',
  'shoulders',
  'upperBack',
  'elbows',
  'seat',
  'knees',
  'shins',
  'toes',
  'feet',
])

/** Shoulders lie at the edge of what carries them, the head beyond it. */
const EDGE_CM = 4

function restsOf({ contacts, skeleton: { crown, shoulder } }: Position): Rest[] {
  const beyond = Math.sign(crown.x - shoulder.x)
  const rests: { from: number; to: number; heightCm: number }[] = []
  for (const { part, atCm, share } of contacts) {
    if (!BEARING.has(part) || atCm.y <= RAISED_CM || share.value <= 0) continue
    const half = REST_WIDE_CM / 2
    const from = atCm.x - (part === 'shoulders' && beyond < 0 ? EDGE_CM : half)
    const to = atCm.x + (part === 'shoulders' && beyond > 0 ? EDGE_CM : half)
    const heightCm = Math.round(atCm.y * 2) / 2
    const same = rests.find((rest) => rest.heightCm === heightCm)
    // Two parts at one height rest on one thing; it ends where the shoulders do.
    if (same) Object.assign(same, { from: Math.min(same.from, from), to: Math.max(same.to, to) })
    else rests.push({ from, to, heightCm })
  }
  return rests.map(({ from, to, heightCm }) => ({
    x: Math.round(from),
    widthCm: Math.round(to - from),
    heightCm,
  }))
}
