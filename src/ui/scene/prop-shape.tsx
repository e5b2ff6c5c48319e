import type { SceneProp } from '@/core/setups/scene'
import { BLANKET_FOLD_CM } from '@/core/props/stock'
import classes from './scene.module.css'

type Box = { x: number; y: number; wide: number; high: number }

/** A prop in its own character: what a hand would know it by, and no more. y is down here. */
export function PropShape({ prop: { kind, outline } }: { prop: SceneProp }) {
  const at = boxOf(outline)
  if (kind === 'bolster') return <Bolster at={at} />
  if (kind === 'blanket') return <Blanket at={at} />
  if (kind === 'strap') return <Strap at={at} />
  const wooden = kind === 'chair' || kind === 'bench'
  return (
    <g className={wooden ? classes.wooden : classes.prop}>
      <rect x={at.x} y={at.y} width={at.wide} height={at.high} rx={Math.min(0.8, at.high / 2)} />
      {kind === 'block' ? <path className={classes.edge} d={bevel(at)} /> : null}
    </g>
  )
}

/** The broken edges of a block, a finger in from both ends. */
const BEVEL_CM = 1.3
function bevel({ x, y, wide, high }: Box): string {
  return `M${x + BEVEL_CM} ${y + 0.4}v${high - 0.8}M${x + wide - BEVEL_CM} ${y + 0.4}v${high - 0.8}`
}

/** Round at its ends when it lies across; upright a pillar with its seam. */
function Bolster({ at: { x, y, wide, high } }: { at: Box }) {
  const round = Math.min(wide, high) / 2
  return (
    <g className={classes.soft}>
      <rect x={x} y={y} width={wide} height={high} rx={high > wide * 1.5 ? 3 : round} />
      <rect
        className={classes.edge}
        x={x + 2}
        y={y + 2}
        width={Math.max(0, wide - 4)}
        height={Math.max(0, high - 4)}
        rx={high > wide * 1.5 ? 2 : Math.max(0, round - 2)}
      />
    </g>
  )
}

/** One line a fold, closed on one side as a folded blanket is. */
function Blanket({ at: { x, y, wide, high } }: { at: Box }) {
  const folds = Math.max(1, Math.round(high / BLANKET_FOLD_CM))
  const lines = Array.from({ length: folds - 1 }, (_, i) => {
    const at = y + ((i + 1) * high) / folds
    return i % 2 === 0 ? `M${x + 1.5} ${at}H${x + wide}` : `M${x} ${at}H${x + wide - 1.5}`
  })
  return (
    <g className={classes.soft}>
      <rect x={x} y={y} width={wide} height={high} rx={Math.min(1.6, high / 2)} />
      <path className={classes.edge} d={lines.join('')} />
    </g>
  )
}

/** A band with its buckle. */
function Strap({ at: { x, y, wide, high } }: { at: Box }) {
  return (
    <g className={classes.prop}>
      <rect x={x} y={y + high * 0.15} width={wide} height={high * 0.7} rx={0.5} />
      <rect
        className={classes.buckle}
        x={x + wide * 0.6}
        y={y - 0.4}
        width={2.4}
        height={high + 0.8}
        rx={0.6}
      />
    </g>
  )
}

function boxOf(outline: SceneProp['outline']): Box {
  const [xs, ys] = [outline.map((p) => p.x), outline.map((p) => -p.y)]
  const [x, y] = [Math.min(...xs), Math.min(...ys)]
  return { x, y, wide: Math.max(...xs) - x, high: Math.max(...ys) - y }
}
