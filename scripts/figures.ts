// Every position and resting shape at 60 px, and twelve at full size, as one page of HTML: for the eye, not for the app.
import { bodyOf, must } from '../src/testing/bodies'
import { LAYERS } from '../src/core/figure/outline'
import { outlineOf } from '../src/core/figure/outline'
import { drawFreehand, underOf } from '../src/core/figure/freehand'
import { pathsOf, pictureOf, pictureOfShape, type Picture } from '../src/core/figure/picture'
import { POSITIONS, solvePosition } from '../src/core/mechanics/positions/catalogue'
import { shippedPractice } from '../src/core/practice/library'

const LARGE = [
  ...['dolphin', 'crow', 'headstand-tuck', 'low-push-up', 'boat', 'down-dog-short'],
  ...['seated-lift', 'right-angle-hands', 'platform-shoulder-stand', 'all-fours'],
  ...['forearm-stand-v-split', 'handstand-heels-on-wall'],
]
const FILL: Readonly<Record<string, string>> = { far: '#b6c2c2', arm: '#e9eeec' }
const body = bodyOf(168)
const thin = 'vector-effect="non-scaling-stroke" stroke="#24302f"'

function drawn(name: string, { view, figure, wallX, rests }: Picture, px: number): string {
  const wall = wallX === null ? '' : `<path d="M${wallX} 0V${view[1]}" ${thin}/>`
  const under = rests.map(
    (r) =>
      `<rect x="${r.x}" y="${-r.heightCm}" width="${r.widthCm}" height="${r.heightCm}" fill="#f6ebcf" ${thin}/>`,
  )
  const layers = LAYERS.map(
    (layer) =>
      `<path d="${figure.layers[layer]}" fill="${FILL[layer] ?? '#dce3e2'}" ${layer === 'seat' ? '' : `${thin} stroke-width="2.4" paint-order="stroke" stroke-linejoin="round"`}/>`,
  )
  return `<figure><svg height="${px}" viewBox="${view.join(' ')}"><path d="M${view[0]} 0h${view[2]}" ${thin}/>${wall}${under.join('')}<g transform="scale(${1 / figure.perCm})">${layers.join('')}</g></svg><figcaption>${name.replaceAll('-', ' ')}</figcaption></figure>`
}

const small = [
  ...POSITIONS.map(({ id }) => drawn(id, pictureOf(must(solvePosition(id, body))), 60)),
  ...shippedPractice().shapes.map((shape) => {
    const free = drawFreehand(shape, body)
    return drawn(shape.id, pictureOfShape(free, underOf(shape, free)), 60)
  }),
]
const large = LARGE.map((id) => {
  const position = must(solvePosition(id, body))
  return drawn(id, { ...pictureOf(position), figure: pathsOf(outlineOf(position), 10) }, 250)
})
console.log(
  `<!doctype html><style>body{margin:8px;background:#fffdf8;font:10px sans-serif;color:#24302f}section{display:flex;flex-wrap:wrap;gap:6px 10px;align-items:flex-end}figure{margin:0}svg{display:block;max-width:300px}</style><section>${small.join('')}</section><hr><section>${large.join('')}</section>`,
)
