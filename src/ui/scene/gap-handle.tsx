'use client'

import { useRef, type PointerEvent } from 'react'
import classes from './scene.module.css'

type Props = {
  wallX: number
  gapCm: number
  min: number
  max: number
  label: string
  valueText: string
  onChange: (gapCm: number) => void
}

const STEP_CM = 0.5

/** A handle on the wall gap: drag it, or focus it and use the arrow keys. The wall follows in the same frame. */
export function GapHandle({ wallX, gapCm, min, max, label, valueText, onChange }: Props) {
  const drag = useRef<{ startX: number; startGap: number; cmPerPixel: number } | null>(null)
  const clamp = (value: number): number => Math.min(max, Math.max(min, Math.round(value / STEP_CM) * STEP_CM))

  const begin = (event: PointerEvent<SVGGElement>): void => {
    const svg = event.currentTarget.ownerSVGElement
    const box = svg?.getBoundingClientRect()
    const view = svg?.viewBox.baseVal
    if (!box || !view) return
    event.currentTarget.setPointerCapture(event.pointerId)
    drag.current = {
      startX: event.clientX,
      startGap: gapCm,
      cmPerPixel: Math.max(view.width / box.width, view.height / box.height),
    }
  }
  const move = (event: PointerEvent<SVGGElement>): void => {
    if (!drag.current) return
    const { startX, startGap, cmPerPixel } = drag.current
    onChange(clamp(startGap + (event.clientX - startX) * cmPerPixel))
  }
  return (
    <g
      className={classes.handle}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuemin={min}
      aria-valuemax={max}
      aria-valuenow={gapCm}
      aria-valuetext={valueText}
      onPointerDown={begin}
      onPointerMove={move}
      onPointerUp={() => (drag.current = null)}
      onPointerCancel={() => (drag.current = null)}
      onKeyDown={(event) => {
        const by = {
          ArrowRight: STEP_CM,
          ArrowUp: STEP_CM,
          ArrowLeft: -STEP_CM,
          ArrowDown: -STEP_CM,
          PageUp: 5,
          PageDown: -5,
        }[event.key]
        if (by === undefined) return
        event.preventDefault()
        onChange(clamp(gapCm + by))
      }}
    >
      <rect x={wallX - 12} y={-40} width={24} height={24} style={{ fill: 'transparent', stroke: 'none' }} />
      <rect x={wallX - 3} y={-36} width={6} height={16} rx={2} />
    </g>
  )
}
