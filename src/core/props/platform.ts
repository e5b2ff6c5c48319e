import { BLANKET_FOLD_CM } from './stock'

/** A whole layer under the shoulders: four slabs laid two by two, or one blanket folded to that size. */
export type PlatformLayer = { readonly prop: 'slab' | 'blanket'; readonly heightCm: number }

export type PlatformStack = {
  /** Bottom first; blankets lie on top, where the neck meets the edge. */
  readonly layers: readonly PlatformLayer[]
  readonly heightCm: number
  /** Height less what was asked for; a platform is never lower than asked. */
  readonly errorCm: number
}

/** Slabs that make one layer of about 60 × 40 cm (props.md S30). */
export const SLABS_A_LAYER = 4

/** More layers than this slide on each other. */
const MOST_LAYERS = 5

/**
 * The lowest platform that reaches a height, fewest layers first among equals.
 * @param slabs thickness of each slab in the cupboard, cm; four of one thickness make a layer
 * @param blankets how many may be folded for it
 * @param onSlabs whether the lowest layer must be of slabs
 * @returns null where the cupboard does not reach it
 */
export function lowestPlatform(
  neededCm: number,
  slabs: readonly number[],
  blankets: number,
  onSlabs = false,
): PlatformStack | null {
  const slabLayers = [...new Set(slabs)]
    .sort((a, b) => b - a)
    .flatMap((heightCm): PlatformLayer[] =>
      Array.from({ length: Math.floor(slabs.filter((s) => s === heightCm).length / SLABS_A_LAYER) }, () => ({
        prop: 'slab',
        heightCm,
      })),
    )
  let best: PlatformStack | null = null
  for (const base of subsets(slabLayers).filter((layers) => !onSlabs || layers.length > 0))
    for (let folded = 0; folded <= Math.min(blankets, MOST_LAYERS - base.length); folded += 1) {
      const heightCm = base.reduce((sum, layer) => sum + layer.heightCm, folded * BLANKET_FOLD_CM)
      const errorCm = heightCm - neededCm
      if (errorCm < -1e-9) continue
      const layers = [...base, ...blanketLayers(folded)]
      if (
        !best ||
        errorCm < best.errorCm - 1e-9 ||
        (errorCm < best.errorCm + 1e-9 && layers.length < best.layers.length)
      )
        best = { layers, heightCm, errorCm }
      break
    }
  return best
}

/** What to fetch for it. */
export function platformProps({
  layers,
}: PlatformStack): { kind: string; count: number; detail: number[] }[] {
  const of = (prop: PlatformLayer['prop']): PlatformLayer[] => layers.filter((layer) => layer.prop === prop)
  const [slabs, blankets] = [of('slab'), of('blanket')]
  return [
    ...(slabs.length > 0
      ? [{ kind: 'slab', count: SLABS_A_LAYER * slabs.length, detail: slabs.map((l) => l.heightCm) }]
      : []),
    ...(blankets.length > 0 ? [{ kind: 'blanket', count: blankets.length, detail: [] }] : []),
  ]
}

function blanketLayers(count: number): PlatformLayer[] {
  return Array.from({ length: count }, () => ({ prop: 'blanket', heightCm: BLANKET_FOLD_CM }))
}

/** Every choice of layers, thickest first; alike ones are told apart by nothing, so each count comes once. */
function subsets(layers: readonly PlatformLayer[]): PlatformLayer[][] {
  return layers.reduce<PlatformLayer[][]>(
    (all, layer) => [...all, ...all.filter((s) => s.length < MOST_LAYERS).map((s) => [...s, layer])],
    [[]],
  )
}
