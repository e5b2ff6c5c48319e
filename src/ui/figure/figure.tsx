import type { Picture } from '@/core/figure/picture'
import { FigureShape } from './figure-shape'
import classes from './figure.module.css'

type Props = {
  picture: Picture
  /** What is seen, for whoever cannot; left out where the words stand beside it anyway. */
  label?: string
  /** Height on the screen, px. */
  height?: number
  /** With the plumb line through the centre of mass. */
  plumb?: boolean
  /** Seen rather than the picture's own, where two stand side by side. */
  view?: Picture['view']
}

/** One shape, small and without numbers: plain SVG that needs no code of its own in the browser. */
export function Figure({ picture, label, height, plumb = false, view = picture.view }: Props) {
  const [x, , wide] = view
  return (
    <svg
      className={classes.figure}
      viewBox={view.join(' ')}
      height={height}
      {...(label === undefined ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label })}
    >
      <path className={classes.ground} d={`M${x} 0h${wide}`} />
      {picture.wallX === null ? null : (
        <path className={classes.ground} d={`M${picture.wallX} 0V${view[1]}`} />
      )}
      {picture.rests.map((rest, i) => (
        <rect
          key={i}
          className={classes.rest}
          x={rest.x}
          y={-rest.heightCm - (rest.fromCm ?? 0)}
          width={rest.widthCm}
          height={rest.heightCm}
          rx={2}
        />
      ))}
      <FigureShape paths={picture.figure} />
      {plumb && picture.centre ? (
        <path className={classes.plumb} d={`M${picture.centre.x} ${-picture.centre.y}V0`} />
      ) : null}
    </svg>
  )
}
