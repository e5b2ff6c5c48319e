import type { SegmentName } from '../body/anthropometry'
import type { Body } from '../body/estimate'
import type { Point } from '../mechanics/point'
import type { Library } from '../practice/library'
import { drawFreehand } from './freehand'
import { pictureOfShape, type Picture } from './picture'

/** One length of a body as a dimension line: where it runs, cm with y up, and how sure it is. */
export type BodyLine = {
  readonly segment: SegmentName
  readonly from: Point
  readonly to: Point
  /** Where a tape lies on the body itself. */
  readonly tape: readonly [from: Point, to: Point]
  readonly valueCm: number
  /** Two standard deviations, cm. */
  readonly withinCm: number
  readonly measured: boolean
}

/** A body standing with a line for each length. */
export type MeasuredBody = { readonly picture: Picture; readonly lines: readonly BodyLine[] }

/** Lines stand off the body by these fractions of stature: to the left of it, over the head, and under the foot. */
const OFF = { left: 0.13, over: 0.03, under: 0.035 } as const
/** The shape that shows every length from the side. */
export const MEASURED_SHAPE = 'stand-arms-level'

/**
 * A body standing with its arms level, and a dimension line for each length that is seen from the side.
 * @returns the picture and its lines; null where the practice has no such shape
 */
export function measuredBody({ shapes }: Pick<Library, 'shapes'>, body: Body): MeasuredBody | null {
  const shape = shapes.find(({ id }) => id === MEASURED_SHAPE)
  if (!shape) return null
  const drawn = drawFreehand(shape, body)
  const { crown, shoulder, hip, elbow, wrist, fingertip, legs } = drawn.skeleton
  const { knee, ankle, heel, toe } = legs[0]
  const left = hip.x - OFF.left * body.statureCm
  const over = crown.y + OFF.over * body.statureCm
  const under = -OFF.under * body.statureCm
  const line = (segment: SegmentName, from: Point, to: Point, tape: BodyLine['tape']): BodyLine => {
    const { valueCm, sdCm, source } = body.length[segment]
    return { segment, from, to, tape, valueCm, withinCm: 2 * sdCm, measured: source !== 'estimated' }
  }
  const upright = (segment: SegmentName, a: Point, b: Point): BodyLine =>
    line(segment, { x: left, y: a.y }, { x: left, y: b.y }, [a, b])
  const level = (segment: SegmentName, a: Point, b: Point, y: number): BodyLine =>
    line(segment, { x: a.x, y }, { x: b.x, y }, [a, b])
  return {
    picture: pictureOfShape(drawn, []),
    lines: [
      upright('headNeck', crown, shoulder),
      upright('trunk', shoulder, hip),
      upright('thigh', hip, knee),
      upright('shank', knee, ankle),
      level('upperArm', shoulder, elbow, over),
      level('forearm', elbow, wrist, over),
      level('hand', wrist, fingertip, over),
      level('foot', heel, toe, under),
    ],
  }
}
