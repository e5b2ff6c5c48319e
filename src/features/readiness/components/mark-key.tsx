import { OUTCOME_MEANING } from '@/core/words/outcome'
import type { Mark } from '@/core/readiness/mark'
import { StatusMark } from '@/ui/status-mark'
import classes from './mark-key.module.css'

/** What each mark means, from the same words that readers hear. */
export function MarkKey({ open = false }: { open?: boolean }) {
  return (
    <details className={classes.key} open={open}>
      <summary>What the marks mean</summary>
      <dl>
        {(Object.entries(OUTCOME_MEANING) as [Mark, string][]).map(([mark, meaning]) => (
          <div key={mark}>
            <dt>
              <StatusMark outcome={mark} size={18} />
            </dt>
            <dd>{meaning}</dd>
          </div>
        ))}
      </dl>
    </details>
  )
}
