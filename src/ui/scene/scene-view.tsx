import type { Bone, Dimension, Figure, Scene, SceneProp } from '@/core/setups/scene'
import type { Point } from '@/core/mechanics/point'
import { length, percent, type Wording } from '@/core/words/number'
import classes from './scene.module.css'

/** Room under the floor for dimension lines and loads, cm. */
const BELOW_CM = 48
/** Letter height in scene centimetres: the drawing is to scale, so text scales with it. */
const TEXT_CM = 6.2

type Props = { scene: Scene; wording: Wording; label: string; children?: React.ReactNode }

/** A measured drawing, side-on and to scale: y is turned over once here, everything inside is in cm with y down. */
export function SceneView({ scene, wording, label, children }: Props) {
  const { minX, maxX, maxY } = scene.bounds
  return (
    <svg
      className={classes.scene}
      viewBox={`${minX} ${-maxY} ${maxX - minX} ${maxY + BELOW_CM}`}
      role="group"
      aria-label="Drawing to scale"
    >
      <g role="img" aria-label={label}>
        <Ground minX={minX} maxX={maxX} />
        {scene.wallX === null ? null : <Wall x={scene.wallX} height={maxY} />}
        {scene.figures.map((figure) => (
          <FigureShape key={figure.role} figure={figure} />
        ))}
        {scene.props.map((prop, i) => (
          <PropShape key={`${prop.kind} ${i}`} prop={prop} />
        ))}
        <Plumb scene={scene} />
        {scene.dimensions.map((dimension) => (
          <DimensionLine key={dimension.key} dimension={dimension} wording={wording} />
        ))}
        <Loads scene={scene} />
      </g>
      {children}
    </svg>
  )
}

function Ground({ minX, maxX }: { minX: number; maxX: number }) {
  const hatches = Array.from({ length: Math.ceil((maxX - minX) / 6) }, (_, i) => minX + i * 6)
  return (
    <g className={classes.ground}>
      <line x1={minX} y1={0} x2={maxX} y2={0} />
      {hatches.map((x) => (
        <line key={x} x1={x} y1={3} x2={x + 3} y2={0} className={classes.hatch} />
      ))}
    </g>
  )
}

function Wall({ x, height }: { x: number; height: number }) {
  const hatches = Array.from({ length: Math.floor(height / 6) }, (_, i) => -i * 6)
  return (
    <g className={classes.ground}>
      <line x1={x} y1={0} x2={x} y2={-height} />
      {hatches.map((y) => (
        <line key={y} x1={x} y1={y} x2={x + 3} y2={y - 3} className={classes.hatch} />
      ))}
    </g>
  )
}

function FigureShape({ figure }: { figure: Figure }) {
  return (
    <g className={figure.role === 'start' ? classes.start : classes.target}>
      {figure.bones.map((bone, i) => (
        <BoneShape key={i} bone={bone} />
      ))}
      <circle cx={figure.head.centre.x} cy={-figure.head.centre.y} r={figure.head.radiusCm} />
    </g>
  )
}

function BoneShape({ bone: { from, to, thicknessCm } }: { bone: Bone }) {
  return <line x1={from.x} y1={-from.y} x2={to.x} y2={-to.y} strokeWidth={thicknessCm} />
}

function PropShape({ prop }: { prop: SceneProp }) {
  return <polygon className={classes.prop} points={prop.outline.map((p) => `${p.x},${-p.y}`).join(' ')} />
}

function Plumb({ scene: { plumb } }: { scene: Scene }) {
  const { centre, base } = plumb
  return (
    <g>
      <line className={classes.base} x1={base.fromCm} y1={1} x2={base.toCm} y2={1} />
      <line className={classes.plumb} x1={centre.x} y1={-centre.y} x2={centre.x} y2={-3} />
      <path className={classes.bob} d={`M${centre.x} 0 l-2.2 -4.5 q2.2 -2.6 4.4 0 z`} />
      <circle className={classes.centre} cx={centre.x} cy={-centre.y} r={2.6} />
      <path
        className={classes.centreMark}
        d={`M${centre.x - 2.6} ${-centre.y} h5.2 M${centre.x} ${-centre.y - 2.6} v5.2`}
      />
    </g>
  )
}

function DimensionLine({ dimension, wording }: { dimension: Dimension; wording: Wording }) {
  const { from, to } = dimension
  return from.x === to.x ? (
    <UprightLine dimension={dimension} wording={wording} />
  ) : (
    <LevelLine dimension={dimension} wording={wording} />
  )
}

/** A height: the line stands where it is measured, its number beside the upper end. */
function UprightLine({
  dimension: { from, to, valueCm },
  wording,
}: {
  dimension: Dimension
  wording: Wording
}) {
  return (
    <g className={classes.dimension}>
      <line x1={from.x} y1={-from.y} x2={to.x} y2={-to.y} />
      <line x1={from.x - 2} y1={-from.y} x2={from.x + 2} y2={-from.y} />
      <line x1={to.x - 2} y1={-to.y} x2={to.x + 2} y2={-to.y} />
      <text x={to.x} y={-to.y - 2.5} textAnchor="middle" fontSize={TEXT_CM}>
        {length(valueCm, wording)}
      </text>
    </g>
  )
}

function LevelLine({
  dimension: { from, to, valueCm, offsetCm },
  wording,
}: {
  dimension: Dimension
  wording: Wording
}) {
  const y = -from.y - offsetCm
  const middle: Point = { x: (from.x + to.x) / 2, y }
  const text = length(valueCm, wording)
  // A label wider than what it measures sits beside the line instead of on it.
  const fits = Math.abs(to.x - from.x) > text.length * TEXT_CM * 0.55
  return (
    <g className={classes.dimension}>
      <line x1={from.x} y1={y} x2={to.x} y2={y} />
      <line x1={from.x} y1={y - 2} x2={from.x} y2={y + 2} />
      <line x1={to.x} y1={y - 2} x2={to.x} y2={y + 2} />
      <text
        x={fits ? middle.x : Math.min(from.x, to.x) - 1.5}
        y={fits ? y + TEXT_CM : y + TEXT_CM * 0.36}
        textAnchor={fits ? 'middle' : 'end'}
        fontSize={TEXT_CM}
      >
        {text}
      </text>
    </g>
  )
}

/**
 * What floor and props give back, drawn from below the floor into the contact, its length in proportion to the share.
 * Numbers stand outside the contacts, so that two close ones do not meet.
 */
function Loads({ scene }: { scene: Scene }) {
  const FULL_CM = 12
  const carrying = scene.loads.filter(({ share }) => share.value >= 0.02).toSorted((a, b) => a.at.x - b.at.x)
  return (
    <g>
      {carrying.map(({ part, at, share }, i) => {
        const right = i > 0 && i === carrying.length - 1
        return (
          <g key={part} className={classes.load}>
            <line x1={at.x} y1={6 + share.value * FULL_CM} x2={at.x} y2={7} />
            <path d={`M${at.x - 2.4} 8 l2.4 -5 l2.4 5 z`} />
            <text
              x={at.x + (right ? 4 : -4)}
              y={6 + Math.max(4, share.value * FULL_CM)}
              textAnchor={right ? 'start' : 'end'}
              fontSize={TEXT_CM}
            >
              {percent(share.value)}
            </text>
          </g>
        )
      })}
    </g>
  )
}
