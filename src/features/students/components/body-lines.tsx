'use client'

import { TextInput } from '@mantine/core'
import { useRef, type KeyboardEvent } from 'react'
import type { SegmentName } from '@/core/body/anthropometry'
import type { BodyLine, MeasuredBody } from '@/core/figure/measured-body'
import { segmentName } from '@/core/words/length'
import { length, type Wording } from '@/core/words/number'
import { FigureShape } from '@/ui/figure/figure-shape'
import classes from './body-lines.module.css'

type Props = {
  drawn: MeasuredBody
  wording: Wording
  picked: SegmentName | null
  onPick: (segment: SegmentName | null) => void
  /** What is typed for the picked length, and what is wrong with it. */
  typed: string
  problem: string | undefined
  onType: (typed: string) => void
}

/** As high as fits on the first screen of a laptop, px. */
const HIGH_PX = 500
/** Room for words left of the body, over the arm and under the foot, cm. */
const AIR = { left: 62, right: 12, top: 14, bottom: 26 } as const
const TEXT_CM = 5.4

/** Somebody's own body standing, with a line for each length: thin where it is estimated, bold where it was measured; a line is pressed and typed at. */
export function BodyLines({
  drawn: { picture, lines },
  wording,
  picked,
  onPick,
  typed,
  problem,
  onType,
}: Props) {
  const [x, y, wide, high] = picture.view
  const [left, top, width, height] = [
    x - AIR.left,
    y - AIR.top,
    wide + AIR.left + AIR.right,
    high + AIR.top + AIR.bottom,
  ]
  const line = lines.find(({ segment }) => segment === picked)
  const at = line && textOf(line)
  const pressed = useRef<Partial<Record<SegmentName, SVGGElement | null>>>({})
  const done = (): void => {
    if (picked) pressed.current[picked]?.focus()
    onPick(null)
  }
  return (
    <div
      className={classes.frame}
      style={{ aspectRatio: `${width} / ${height}`, maxWidth: (HIGH_PX * width) / height }}
    >
      <svg
        className={classes.body}
        viewBox={`${left} ${top} ${width} ${height}`}
        role="group"
        aria-label="Lengths on this body"
      >
        <path className={classes.ground} d={`M${x} 0h${wide}`} />
        <FigureShape paths={picture.figure} />
        {line ? <Tape line={line} /> : null}
        {lines.map((one) => (
          <Line
            key={one.segment}
            line={one}
            wording={wording}
            picked={one.segment === picked}
            onPick={() => onPick(one.segment)}
            keep={(element) => (pressed.current[one.segment] = element)}
          />
        ))}
      </svg>
      {line && at ? (
        <div
          className={classes.field}
          style={{
            left: `${((at.x - left) / width) * 100}%`,
            top: `${((at.y - top) / height) * 100}%`,
          }}
        >
          <TextInput
            key={line.segment}
            size="sm"
            autoFocus
            aria-label={`${segmentName(line.segment)}, by tape`}
            placeholder={length(line.valueCm, wording)}
            value={typed}
            error={problem}
            onChange={(e) => onType(e.currentTarget.value)}
            onBlur={() => onPick(null)}
            onKeyDown={(e) => {
              if (e.key !== 'Enter' && e.key !== 'Escape') return
              e.preventDefault()
              done()
            }}
          />
        </div>
      ) : null}
    </div>
  )
}

type LineProps = {
  line: BodyLine
  wording: Wording
  picked: boolean
  onPick: () => void
  keep: (element: SVGGElement | null) => void
}

function Line({ line, wording, picked, onPick, keep }: LineProps) {
  const { from, to, measured } = line
  const tick = 1.8
  const upright = isUpright(line)
  const d = upright
    ? `M${from.x} ${-from.y}V${-to.y}M${from.x - tick} ${-from.y}h${2 * tick}M${to.x - tick} ${-to.y}h${2 * tick}`
    : `M${from.x} ${-from.y}H${to.x}M${from.x} ${-from.y - tick}v${2 * tick}M${to.x} ${-to.y - tick}v${2 * tick}`
  const text = textOf(line)
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key !== 'Enter' && event.key !== ' ') return
    event.preventDefault()
    onPick()
  }
  return (
    <g
      ref={keep}
      data-measured={measured}
      data-picked={picked}
      className={classes.line}
      role="button"
      tabIndex={0}
      aria-label={`${said(line, wording)}: type what the tape says`}
      onClick={onPick}
      onKeyDown={onKeyDown}
    >
      <path className={classes.reach} d={`M${from.x} ${-from.y}L${to.x} ${-to.y}`} />
      <rect
        className={classes.reach}
        x={upright ? text.x - REACH.wide : Math.min(from.x, to.x)}
        y={text.y - REACH.high * 0.7}
        width={upright ? REACH.wide : Math.abs(to.x - from.x)}
        height={REACH.high}
      />
      <path d={d} />
      <text x={text.x} y={text.y} textAnchor={upright ? 'end' : 'middle'} fontSize={TEXT_CM}>
        {upright ? `${segmentName(line.segment)} ` : ''}
        {length(line.valueCm, wording)}
      </text>
    </g>
  )
}

/** What may be pressed round a number, cm of the drawing; over a level line no more than the line, or it would lie over its neighbour’s. */
const REACH = { wide: 46, high: 11 } as const

/** Where the tape lies on the body: drawn while its length is typed. */
function Tape({ line: { tape } }: { line: BodyLine }) {
  const [a, b] = tape
  return (
    <g className={classes.tape}>
      <path d={`M${a.x} ${-a.y}L${b.x} ${-b.y}`} />
      <circle cx={a.x} cy={-a.y} r={2.2} />
      <circle cx={b.x} cy={-b.y} r={2.2} />
    </g>
  )
}

function isUpright({ from, to }: BodyLine): boolean {
  return from.x === to.x
}

/** Where a line's number stands: left of an upright one, over a level one, under one that lies under the foot. */
function textOf(line: BodyLine): { x: number; y: number } {
  const { from, to } = line
  const middle = { x: (from.x + to.x) / 2, y: -(from.y + to.y) / 2 }
  if (isUpright(line)) return { x: middle.x - 4, y: middle.y + TEXT_CM / 3 }
  return { x: middle.x, y: middle.y + (from.y < 0 ? TEXT_CM * 1.4 : -3) }
}

function said(line: BodyLine, wording: Wording): string {
  const how = line.measured ? 'measured' : `estimated, ± ${length(line.withinCm, wording)}`
  return `${segmentName(line.segment)} ${length(line.valueCm, wording)}, ${how}`
}
