import classes from './board.module.css'

const RUNGS = 6
const STEP = 6.4
const BOB_Y = 4

/** A small ladder of six rungs: filled to where somebody stands, the bob at what comes next. */
export function LadderMark({ held, at }: { held: number | null; at: number | null }) {
  const yOf = (rung: number): number => BOB_Y + (RUNGS - 1 - rung) * STEP
  return (
    <svg className={classes.ladder} viewBox="0 0 18 40" width={18} height={40} aria-hidden="true">
      <path
        className={classes.rail}
        d={`M3 ${yOf(RUNGS - 1) - 2}V${yOf(0) + 2}M15 ${yOf(RUNGS - 1) - 2}V${yOf(0) + 2}`}
      />
      {Array.from({ length: RUNGS }, (_, rung) => (
        <rect
          key={rung}
          className={held !== null && rung <= held ? classes.done : classes.rung}
          x={3}
          y={yOf(rung) - 1.6}
          width={12}
          height={3.2}
        />
      ))}
      {at === null ? null : <path className={classes.bob} d={`M9 ${yOf(at) - 4}l4 4-4 4-4-4z`} />}
    </svg>
  )
}
