'use client'

import { useRef, type PointerEvent } from 'react'
import classes from './scene.module.css'

type Props = {
  at: { x: number; y: number }
  axis: 'x' | 'y'
  /** The value at which the handle lies at a place along the axis, cm; asked for while it is dragged. */
  valueAt: (cm: number) => number | null
  /** Which way it goes as the value grows: 1 along the axis. */
  direction: () => 1 | -1
  /** Grain while it is dragged; keys go by `step`. */
  grain: number
  value: number
  min: number
  max: number
  step: number
  label: string
  valueText: string
  /** Whether it was to go further than it can. */
  stopped?: boolean
  onChange: (value: number) => void
  onDone: () => void
}

/** A big key press moves this many steps. */
const PAGE_STEPS = 10

/** Something to take hold of on a drawing: drag it along its axis, or focus it and use the arrow keys. */
export function SceneHandle({
  at,
  axis,
  valueAt,
  direction,
  grain,
  value,
  min,
  max,
  step,
  label,
  valueText,
  stopped = false,
  onChange,
  onDone,
}: Props) {
  /** How far from the handle's middle it was taken hold of, cm. */
  const grip = useRef<number | null>(null)
  const put = (next: number, by: number): void => {
    const snapped = Math.min(max, Math.max(min, Math.round(next / by) * by))
    if (snapped !== value) onChange(snapped)
  }
  const begin = (event: PointerEvent<SVGGElement>): void => {
    event.currentTarget.setPointerCapture(event.pointerId)
    const along = alongAxis(event, axis)
    grip.current = along === null ? null : along - at[axis]
  }
  const move = (event: PointerEvent<SVGGElement>): void => {
    if (grip.current === null) return
    const along = alongAxis(event, axis)
    const next = along === null ? null : valueAt(along - grip.current)
    if (next !== null) put(next, grain)
  }
  const end = (): void => {
    grip.current = null
    onDone()
  }
  return (
    <g
      className={classes.handle}
      data-axis={axis}
      data-stopped={stopped}
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
        const toward = axisKeys(axis).includes(event.key) ? direction() * step : step
        const by = {
          ArrowRight: toward,
          ArrowLeft: -toward,
          ArrowUp: toward,
          ArrowDown: -toward,
          PageUp: PAGE_STEPS * step,
          PageDown: -PAGE_STEPS * step,
        }[event.key]
        if (by === undefined) return
        event.preventDefault()
        put(value + by, step)
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

/** Keys that move along an axis; the others only raise and lower the value. */
function axisKeys(axis: 'x' | 'y'): readonly string[] {
  return axis === 'x' ? ['ArrowLeft', 'ArrowRight'] : ['ArrowUp', 'ArrowDown']
}

/** Where the pointer is on the drawing along an axis, cm; the drawing may have been scaled anew meanwhile. */
function alongAxis(event: PointerEvent<SVGGElement>, axis: 'x' | 'y'): number | null {
  const matrix = event.currentTarget.ownerSVGElement?.getScreenCTM()?.inverse()
  if (!matrix) return null
  const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix)
  return axis === 'x' ? point.x : -point.y
}
