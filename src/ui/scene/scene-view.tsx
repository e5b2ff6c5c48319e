'use client'

import { useElementSize } from '@mantine/hooks'
import { memo, type Ref } from 'react'
import { pathsOf } from '@/core/figure/picture'
import { depthOf, drawnLoads, extentOf, FULL_LOAD_CM, layoutLabels } from '@/core/setups/labels'
import { outlineIn, type Dimension, type Scene } from '@/core/setups/scene'
import type { Wording } from '@/core/words/number'
import { FigureShape } from '../figure/figure-shape'
import { PropShape } from './prop-shape'
import classes from './scene.module.css'

/** Letters are this high on the screen, px, whatever the drawing's scale. */
const TEXT_PX = 14
/** Letter height before the drawing's size is known, and its bounds, cm. */
const TEXT_CM = { usual: 6.2, least: 3.6, most: 13 }

type Props = {
  scene: Scene
  wording: Wording
  label: string
  children?: React.ReactNode
  svgRef?: Ref<SVGSVGElement>
}

/** A measured drawing, side-on and to scale: y is turned over once here, everything inside is in cm with y down. */
export function SceneView({ scene, wording, label, children, svgRef }: Props) {
  const { ref, width, height } = useElementSize<HTMLDivElement>()
  const { minX, maxX, maxY } = scene.bounds
  const pxPerCm = width === 0 ? 0 : Math.min(width / (maxX - minX), Math.max(240, height) / (maxY + 40))
  const textCm =
    pxPerCm === 0 ? TEXT_CM.usual : Math.min(TEXT_CM.most, Math.max(TEXT_CM.least, TEXT_PX / pxPerCm))
  const labels = layoutLabels(scene, wording, textCm)
  const wide = extentOf(scene, labels)
  return (
    <div ref={ref}>
      <svg
        ref={svgRef}
        className={classes.scene}
        viewBox={`${wide.minX} ${-maxY} ${wide.maxX - wide.minX} ${maxY + depthOf(labels) + 3}`}
        role="group"
        aria-label="Drawing to scale"
      >
        <g role="img" aria-label={label}>
          <Ground minX={wide.minX} maxX={wide.maxX} />
          {scene.wallX === null ? null : <Wall x={scene.wallX} height={maxY} />}
          {scene.figures.map((figure) => (
            <SceneFigure key={figure.role} scene={scene} figure={figure} />
          ))}
          {scene.props.map((prop, i) => (
            <PropShape key={`${prop.kind} ${i}`} prop={prop} />
          ))}
          <Plumb scene={scene} />
          {scene.dimensions.map((dimension) => (
            <DimensionLine key={dimension.key} dimension={dimension} />
          ))}
          <Loads scene={scene} />
          {labels.map((l) => (
            <text
              key={l.key}
              data-label={l.kind}
              className={classes.label}
              x={l.x}
              y={-(l.y - 0.34 * textCm)}
              textAnchor="middle"
              fontSize={textCm}
            >
              {l.text}
            </text>
          ))}
        </g>
        {children}
      </svg>
    </div>
  )
}

/** How finely a drawing is lined that may fill the screen. */
const STEPS_PER_CM = 10

function SceneFigure({ scene, figure }: { scene: Scene; figure: Scene['figures'][number] }) {
  const paths = pathsOf(outlineIn(scene, figure), STEPS_PER_CM, figure.asideCm)
  return <FigureShape ghost={figure.role === 'start'} paths={paths} />
}

/** Hatching is one path, so that a moved handle redraws one element and not a hundred. */
const Ground = memo(function Ground({ minX, maxX }: { minX: number; maxX: number }) {
  const hatches = Array.from({ length: Math.ceil((maxX - minX) / 6) }, (_, i) => `M${minX + i * 6} 3l3 -3`)
  return (
    <g className={classes.ground}>
      <line x1={minX} y1={0} x2={maxX} y2={0} />
      <path d={hatches.join('')} className={classes.hatch} />
    </g>
  )
})

const Wall = memo(function Wall({ x, height }: { x: number; height: number }) {
  const hatches = Array.from({ length: Math.floor(height / 6) }, (_, i) => `M${x} ${-i * 6}l3 -3`)
  return (
    <g className={classes.ground}>
      <line x1={x} y1={0} x2={x} y2={-height} />
      <path d={hatches.join('')} className={classes.hatch} />
    </g>
  )
})

function Plumb({ scene: { plumb } }: { scene: Pick<Scene, 'plumb'> }) {
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

/** A measured distance with ticks at both ends; its number is laid out with the other labels. */
function DimensionLine({ dimension: { from, to, offsetCm } }: { dimension: Dimension }) {
  if (from.x === to.x)
    return (
      <g className={classes.dimension}>
        <line x1={from.x} y1={-from.y} x2={to.x} y2={-to.y} />
        <line x1={from.x - 2} y1={-from.y} x2={from.x + 2} y2={-from.y} />
        <line x1={to.x - 2} y1={-to.y} x2={to.x + 2} y2={-to.y} />
      </g>
    )
  const y = -from.y - offsetCm
  return (
    <g className={classes.dimension}>
      <line x1={from.x} y1={y} x2={to.x} y2={y} />
      <line x1={from.x} y1={y - 2} x2={from.x} y2={y + 2} />
      <line x1={to.x} y1={y - 2} x2={to.x} y2={y + 2} />
    </g>
  )
}

/**
 * What floor and props give back: a bar under each contact, as long as its share, with brackets at the least and most
 * that balance leaves open.
 */
function Loads({ scene }: { scene: Scene }) {
  return (
    <g>
      {drawnLoads(scene).map(({ part, at, share }) => {
        const top = at.y > 30 ? -at.y : 3
        const end = (s: number): number => top + (at.y > 30 ? -1 : 1) * s * FULL_LOAD_CM
        return (
          <g key={part} className={classes.load}>
            <line x1={at.x} y1={top} x2={at.x} y2={end(share.value)} />
            {share.max - share.min < 0.03 ? null : (
              <path
                className={classes.range}
                d={`M${at.x - 2.6} ${end(share.min)} h5.2 M${at.x - 2.6} ${end(share.max)} h5.2 M${at.x} ${end(share.value)} V${end(share.max)}`}
              />
            )}
          </g>
        )
      })}
    </g>
  )
}
