'use client'

import { useRef, type PointerEvent } from 'react'
import classes from './scene.module.css'

type Props = {
  at: { x: number; y: number }
  axis: 'x' | 'y'
  /** Units of the value for one centimetre along the axis. */
  perCm: number
  value: number
  min: number
  max: number
  step: number
  label: string
  valueText: string
  onChange: (value: number) => void
  onDone: () => void
}

/** A big key press moves this many steps. */
const PAGE_STEPS = 10

/** Something to take hold of on a drawing: drag it along its axis, or focus it and use the arrow keys. */
export function SceneHandle({
  at,
  axis,
  perCm,
  value,
  min,
  max,
  step,
  label,
  valueText,
  onChange,
  onDone,
}: Props) {
  const drag = useRef<{ from: number; value: number; cmPerPixel: number } | null>(null)
  const put = (next: number): void => {
    const snapped = Math.min(max, Math.max(min, Math.round(next / step) * step))
    if (snapped !== value) onChange(snapped)
  }
  const begin = (event: PointerEvent<SVGGElement>): void => {
    const scale = event.currentTarget.ownerSVGElement?.getScreenCTM()?.a ?? 1
    event.currentTarget.setPointerCapture(event.pointerId)
    drag.current = { from: axis === 'x' ? event.clientX : event.clientY, value, cmPerPixel: 1 / scale }
  }
  const move = (event: PointerEvent<SVGGElement>): void => {
    const state = drag.current
    if (!state) return
    const pixels = axis === 'x' ? event.clientX - state.from : state.from - event.clientY
    put(state.value + pixels * state.cmPerPixel * perCm)
  }
  const end = (): void => {
    drag.current = null
    onDone()
  }
  const toward = Math.sign(perCm) * step
  return (
    <g
      className={classes.handle}
      data-axis={axis}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-orientation={axis === 'x' ? 'horizontal' : 'vertical'}
      aria-valuemin={min}
      aria-valuemax={max}
      aria-valuenow={value}
      aria-valuetext={valueText}
      onPointerDown={begin}
      onPointerMove={move}
      onPointerUp={end}
      onPointerCancel={end}
      onKeyDown={(event) => {
        const by = {
          ArrowRight: axis === 'x' ? toward : step,
          ArrowLeft: axis === 'x' ? -toward : -step,
          ArrowUp: axis === 'y' ? toward : step,
          ArrowDown: axis === 'y' ? -toward : -step,
          PageUp: PAGE_STEPS * step,
          PageDown: -PAGE_STEPS * step,
        }[event.key]
        if (by === undefined) return
        event.preventDefault()
        put(value + by)
      }}
      onKeyUp={onDone}
    >
      <circle cx={at.x} cy={-at.y} r={11} className={classes.reach} />
      <circle cx={at.x} cy={-at.y} r={3.6} className={classes.knob} />
      {axis === 'x' ? (
        <path d={`M${at.x - 7.5} ${-at.y} l2.6 -2 v4 z M${at.x + 7.5} ${-at.y} l-2.6 -2 v4 z`} />
      ) : (
        <path d={`M${at.x} ${-at.y - 7.5} l-2 2.6 h4 z M${at.x} ${-at.y + 7.5} l-2 -2.6 h4 z`} />
      )}
    </g>
  )
}
