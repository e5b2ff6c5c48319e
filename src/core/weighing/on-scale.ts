import type { BodyInput } from '../body/estimate'
import { pictureOf, type Picture } from '../figure/picture'
import { contactOf } from '../mechanics/position'
import { weighedPosition, type WeighingShape } from './calibrate'

/** A bathroom scale from the side, sunk into the drawing's floor so that the shape stays as it is reckoned, cm. */
const SCALE = { longCm: 32, thickCm: 4 } as const

/** The shape that is weighed, on this body, with the scale under the part; null where the body cannot take it. */
export function onScale(input: BodyInput, shape: WeighingShape): Picture | null {
  const position = weighedPosition(input, shape)
  const at = position && contactOf(position, shape.part)?.atCm
  if (!position || !at) return null
  const picture = pictureOf(position)
  const [x, y, wide, high] = picture.view
  const scale = {
    x: at.x - SCALE.longCm / 2,
    widthCm: SCALE.longCm,
    heightCm: SCALE.thickCm,
    fromCm: -SCALE.thickCm,
  }
  return { ...picture, view: [x, y, wide, high + SCALE.thickCm], rests: [...picture.rests, scale] }
}
