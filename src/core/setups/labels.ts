import { length, percent, type Wording } from '../words/number'
import type { Scene } from './scene'

/** A number on the drawing with the box it takes, cm, y up; `x` and `y` are the middle of the box. */
export type Label = {
  readonly key: string
  readonly text: string
  readonly kind: 'dimension' | 'load'
  readonly x: number
  readonly y: number
  readonly widthCm: number
  readonly heightCm: number
}

/** Breadth of a character against the letter height, with room to spare: figures are tabular. */
const CHARACTER = 0.58
const LINE = 1.16
/** Labels keep this much of a letter apart. */
const AIR = 0.14

type Wanted = Omit<Label, 'widthCm' | 'heightCm'> & { readonly step: 1 | -1 }

/**
 * Puts every number of a side view where none covers another: each begins where it belongs and steps away, down below
 * the floor and up above it, until it is clear. Loads come first, since they have the least room.
 * @param textCm letter height in the drawing's own centimetres
 */
export function layoutLabels(scene: Scene, wording: Wording, textCm: number): Label[] {
  const placed: Label[] = []
  const lines = [...dimensionLines(scene), ...loadBars(scene)]
  for (const wanted of [...loadLabels(scene, textCm), ...dimensionLabels(scene, wording, textCm)]) {
    const box = { widthCm: wanted.text.length * CHARACTER * textCm, heightCm: LINE * textCm }
    const { step, ...rest } = wanted
    const x = within(scene, wanted.x, box.widthCm)
    let label: Label = { ...rest, ...box, x }
    const isCovered = (): boolean =>
      placed.some((other) => meet(label, other, AIR * textCm)) || lines.some((line) => meet(label, line))
    while (isCovered()) label = { ...label, y: label.y + step * 0.25 * textCm }
    placed.push(label)
  }
  return placed
}

/** Level dimension lines as boxes: a number may stand under its line, never on one. */
function dimensionLines(scene: Scene): Label[] {
  return scene.dimensions
    .filter(({ from, to }) => from.x !== to.x)
    .map(({ key, from, to, offsetCm }) => ({
      key,
      text: '',
      kind: 'dimension',
      x: (from.x + to.x) / 2,
      y: from.y + offsetCm,
      widthCm: Math.abs(to.x - from.x),
      heightCm: 1,
    }))
}

/** Whether two labels touch, with some air between them. */
export function meet(a: Label, b: Label, airCm = 0): boolean {
  return (
    Math.abs(a.x - b.x) < (a.widthCm + b.widthCm) / 2 + airCm &&
    Math.abs(a.y - b.y) < (a.heightCm + b.heightCm) / 2 + airCm
  )
}

/** Load bars under the floor, which no number may cover. */
function loadBars(scene: Scene): Label[] {
  return drawnLoads(scene)
    .filter(({ at }) => at.y <= 30)
    .map(({ part, at, share }) => ({
      key: `bar ${part}`,
      text: '',
      kind: 'load',
      x: at.x,
      y: -(3 + (share.value * FULL_LOAD_CM) / 2),
      widthCm: 5,
      heightCm: share.value * FULL_LOAD_CM,
    }))
}

/** How far below the floor the lowest label reaches, cm. */
export function depthOf(labels: readonly Label[]): number {
  return Math.max(20, ...labels.map((l) => -(l.y - l.heightCm / 2)))
}

/** How wide the drawing has to be for its bounds and every label, cm. */
export function extentOf({ bounds }: Scene, labels: readonly Label[]): { minX: number; maxX: number } {
  return {
    minX: Math.min(bounds.minX, ...labels.map((l) => l.x - l.widthCm / 2 - 1)),
    maxX: Math.max(bounds.maxX, ...labels.map((l) => l.x + l.widthCm / 2 + 1)),
  }
}

function within({ bounds: { minX, maxX } }: Scene, x: number, widthCm: number): number {
  if (widthCm > maxX - minX - 2) return (minX + maxX) / 2
  return Math.max(minX + widthCm / 2 + 1, Math.min(maxX - widthCm / 2 - 1, x))
}

/** Length of a whole body’s load bar, cm. */
export const FULL_LOAD_CM = 14
/** Loads smaller than this are left to the text beside the drawing. */
const LEAST_SHARE = 0.02
/** A range narrower than this is one number. */
const ONE_NUMBER = 0.03

function loadLabels(scene: Scene, textCm: number): Wanted[] {
  return drawnLoads(scene).map(({ part, at, share }, i, all): Wanted => {
    const text =
      share.max - share.min < ONE_NUMBER
        ? percent(share.value)
        : `${percent(share.value)} (${Math.round(share.min * 100)}–${Math.round(share.max * 100)})`
    // Beside its bar, on the side where the body does not carry as well.
    const side = i === 0 && all.length > 1 ? -1 : 1
    return {
      key: `load ${part}`,
      kind: 'load',
      text,
      x: at.x + side * (3.5 + (text.length * CHARACTER * textCm) / 2),
      y: at.y > 30 ? at.y + textCm : -(4 + 0.6 * textCm),
      step: at.y > 30 ? 1 : -1,
    }
  })
}

/** Loads that are drawn, from the room to the wall. */
export function drawnLoads(scene: Scene): Scene['loads'] {
  return scene.loads.filter(({ share }) => share.value >= LEAST_SHARE).toSorted((a, b) => a.at.x - b.at.x)
}

function dimensionLabels(scene: Scene, wording: Wording, textCm: number): Wanted[] {
  return scene.dimensions.map(({ key, from, to, valueCm, offsetCm }): Wanted => {
    const text = length(valueCm, wording)
    const isUpright = from.x === to.x
    return {
      key,
      kind: 'dimension',
      text,
      x: (from.x + to.x) / 2,
      y: isUpright ? Math.max(from.y, to.y) + textCm : from.y + offsetCm - 0.5 - 0.6 * textCm,
      step: isUpright ? 1 : -1,
    }
  })
}
