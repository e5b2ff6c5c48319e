/** Edge lengths of a tall block, cm, longest first. */
export type BlockSize = { readonly longCm: number; readonly wideCm: number; readonly thickCm: number }

/** The studio's usual block (props.md 2: foam, 23 × 15 × 10). */
export const USUAL_BLOCK: BlockSize = { longCm: 23, wideCm: 15, thickCm: 10 }

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
  const edges = (block: BlockSize): number[] => [block.longCm, block.wideCm, block.thickCm]
  const singles = stock.flatMap((block) => edges(block).map((edge) => [edge]))
  const pairs = stock.flatMap((first, i) =>
    stock
      .slice(i + 1)
      .flatMap((second) =>
        edges(first).flatMap((a) => edges(second).map((b) => [Math.max(a, b), Math.min(a, b)])),
      ),
  )
  const distinct = new Map<string, Spacer>()
  for (const edgesCm of [...singles, ...pairs]) {
    const widthCm = edgesCm.reduce((sum, edge) => sum + edge, 0)
    distinct.set(edgesCm.join('+'), { edgesCm, widthCm, errorCm: widthCm - gapCm })
  }
  return [...distinct.values()].sort(
    (a, b) =>
      Math.abs(a.errorCm) - Math.abs(b.errorCm) ||
      a.edgesCm.length - b.edgesCm.length ||
      a.widthCm - b.widthCm,
  )
}
