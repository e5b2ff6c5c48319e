import { daysBetween, type Day } from '../day'
import type { Library } from '../practice/library'
import type { BlockSize } from './blocks'
import { COUNTED_KINDS, USUAL_STOCK, type Stock } from './stock'

export const CONDITIONS = ['sound', 'worn', 'out'] as const
export type Condition = (typeof CONDITIONS)[number]

/** Things of one shape and size in the cupboard. */
export type PropItem = {
  readonly id: string
  /** Shape of the practice's catalogue, such as `tall-block`. */
  readonly shape: string
  /** What this house calls it; empty for the shape's own name. */
  readonly localName: string
  /** Own size, cm; null for the usual size of the shape. */
  readonly sizeCm: readonly number[] | null
  readonly count: number
  readonly condition: Condition
  /** When wear was last looked at. */
  readonly checkedDay: Day | null
}

/** Wear is looked at again after this many days; worn things four times as often. */
const CHECK_DAYS = 90
const WORN_CHECK_DAYS = 21

/** What to look at, by kind of prop (cautions.md F10–F14, props.md 2). */
const WEAR: Readonly<Record<string, string>> = {
  block: 'Press with both hands: no crumbs, dents or rocking.',
  slab: 'Press a thumb in: a dent over 5 mm and it goes out.',
  strap: 'Pull the buckle hard; no frayed edge.',
  bolster: 'Measure its height again: they sink.',
  blanket: 'Fold it: smooth edge, no holes at the fold.',
  mat: 'No curling ends, no slick patches.',
  chair: 'Open and lock it, push down on the back edge; no wobble, no castors; read the load label.',
  bench: 'Push down on each end: no rocking.',
  weight: 'No leaking seams.',
  slider: 'Clean underside, no torn edge.',
  padding: 'No flat patches, cover whole.',
}

/** Items whose wear wants looking at, longest waiting first. */
export function wearDue(items: readonly PropItem[], today: Day): PropItem[] {
  const waited = ({ checkedDay }: PropItem): number =>
    checkedDay === null ? Infinity : daysBetween(checkedDay, today)
  return items
    .filter((i) => i.condition !== 'out' && i.count > 0)
    .filter((i) => waited(i) > (i.condition === 'worn' ? WORN_CHECK_DAYS : CHECK_DAYS))
    .toSorted((a, b) => waited(b) - waited(a))
}

/** What to look at on a shape. */
export function wearCheck(practice: Library, shape: string): string {
  const kind = practice.props.find((p) => p.id === shape)?.kind ?? ''
  return WEAR[kind] ?? 'Look it over before use.'
}

/** The house’s own words by kind of prop: the word of the line with most pieces that has one. */
export function houseWords(practice: Library, items: readonly PropItem[]): Record<string, string> {
  const named = usable(items)
    .filter((i) => i.localName !== '')
    .toSorted((a, b) => a.count - b.count)
  return Object.fromEntries(named.map((i) => [kindOf(practice, i), i.localName]))
}

/** How many usable things of a kind there are. */
export function countOf(practice: Library, items: readonly PropItem[], kind: string): number {
  return usable(items)
    .filter((i) => kindOf(practice, i) === kind)
    .reduce((sum, i) => sum + i.count, 0)
}

/**
 * What setups may be built from: everything that is not out, piece by piece. Where nothing at all is listed the usual
 * cupboard is taken; once anything is, what is not listed is not there, for the bench as for a class.
 */
export function stockFrom(practice: Library, items: readonly PropItem[]): Stock {
  if (items.length === 0) return USUAL_STOCK
  const pieces = (kind: string): (readonly number[])[] =>
    usable(items)
      .filter((i) => kindOf(practice, i) === kind)
      .flatMap((i) => Array.from({ length: i.count }, () => sizeOf(practice, i)))
  const blocks = pieces('block').map(([longCm = 23, wideCm = 15, thickCm = 10]): BlockSize => ({
    longCm,
    wideCm,
    thickCm,
  }))
  return {
    blocks,
    slabs: pieces('slab').map(([, , thick = 5]) => thick),
    straps: pieces('strap').map(([long = 240]) => long),
    chairs: pieces('chair').length,
    blankets: pieces('blanket').length,
    bolsters: pieces('bolster').length,
  }
}

/** Pieces for a class by shape, by the same rule as `stockFrom`: what is listed and not out; where nothing is, the usual few. */
export function stockLines(
  practice: Library,
  items: readonly PropItem[],
): { lines: StockLine[]; listed: boolean } {
  const usual: Partial<Record<string, number>> = {
    block: USUAL_STOCK.blocks.length,
    slab: USUAL_STOCK.slabs.length,
    strap: USUAL_STOCK.straps.length,
    chair: USUAL_STOCK.chairs,
    blanket: USUAL_STOCK.blankets,
    bolster: USUAL_STOCK.bolsters,
  }
  const lines = COUNTED_KINDS.flatMap((kind): StockLine[] => {
    const own = items.filter((i) => kindOf(practice, i) === kind)
    if (own.length === 0)
      return [{ id: kind, kind, longCm: null, count: items.length > 0 ? 0 : (usual[kind] ?? 0) }]
    return usable(own).map((i) => ({
      id: i.shape,
      kind,
      longCm: sizeOf(practice, i)[0] ?? null,
      count: i.count,
    }))
  })
  return { lines, listed: items.length > 0 }
}

/** So many pieces of one shape. */
type StockLine = {
  readonly id: string
  readonly kind: string
  readonly longCm: number | null
  readonly count: number
}

function usable(items: readonly PropItem[]): PropItem[] {
  return items.filter((i) => i.condition !== 'out')
}

function kindOf(practice: Library, { shape }: PropItem): string {
  return practice.props.find((p) => p.id === shape)?.kind ?? ''
}

function sizeOf(practice: Library, { shape, sizeCm }: PropItem): readonly number[] {
  return sizeCm ?? practice.props.find((p) => p.id === shape)?.sizeCm ?? []
}
