import { saveBlob } from '@/ui/save-file'
import { pngOf } from '@/ui/svg-png'

/** Styles that make a drawing look the same outside the page. */
const KEPT = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'paint-order',
  'vector-effect',
  'opacity',
  'font-family',
  'font-weight',
] as const

/** Longest side of a saved picture, px. */
const PICTURE_PX = 2000

/** The drawing as a file of its own: computed styles written in, handles left out, a paper behind it. */
export function standalone(svg: SVGSVGElement): { text: string; width: number; height: number } {
  const copy = svg.cloneNode(true) as SVGSVGElement
  const own = [...svg.querySelectorAll('*')]
  ;[...copy.querySelectorAll('*')].forEach((node, i) => {
    const from = own[i]
    if (!from) return
    const style = getComputedStyle(from)
    node.setAttribute('style', KEPT.map((name) => `${name}:${style.getPropertyValue(name)}`).join(';'))
    node.removeAttribute('class')
  })
  for (const handle of copy.querySelectorAll('[role="slider"]')) handle.remove()
  const { x, y, width, height } = svg.viewBox.baseVal
  const scale = PICTURE_PX / Math.max(width, height)
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
  copy.setAttribute('width', String(Math.round(width * scale)))
  copy.setAttribute('height', String(Math.round(height * scale)))
  copy.removeAttribute('class')
  const paper = document.createElementNS('http://www.w3.org/2000/svg', 'rect')
  for (const [name, value] of Object.entries({ x, y, width, height, fill: '#fffdf8' }))
    paper.setAttribute(name, String(value))
  copy.prepend(paper)
  return {
    text: new XMLSerializer().serializeToString(copy),
    width: Math.round(width * scale),
    height: Math.round(height * scale),
  }
}

/** Hands the drawing over as an SVG file. */
export function saveSvg(svg: SVGSVGElement, name: string): void {
  saveBlob(name, new Blob([standalone(svg).text], { type: 'image/svg+xml' }))
}

/** Hands it over as a picture; false where this browser cannot make one. */
export async function savePng(svg: SVGSVGElement, name: string): Promise<boolean> {
  const blob = await pngOf(standalone(svg))
  if (!blob) return false
  saveBlob(name, blob)
  return true
}
