import { Group } from '@mantine/core'
import { Link } from '@/ui/link'
import { StatusMark } from '@/ui/status-mark'
import type { PersonReadiness } from '../person-queries'
import classes from './family-tabs.module.css'

/** The six families of one person with their marks. */
export function FamilyTabs({
  id,
  families,
  current,
}: {
  id: string
  families: PersonReadiness['families']
  current: string
}) {
  return (
    <Group component="nav" aria-label="Families" gap="xs" mb="md">
      {families.map((f) => (
        <Link
          key={f.id}
          href={`/readiness/${id}?family=${f.id}`}
          className={classes.tab}
          aria-current={f.id === current ? 'page' : undefined}
        >
          <span>{f.name}</span>
          <StatusMark outcome={f.outcome} size={20} />
        </Link>
      ))}
    </Group>
  )
}
