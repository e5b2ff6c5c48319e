import { Link } from '@/ui/link'
import { Figure } from '@/ui/figure/figure'
import type { MapStep, StepLoad } from '../queries'
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
                  {branch.load ? <Load load={branch.load} /> : null}
                </Link>
              </li>
            ))}
          </ul>
        </li>
      ))}
    </ol>
  )
}

/** The weight as a bar, arms first and the head end after them, and in words. */
function Load({ load: { carried, words } }: { load: StepLoad }) {
  return (
    <span className={classes.load}>
      <span className={classes.bar} aria-hidden>
        <span data-on="arms" style={{ flexGrow: carried.arms }} />
        <span data-on="head" style={{ flexGrow: carried.head }} />
        <span style={{ flexGrow: carried.rest }} />
      </span>
      {words}
    </span>
  )
}
