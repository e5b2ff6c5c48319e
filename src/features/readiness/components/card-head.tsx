import type { CardCheck } from '../round-queries'
import classes from './check-card.module.css'

/** The head of the card’s table, on paper and where it is copied in: pair, name, and a column a check. */
export function CardHead({ checks, legend = false }: { checks: readonly CardCheck[]; legend?: boolean }) {
  return (
    <thead>
      <tr>
        <th scope="col">Pair</th>
        <th scope="col">Name</th>
        {checks.map((c) => (
          <th key={c.id} scope="col">
            {c.name}
            <span className={classes.unit}>
              {c.kind === 'yes-no' ? 'yes or no' : c.unit}
              {c.side === 'each' ? ', left/right' : ''}
            </span>
            {legend ? <span className={classes.unit}>{letters(c)}</span> : null}
          </th>
        ))}
      </tr>
    </thead>
  )
}

/** What each letter stands for. */
export function letters({ faults }: CardCheck): string {
  return faults.map((f) => `${f.letter} ${f.name.toLowerCase()}`).join(' · ')
}
