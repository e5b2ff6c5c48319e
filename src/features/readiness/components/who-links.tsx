import { Group } from '@mantine/core'
import { Link } from '@/ui/link'
import type { BoardData } from '../board-queries'
import classes from './family-tabs.module.css'

/** Tonight’s people, one group, or everybody. */
export function WhoLinks({ whos, who }: Pick<BoardData, 'whos' | 'who'>) {
  if (whos.length < 2) return null
  return (
    <Group component="nav" aria-label="Whose ladders" gap="xs" mb={4}>
      {whos.map(({ key, label, count }) => (
        <Link
          key={key}
          href={`/readiness?who=${key}`}
          className={classes.tab}
          aria-current={key === who ? 'page' : undefined}
        >
          {label} ({count})
        </Link>
      ))}
    </Group>
  )
}
