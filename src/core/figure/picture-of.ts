import type { Body } from '../body/estimate'
import { solvePosition } from '../mechanics/positions/catalogue'
import type { Library } from '../practice/library'
import { drawFreehand, underOf } from './freehand'
import { pictureOf, pictureOfShape, type Picture } from './picture'

/**
 * What something of the practice looks like on a body: a stage, drill, warm-up, counterpose or way out by its id.
 * Where this body cannot be put there with the parameters named, the position's usual values are drawn.
 * @returns null where it is told in words only
 */
export function pictureFor(practice: Library, id: string, body: Body): Picture | null {
  const entry = practice.pictures.find(({ of }) => of === id)
  if (!entry?.shape) return null
  return pictureOfNamed(practice, entry.shape, body, entry.with)
}

/** A position of the mechanics or a resting shape by its own id. @returns null where nothing is called so */
function pictureOfNamed(
  practice: Pick<Library, 'shapes'>,
  name: string,
  body: Body,
  parameters: Readonly<Record<string, number>> = {},
): Picture | null {
  const shape = practice.shapes.find(({ id }) => id === name)
  if (shape) {
    const drawn = drawFreehand(shape, body)
    return pictureOfShape(drawn, underOf(shape, drawn))
  }
  const asked = solvePosition(name, body, parameters)
  const solved = asked.ok ? asked : solvePosition(name, body)
  return solved.ok ? pictureOf(solved.value) : null
}
