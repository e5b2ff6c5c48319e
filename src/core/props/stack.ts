import { FACES, FOAM_GIVE_CM, heightOn, type BlockSize, type Face } from './blocks'

/** One piece of a stack, bottom first; a slab has no face to choose. */
export type Layer =
  | { readonly kind: 'block'; readonly face: Face; readonly heightCm: number }
  | { readonly kind: 'slab'; readonly heightCm: number }

export type Stack = {
  readonly layers: readonly Layer[]
  /** Built height less what the foam gives under a body. */
  readonly heightCm: number
  /** Height less what was asked for; a stack is never lower than asked. */
  readonly errorCm: number
}

export type StackLimits = {
  /** A free-standing tower of more pieces is not built. */
  readonly most: number
  /** The small face rocks; it is used only where something holds it. */
  readonly tallAllowed?: boolean
}

/**
 * The lowest stack of blocks and slabs that reaches a height, steadiest first among equals: fewer pieces, then the
 * larger face below.
 * @param neededCm height under load
 * @param slabs thickness of each slab at hand, cm
 * @returns null where nothing in the cupboard reaches it
 */
export function lowestStack(
  neededCm: number,
  blocks: readonly BlockSize[],
  slabs: readonly number[],
  { most, tallAllowed = false }: StackLimits,
): Stack | null {
  if (neededCm <= 0) return { layers: [], heightCm: 0, errorCm: -neededCm }
  const sizes = distinct(blocks)
  const plates = [...new Set(slabs)].sort((a, b) => b - a)
  let best: Stack | null = null
  const consider = (layers: readonly Layer[]): void => {
    const heightCm = settledHeight(layers)
    const errorCm = heightCm - neededCm
    if (errorCm < -1e-9) return
    if (
      best &&
      (best.errorCm < errorCm - 1e-9 ||
        (best.errorCm <= errorCm + 1e-9 && best.layers.length <= layers.length))
    )
      return
    best = { layers, heightCm, errorCm }
  }
  const grow = (layers: readonly Layer[], from: number): void => {
    if (layers.length > 0) consider(layers)
    if (layers.length === most || settledHeight(layers) >= neededCm) return
    for (const [i, { layer, stock }] of options.entries()) {
      if (i < from) continue
      const already = layers.filter((l) => l.kind === layer.kind && optionKey(l) === optionKey(layer)).length
      // One block shows one face at a time, whichever faces the others show.
      const spent = layer.kind === 'block' && layers.filter((l) => l.kind === 'block').length >= blocks.length
      if (already >= stock || spent) continue
      grow([...layers, layer], i)
    }
  }
  const options: { layer: Layer; stock: number }[] = [
    ...sizes.flatMap(({ size, count }) =>
      FACES.filter((face) => face !== 'tall' || tallAllowed).map((face) => ({
        layer: { kind: 'block' as const, face, heightCm: heightOn(size, face) },
        stock: count,
      })),
    ),
    ...plates.map((heightCm) => ({
      layer: { kind: 'slab' as const, heightCm },
      stock: slabs.filter((s) => s === heightCm).length,
    })),
  ]
  grow([], 0)
  return best
}

/** Height with a body on it: every block gives a little, slabs are firm. */
export function settledHeight(layers: readonly Layer[]): number {
  return layers.reduce((sum, layer) => sum + layer.heightCm - (layer.kind === 'block' ? FOAM_GIVE_CM : 0), 0)
}

function optionKey(layer: Layer): string {
  return `${layer.kind === 'block' ? layer.face : ''}${layer.heightCm}`
}

function distinct(blocks: readonly BlockSize[]): { size: BlockSize; count: number }[] {
  const sizes = new Map<string, { size: BlockSize; count: number }>()
  for (const size of blocks) {
    const key = `${size.longCm}×${size.wideCm}×${size.thickCm}`
    sizes.set(key, { size, count: (sizes.get(key)?.count ?? 0) + 1 })
  }
  return [...sizes.values()]
}

/**
 * How far a tower can be pushed sideways at its top before it tips over its base edge.
 * @param overlapCm how much of the upper piece lies on the lower one, in the direction of the push
 * @param depthCm depth of a piece in that direction
 * @param heightCm of the tower
 * @returns degrees; refused by callers below half a block's overlap
 */
export function tippingDeg(overlapCm: number, depthCm: number, heightCm: number): number {
  // The common base is what both share; the pile's centre stands over the middle of it.
  const half = Math.max(0, overlapCm - depthCm / 2)
  return (Math.atan2(half, heightCm / 2) * 180) / Math.PI
}
