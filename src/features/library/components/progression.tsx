import { Link } from '@/ui/link'
import { Figure } from '@/ui/figure/figure'
import type { MapStep } from '../queries'
import classes from './library.module.css'

/** A family's progression as a map: steps from left to right, branches of a step under each other. */
export function Progression({ steps }: { steps: readonly MapStep[] }) {
  return (
    <ol className={classes.map} aria-label="Progression">
      {steps.map((step) => (
        <li key={step.name} data-rung={step.rung}>
          <ul>
            {step.steps.map((branch) => (
              <li key={branch.id}>
                <Link href={`/library/${branch.id}`} className={classes.card}>
                  <span className={classes.drawn}>
                    {branch.picture ? <Figure picture={branch.picture} height={66} /> : null}
                  </span>
                  <span>{branch.name}</span>
                </Link>
              </li>
            ))}
          </ul>
        </li>
      ))}
    </ol>
  )
}
