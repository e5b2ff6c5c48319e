import type { FigurePaths } from '@/core/figure/picture'
import { LAYERS } from '@/core/figure/outline'
import classes from './figure.module.css'

/** A body, painted back to front; each layer lined first and filled after, so that only the line round it stays. */
export function FigureShape({ paths, ghost = false }: { paths: FigurePaths; ghost?: boolean }) {
  return (
    <g className={ghost ? classes.ghost : classes.body} transform={`scale(${1 / paths.perCm})`}>
      {LAYERS.map((name) =>
        paths.layers[name] === '' ? null : (
          <path key={name} className={classes[name]} d={paths.layers[name]} />
        ),
      )}
      {ghost ? null : <path className={classes.eye} d={paths.eye} />}
    </g>
  )
}
