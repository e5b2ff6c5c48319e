import type { TopView } from '@/core/setups/scene'
import { length, type Wording } from '@/core/words/number'
import classes from './scene.module.css'

const TEXT_CM = 5.2
const AIR_CM = 12

/** Seen from above, where widths matter: arms, blocks, straps and the room for the head. */
export function TopDrawing({ top, wording, label }: { top: TopView; wording: Wording; label: string }) {
  const points = [
    ...top.shapes.flatMap((s) => s.outline),
    ...top.dimensions.flatMap((d) => [d.from, d.to]),
    ...(top.head
      ? [
          { x: top.head.centre.x - top.head.radiusCm, y: -top.head.radiusCm },
          { x: top.head.centre.x + top.head.radiusCm, y: top.head.radiusCm },
        ]
      : []),
    ...(top.wallX === null ? [] : [{ x: top.wallX, y: 0 }]),
  ]
  const xs = points.map((p) => p.x)
  const ys = points.map((p) => p.y)
  const [minX, maxX] = [Math.min(...xs) - AIR_CM - 8, Math.max(...xs) + AIR_CM]
  const [minY, maxY] = [Math.min(...ys) - AIR_CM, Math.max(...ys) + AIR_CM]
  return (
    <svg
      className={classes.top}
      viewBox={`${minX} ${minY} ${maxX - minX} ${maxY - minY}`}
      role="img"
      aria-label={label}
    >
      {top.wallX === null ? null : (
        <line x1={top.wallX} x2={top.wallX} y1={minY} y2={maxY} stroke="var(--ink)" strokeWidth={1.4} />
      )}
      {top.shapes.map((shape, i) => (
        <polygon
          key={i}
          className={['forearm', 'hand'].includes(shape.kind) ? classes.limb : classes.prop}
          points={shape.outline.map((p) => `${p.x},${p.y}`).join(' ')}
        />
      ))}
      {top.head ? (
        <circle
          className={classes.headTop}
          cx={top.head.centre.x}
          cy={top.head.centre.y}
          r={top.head.radiusCm}
        />
      ) : null}
      {top.dimensions.map((d) => (
        <g key={d.key} className={classes.dimension}>
          <line x1={d.from.x} y1={d.from.y} x2={d.to.x} y2={d.to.y} />
          <line x1={d.from.x - 2} y1={d.from.y} x2={d.from.x + 2} y2={d.from.y} />
          <line x1={d.to.x - 2} y1={d.to.y} x2={d.to.x + 2} y2={d.to.y} />
          <text
            className={classes.label}
            x={d.from.x - 4}
            y={(d.from.y + d.to.y) / 2}
            textAnchor="middle"
            fontSize={TEXT_CM}
            transform={`rotate(-90 ${d.from.x - 4} ${(d.from.y + d.to.y) / 2})`}
          >
            {length(d.valueCm, wording)}
          </text>
        </g>
      ))}
    </svg>
  )
}
