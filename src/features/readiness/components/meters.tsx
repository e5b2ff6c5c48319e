import type { Meter } from '@/core/words/meter'
import classes from './meters.module.css'

/** What is asked against what was seen: a bar to the mark, a dot for each day that counted, and what would do. */
export function Meters({ meters }: { meters: readonly Meter[] }) {
  if (meters.length === 0) return null
  return (
    <ul className={classes.meters} aria-label="What is asked">
      {meters.map((meter) => (
        <li key={meter.asked} data-met={meter.met}>
          <span className={classes.asked}>{meter.asked}</span>
          <span className={classes.seen}>{meter.met && meter.seen === '' ? 'met' : meter.seen}</span>
          {meter.share === null || meter.met ? null : (
            <span className={classes.bar} aria-hidden="true">
              <span style={{ width: `${Math.round(meter.share * 100)}%` }} />
            </span>
          )}
          <span className={classes.note}>
            {meter.days && !meter.met ? <Days {...meter.days} /> : null}
            {meter.note}
          </span>
        </li>
      ))}
    </ul>
  )
}

function Days({ have, need }: { have: number; need: number }) {
  return (
    <span className={classes.days} role="img" aria-label={`${have} of ${need} days`}>
      {Array.from({ length: need }, (_, i) => (
        <span key={i} data-done={i < have} />
      ))}
    </span>
  )
}
