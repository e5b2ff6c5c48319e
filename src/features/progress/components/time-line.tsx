import { Text } from '@mantine/core'
import { Figure } from '@/ui/figure/figure'
import type { StretchView } from '../person-queries'
import classes from './progress.module.css'

/** The ladder over time: each stretch as wide as it was long, with its figure and its days. */
export function TimeLine({ stretches }: { stretches: readonly StretchView[] }) {
  if (stretches.length === 0) return <Text c="dimmed">Nothing of this family is recorded yet.</Text>
  return (
    <ol className={classes.line} aria-label="The ladder over time">
      {stretches.map((s) => (
        <li key={s.key} style={{ flexGrow: s.share }} data-down={s.down} data-closed={s.closed}>
          {s.picture ? (
            <Figure picture={s.picture} height={64} />
          ) : (
            <span className={classes.gap} aria-hidden />
          )}
          <strong>{s.name}</strong>
          <span>
            {s.when}
            {s.closed ? '; closed for now' : ''}
          </span>
        </li>
      ))}
    </ol>
  )
}
