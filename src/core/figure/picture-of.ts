import type { Body } from '../body/estimate'
import type { Position } from '../mechanics/position'
import { solvePosition } from '../mechanics/positions/catalogue'
import { solveSetup } from '../setups/catalogue'
import type { Library } from '../practice/library'
import { drawFreehand, underOf } from './freehand'
import { pictureOf, pictureOfShape, viewOf, type Picture, type Rest } from './picture'

/**
 * What something of the practice looks like on a body: a stage, drill, warm-up, counterpose, way out or setup by its id.
 * Where this body cannot be put there with the parameters named, the position's usual values are drawn.
 * @returns null where it is told in words only
 */
export function pictureFor(practice: Library, id: string, body: Body): Picture | null {
  const entry = practice.pictures.find(({ of }) => of === id)
  if (!entry) return pictureOfSetup(id, body)
  if (entry.shape === null) return null
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
  const solved = solvedAs(name, body, parameters)
  return solved && pictureOf(solved)
}

function solvedAs(
  name: string,
  body: Body,
  parameters: Readonly<Record<string, number>> = {},
): Position | null {
  const asked = solvePosition(name, body, parameters)
  const solved = asked.ok ? asked : solvePosition(name, body)
  return solved.ok ? solved.value : null
}

/** The position that something of the practice is drawn in on a body, weighed; null where it is drawn by hand or not at all. */
export function positionFor(practice: Library, id: string, body: Body): Position | null {
  const entry = practice.pictures.find(({ of }) => of === id)
  return entry?.shape ? solvedAs(entry.shape, body, entry.with) : null
}

/** What a setup aims at, with what stands there; null where nothing is called so or this body cannot be put there. */
function pictureOfSetup(id: string, body: Body): Picture | null {
  const solved = solveSetup(id, body)
  if (!solved.ok) return null
  const { target, scene } = solved.value
  const rests = scene.props.map(({ outline }): Rest => {
    const [xs, ys] = [outline.map((p) => p.x), outline.map((p) => p.y)]
    const [x, fromCm] = [Math.min(...xs), Math.min(...ys)]
    return { x, fromCm, widthCm: Math.max(...xs) - x, heightCm: Math.max(...ys) - fromCm }
  })
  const wallX = scene.wallX ?? target.wallX
  return { ...pictureOf(target), wallX, rests, view: viewOf([{ skeleton: target.skeleton, wallX }]) }
}
