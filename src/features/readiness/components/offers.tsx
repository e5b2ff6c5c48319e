import { List, ListItem, Text, Title } from '@mantine/core'
import { TextLink } from '@/ui/text-link'
import type { BoardData } from '../queries'

/** First solo tries that wait for the teacher’s own look. */
export function OffersToLookAt({ offers }: Pick<BoardData, 'offers'>) {
  if (offers.length === 0) return null
  return (
    <section aria-labelledby="offers" className="card">
      <Title order={2} id="offers" fz="lg">
        New offers to look at
      </Title>
      <Text c="dimmed" size="sm">
        First solo kicks, free balances and head loads: look before anybody goes up.
      </Text>
      <List>
        {offers.map((o) => (
          <ListItem key={`${o.studentId} ${o.family}`}>
            <TextLink href={`/readiness/${o.studentId}?family=${o.family}`}>{o.name.split(' ')[0]}</TextLink>:{' '}
            {o.stage}
          </ListItem>
        ))}
      </List>
    </section>
  )
}
