import type { BodyLine } from '@/core/figure/measured-body'
import type { Picture } from '@/core/figure/picture'
import { segmentName } from '@/core/words/length'
import { length, type Wording } from '@/core/words/number'
import { FigureShape } from '@/ui/figure/figure-shape'
import classes from './body-lines.module.css'

type Props = { picture: Picture; lines: readonly BodyLine[]; wording: Wording }

/** Room for words left of the body, over the arm and under the foot, cm. */
const AIR = { left: 62, right: 12, top: 14, bottom: 26 } as const
const TEXT_CM = 5.4

/** Somebody's own body standing, with a line for each length: thin where it is estimated, bold where it was measured. */
export function BodyLines({ picture, lines, wording }: Props) {
  const [x, y, wide, high] = picture.view
  return (
    <svg
      className={classes.body}
      viewBox={`${x - AIR.left} ${y - AIR.top} ${wide + AIR.left + AIR.right} ${high + AIR.top + AIR.bottom}`}
      role="img"
      aria-label={lines.map((line) => said(line, wording)).join(', ')}
    >
      <path className={classes.ground} d={`M${x} 0h${wide}`} />
      <FigureShape paths={picture.figure} />
      {lines.map((line) => (
        <Line key={line.segment} line={line} wording={wording} />
      ))}
    </svg>
  )
}

function Line({ line, wording }: { line: BodyLine; wording: Wording }) {
  const { from, to, measured } = line
  const isUpright = from.x === to.x
  const middle = { x: (from.x + to.x) / 2, y: -(from.y + to.y) / 2 }
  const tick = 1.8
  const d = isUpright
    ? `M${from.x} ${-from.y}V${-to.y}M${from.x - tick} ${-from.y}h${2 * tick}M${to.x - tick} ${-to.y}h${2 * tick}`
    : `M${from.x} ${-from.y}H${to.x}M${from.x} ${-from.y - tick}v${2 * tick}M${to.x} ${-to.y - tick}v${2 * tick}`
  const below = from.y < 0
  return (
    <g data-measured={measured} className={classes.line}>
      <path d={d} />
      <text
        x={isUpright ? middle.x - 4 : middle.x}
        y={isUpright ? middle.y + TEXT_CM / 3 : middle.y + (below ? TEXT_CM * 1.4 : -3)}
        textAnchor={isUpright ? 'end' : 'middle'}
        fontSize={TEXT_CM}
      >
        {isUpright ? `${segmentName(line.segment)} ` : ''}
        {length(line.valueCm, wording)}
      </text>
    </g>
  )
}

function said(line: BodyLine, wording: Wording): string {
  const how = line.measured ? 'measured' : `estimated, ± ${length(line.withinCm, wording)}`
  return `${segmentName(line.segment)} ${length(line.valueCm, wording)}, ${how}`
}
