import { USUAL_BLOCK, type BlockSize } from './blocks'

/** Kinds of props that a class is short of or not; mats, walls and tape are everybody's own or there anyway. */
export const COUNTED_KINDS = [
  'block',
  'strap',
  'chair',
  'bolster',
  'slab',
  'blanket',
  'bench',
  'slider',
] as const

/** What the cupboard holds of the things that are measured and stacked. */
export type Stock = {
  readonly blocks: readonly BlockSize[]
  /** Thickness of each slab, cm. */
  readonly slabs: readonly number[]
  /** Length of each strap, cm. */
  readonly straps: readonly number[]
  readonly chairs: number
  readonly blankets: number
  readonly bolsters: number
}

/** Useful stock where a studio has not said what it has (props.md 9, a share of it for one person). */
export const USUAL_STOCK: Stock = {
  blocks: Array.from({ length: 6 }, () => USUAL_BLOCK),
  slabs: [5, 5, 5, 5, 5, 5, 2.5, 2.5],
  straps: [180, 240, 300],
  chairs: 2,
  blankets: 6,
  bolsters: 2,
}

/** Sizes of furniture, cm (props.md 2); a studio's own replace them through the options of a setup. */
export const CHAIR_SEAT_CM = 45
export const CHAIR_BACK_CM = 78
export const BOLSTER_CM = { longCm: 65, wideCm: 30, thickCm: 15 } as const
/** One blanket folded for a platform: two are 5–7 cm, four 10–13 (props.md 3). */
export const BLANKET_FOLD_CM = 3
