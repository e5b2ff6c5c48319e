/** Edge lengths of a tall block, cm, longest first. */
export type BlockSize = { readonly longCm: number; readonly wideCm: number; readonly thickCm: number }

/** The studio's usual block (props.md 2: foam, 23 × 15 × 10). */
export const USUAL_BLOCK: BlockSize = { longCm: 23, wideCm: 15, thickCm: 10 }

/** Which face of a block is on the floor: its height is the edge that then stands up (props.md 2.1). */
export const FACES = ['flat', 'side', 'tall'] as const
export type Face = (typeof FACES)[number]

/** Height of a block on one of its faces, cm. */
export function heightOn(block: BlockSize, face: Face): number {
  return face === 'flat' ? block.thickCm : face === 'side' ? block.wideCm : block.longCm
}

/** How far one foam block gives under a body, cm; props.md 2 says 2–10 mm. */
export const FOAM_GIVE_CM = 0.6

export type Spacer = {
  /** Which edge of each block lies across, added end to end. */
  readonly edgesCm: readonly number[]
  readonly widthCm: number
  /** Width less the gap asked for: positive is too wide. */
  readonly errorCm: number
}

/**
 * Every width that one or two blocks can make, closest to the gap first. Among equals the fewer blocks win.
 * @param gapCm inner gap to fill
 * @param stock sizes at hand, one entry a block
 */
export function spacersFor(gapCm: number, stock: readonly BlockSize[]): Spacer[] {
  const kinds = [...countedSizes(stock).values()]
  const distinct = new Map<string, Spacer>()
  const offer = (...edgesCm: number[]): void => {
    edgesCm.sort((a, b) => b - a)
    const key = edgesCm.join('+')
    if (distinct.has(key)) return
    const widthCm = edgesCm.reduce((sum, edge) => sum + edge, 0)
    distinct.set(key, { edgesCm, widthCm, errorCm: widthCm - gapCm })
  }
  for (const [i, first] of kinds.entries()) {
    for (const edge of edgesOf(first.size)) offer(edge)
    // Two of one size need two of them in the cupboard.
    for (const second of kinds.slice(first.count > 1 ? i : i + 1))
      for (const a of edgesOf(first.size)) for (const b of edgesOf(second.size)) offer(a, b)
  }
  return [...distinct.values()].sort(
    (a, b) =>
      Math.abs(a.errorCm) - Math.abs(b.errorCm) ||
      a.edgesCm.length - b.edgesCm.length ||
      a.widthCm - b.widthCm,
  )
}

function edgesOf({ longCm, wideCm, thickCm }: BlockSize): number[] {
  return [longCm, wideCm, thickCm]
}

/** Equal blocks are interchangeable: count them once instead of pairing each with each. */
function countedSizes(stock: readonly BlockSize[]): Map<string, { size: BlockSize; count: number }> {
  const sizes = new Map<string, { size: BlockSize; count: number }>()
  for (const size of stock) {
    const key = edgesOf(size).join('×')
    const seen = sizes.get(key)
    sizes.set(key, { size, count: (seen?.count ?? 0) + 1 })
  }
  return sizes
}
