import { Link } from '@/ui/link'
import type { StepState } from '@/core/readiness/path'
import { Figure } from '@/ui/figure/figure'
import type { ForkView, PathView } from '../path-queries'
import classes from './step-path.module.css'

const STATE_WORD: Readonly<Record<StepState, string>> = {
  held: 'held',
  standing: 'stands here',
  next: 'comes next',
  back: 'go back to this',
  open: 'also possible',
  ahead: 'further on',
  closed: 'closed for now',
}

type Props = PathView & { href: (stepId: string) => string }

/** A ladder as a path of figures, foot first: what is held, where somebody stands, what comes next, forks as forks. */
export function StepPath({ forks, open, href }: Props) {
  return (
    <nav aria-label="The ladder, step by step" className={classes.scroll}>
      <ol className={classes.path}>
        {forks.map((fork) => (
          <li key={fork.name} className={classes.fork}>
            <Step step={fork.shown} here={open?.id === fork.shown.id} href={href} />
            <Others fork={fork} openId={open?.id} href={href} />
          </li>
        ))}
      </ol>
    </nav>
  )
}

function Step({ step, here, href }: { step: ForkView['shown']; here: boolean; href: Props['href'] }) {
  return (
    <Link
      href={href(step.id)}
      scroll={false}
      className={classes.step}
      data-state={step.state}
      aria-current={here ? 'step' : undefined}
      aria-label={`${step.name}: ${STATE_WORD[step.state]}`}
    >
      <span className={classes.drawn}>
        {step.picture ? <Figure picture={step.picture} height={52} /> : null}
      </span>
      <span className={classes.name}>{step.short}</span>
      <span className={classes.state}>{STATE_WORD[step.state]}</span>
    </Link>
  )
}

/** The other branches of a fork, by name. */
function Others({
  fork: { others },
  openId,
  href,
}: {
  fork: ForkView
  openId: string | undefined
  href: Props['href']
}) {
  if (others.length === 0) return null
  return (
    <details className={classes.others} open={others.some(({ id }) => id === openId)}>
      <summary>
        {others.length} other {others.length === 1 ? 'way' : 'ways'}
      </summary>
      <ul>
        {others.map((step) => (
          <li key={step.id}>
            <Link
              href={href(step.id)}
              scroll={false}
              data-state={step.state}
              aria-label={`${step.name}: ${STATE_WORD[step.state]}`}
              aria-current={step.id === openId ? 'step' : undefined}
            >
              {step.short}
            </Link>
          </li>
        ))}
      </ul>
    </details>
  )
}
