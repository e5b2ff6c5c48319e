import { LAYERS, type LayerName } from '../figure/outline'
import type { Picture } from '../figure/picture'
import { wrapped } from './text-width'

/** What stands on a sheet, from top to bottom. */
export type SheetPart =
  | { readonly kind: 'heading'; readonly text: string }
  | { readonly kind: 'text'; readonly text: string; readonly strong?: boolean }
  /** Beside a figure or a short mark: a name, and lines under it. */
  | {
      readonly kind: 'row'
      readonly mark?: string
      readonly picture?: Picture | null
      readonly name: string
      readonly lines: readonly string[]
    }
  /** Another drawing, whole: its own `<svg>` with a viewBox of so many units. */
  | { readonly kind: 'drawing'; readonly svg: string; readonly wide: number; readonly high: number }
export type SheetDrawing = {
  readonly title: string
  readonly lead: string
  readonly parts: readonly SheetPart[]
}

/** A4 across at 96 dots an inch, px. */
const PAGE = 794
const MARGIN = 44
/** Beside figures and marks, px. */
const ASIDE = 96
const FIGURE_HIGH = 60
const TITLE = { size: 28, line: 34 }
const HEADING = { size: 19, line: 26 }
const TEXT = { size: 14.5, line: 20 }
const GAP = 12
const INK = '#24302f'
const SOFT = '#4d5a58'
const FILL: Readonly<Partial<Record<LayerName, string>>> = { far: '#b6c2c2', arm: '#e9eeec' }
const FLESH = '#dce3e2'
const REST = '#f6ebcf'

type Pen = { y: number; readonly out: string[] }

/**
 * A sheet as a drawing of its own (SVG 1.1): words stay words, figures stay lines, and it needs no other file. Lines are
 * broken by the widths of a plain sans serif, so that they fit in any that stands in for it.
 */
export function sheetSvg({ title, lead, parts }: SheetDrawing): string {
  const pen: Pen = { y: MARGIN, out: [] }
  words(pen, title, MARGIN, { ...TITLE, strong: true })
  if (lead !== '') words(pen, lead, MARGIN, { ...TEXT, soft: true })
  for (const part of parts) put(pen, part)
  const high = Math.ceil(pen.y + MARGIN)
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${PAGE}" height="${high}" viewBox="0 0 ${PAGE} ${high}" font-family="'Source Sans 3', Helvetica, Arial, sans-serif">`,
    `<title>${escaped(title)}</title>`,
    `<rect width="${PAGE}" height="${high}" fill="#fff"/>`,
    ...pen.out,
    '</svg>\n',
  ].join('\n')
}

function put(pen: Pen, part: SheetPart): void {
  pen.y += GAP
  switch (part.kind) {
    case 'heading':
      words(pen, part.text, MARGIN, { ...HEADING, strong: true })
      return
    case 'text':
      words(pen, part.text, MARGIN, { ...TEXT, strong: part.strong === true })
      return
    case 'row':
      row(pen, part)
      return
    case 'drawing': {
      const high = (part.high / part.wide) * (PAGE - 2 * MARGIN)
      pen.out.push(
        `<svg x="${MARGIN}" y="${tenth(pen.y)}" width="${PAGE - 2 * MARGIN}" height="${tenth(high)}" viewBox="0 0 ${part.wide} ${part.high}">${part.svg}</svg>`,
      )
      pen.y += high
    }
  }
}

function row(pen: Pen, { mark, picture, name, lines }: Extract<SheetPart, { kind: 'row' }>): void {
  const top = pen.y
  const hasAside = mark !== undefined || picture !== undefined
  const left = MARGIN + (hasAside ? ASIDE : 0)
  if (picture) pen.out.push(figureSvg(picture, MARGIN, top))
  if (mark !== undefined) words({ y: top, out: pen.out }, mark, MARGIN, { ...TEXT, soft: true })
  if (name !== '') words(pen, name, left, { ...TEXT, strong: true })
  for (const line of lines) words(pen, line, left, TEXT)
  if (picture) pen.y = Math.max(pen.y, top + FIGURE_HIGH)
}

type Hand = {
  readonly size: number
  readonly line: number
  readonly strong?: boolean
  readonly soft?: boolean
}

function words(pen: Pen, text: string, x: number, { size, line, strong, soft }: Hand): void {
  if (text === '') return
  for (const part of wrapped(text, (PAGE - MARGIN - x) / size, strong === true)) {
    pen.y += line
    pen.out.push(
      `<text x="${x}" y="${tenth(pen.y - line * 0.28)}" font-size="${size}"${strong ? ' font-weight="700"' : ''} fill="${soft ? SOFT : INK}">${escaped(part)}</text>`,
    )
  }
}

/** One shape in a box of the rows' width and height, on the same floor as on the screen. */
function figureSvg({ view, figure, wallX, rests }: Picture, x: number, y: number): string {
  const [left, top, wide, high] = view
  const line = (d: string): string =>
    `<path d="${d}" fill="none" stroke="${INK}" stroke-width="1.2" vector-effect="non-scaling-stroke"/>`
  return [
    `<svg x="${x}" y="${tenth(y)}" width="${ASIDE - GAP}" height="${FIGURE_HIGH}" viewBox="${left} ${top} ${wide} ${high}" preserveAspectRatio="xMinYMax meet">`,
    line(`M${left} 0h${wide}`),
    wallX === null ? '' : line(`M${wallX} 0V${top}`),
    ...rests.map(
      (r) =>
        `<rect x="${r.x}" y="${-r.heightCm - (r.fromCm ?? 0)}" width="${r.widthCm}" height="${r.heightCm}" rx="2" fill="${REST}" stroke="${INK}" stroke-width="1" vector-effect="non-scaling-stroke"/>`,
    ),
    `<g transform="scale(${1 / figure.perCm})" stroke="${INK}" stroke-width="2" stroke-linejoin="round" paint-order="stroke">`,
    ...LAYERS.map((name) =>
      figure.layers[name] === ''
        ? ''
        : `<path d="${figure.layers[name]}" fill="${FILL[name] ?? FLESH}"${name === 'seat' ? ' stroke="none"' : ''} vector-effect="non-scaling-stroke"/>`,
    ),
    `<path d="${figure.eye}" fill="none" stroke-width="1" vector-effect="non-scaling-stroke"/>`,
    '</g></svg>',
  ].join('')
}

function tenth(px: number): number {
  return Math.round(px * 10) / 10
}

/** Words as XML keeps them: what the format has no place for is left out. */
function escaped(text: string): string {
  return text
    .replaceAll(/[^\P{C}\t\n]/gu, '')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;')
}
