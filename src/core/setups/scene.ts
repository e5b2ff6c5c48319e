import type { Point } from '../mechanics/point'
import type { LoadRange } from '../mechanics/statics'
import type { Position } from '../mechanics/position'
import { armLoad } from '../mechanics/position'
import type { Leg, Skeleton } from '../mechanics/skeleton'

/** A limb or trunk piece, drawn as a rounded bar of real thickness, cm. */
export type Bone = { readonly from: Point; readonly to: Point; readonly thicknessCm: number }

export type Figure = {
  readonly role: 'start' | 'target'
  readonly bones: readonly Bone[]
  readonly head: { readonly centre: Point; readonly radiusCm: number }
}

export type SceneProp = { readonly kind: 'block' | 'strap'; readonly outline: readonly Point[] }

/** A measured distance: drawn with ticks at both ends and its number. */
export type Dimension = {
  readonly key: string
  readonly from: Point
  readonly to: Point
  readonly valueCm: number
  /** Which way the line is set off from what it measures, cm; positive is up or towards the wall. */
  readonly offsetCm: number
}

export type LoadMark = { readonly part: string; readonly at: Point; readonly share: LoadRange }

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
  readonly bounds: { readonly minX: number; readonly maxX: number; readonly maxY: number }
}

/** Thickness of drawn parts as a fraction of stature: for the eye only, nothing is computed from them. */
const THICKNESS = {
  trunk: 0.1,
  thigh: 0.07,
  shank: 0.05,
  foot: 0.035,
  upperArm: 0.045,
  forearm: 0.038,
  hand: 0.025,
}
/** Half of a head's height as a fraction of stature. */
const HEAD_RADIUS = 0.062
/** Room left and right of what is drawn, cm. */
const AIR_CM = 22

/** The outline of a body in a position. */
export function figureOf(position: Position, role: Figure['role']): Figure {
  const { skeleton, body } = position
  const thick = (part: keyof typeof THICKNESS): number => THICKNESS[part] * body.statureCm
  const bone = (from: Point, to: Point, part: keyof typeof THICKNESS): Bone => ({
    from,
    to,
    thicknessCm: thick(part),
  })
  const radiusCm = HEAD_RADIUS * body.statureCm
  return {
    role,
    head: { centre: headCentre(skeleton, radiusCm), radiusCm },
    bones: [
      ...legsOf(skeleton).flatMap((leg) => [
        bone(leg.heel, leg.toe, 'foot'),
        bone(leg.ankle, leg.heel, 'foot'),
        bone(leg.knee, leg.ankle, 'shank'),
        bone(skeleton.hip, leg.knee, 'thigh'),
      ]),
      bone(skeleton.hip, skeleton.waist, 'trunk'),
      bone(skeleton.waist, skeleton.shoulder, 'trunk'),
      bone(skeleton.shoulder, skeleton.elbow, 'upperArm'),
      bone(skeleton.elbow, skeleton.wrist, 'forearm'),
      bone(skeleton.wrist, skeleton.fingertip, 'hand'),
    ],
  }
}

/** Plumb line, loads and bounds of a scene whose target is `position`. */
export function sceneFrom(position: Position, rest: Pick<Scene, 'figures' | 'props' | 'dimensions'>): Scene {
  const points = rest.figures.flatMap((figure) => figure.bones.flatMap((bone) => [bone.from, bone.to]))
  const xs = points.map((p) => p.x)
  const right = position.wallX ?? Math.max(...xs) + AIR_CM
  return {
    ...rest,
    loads: [
      {
        part: 'arms',
        at: position.contacts.find((c) => c.part === 'forearms' || c.part === 'hands')?.atCm ?? {
          x: 0,
          y: 0,
        },
        share: armLoad(position),
      },
    ],
    plumb: { centre: position.centreOfMassCm, base: position.base },
    wallX: position.wallX,
    bounds: {
      minX: Math.min(...xs) - AIR_CM,
      maxX: right + (position.wallX === null ? 0 : 8),
      maxY: Math.max(...points.map((p) => p.y)) + AIR_CM,
    },
  }
}

/** A block lying on the floor with its near lower corner at `x`. */
export function blockOutline(x: number, depthCm: number, heightCm: number): SceneProp {
  return {
    kind: 'block',
    outline: [
      { x, y: 0 },
      { x: x + depthCm, y: 0 },
      { x: x + depthCm, y: heightCm },
      { x, y: heightCm },
    ],
  }
}

function headCentre(skeleton: Skeleton, radius: number): Point {
  const { crown, shoulder } = skeleton
  const length = Math.hypot(crown.x - shoulder.x, crown.y - shoulder.y)
  const back = radius / length
  return { x: crown.x + (shoulder.x - crown.x) * back, y: crown.y + (shoulder.y - crown.y) * back }
}

function legsOf(skeleton: Skeleton): readonly Leg[] {
  const [a, b] = skeleton.legs
  return a === b ? [a] : [a, b]
}
