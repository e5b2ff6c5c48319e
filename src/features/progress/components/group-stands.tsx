import { Group, List, ListItem, Text, Title } from '@mantine/core'
import { LinkButton } from '@/ui/link-button'
import { TextLink } from '@/ui/text-link'
import type { GroupProgress } from '../group-queries'

/** Where a group stands, and what most of it is still asked for. */
export function GroupStands({ group }: { group: GroupProgress }) {
  const whom = group.stands.map((s) => `for=${s.id}`).join('&')
  return (
    <section className="card" style={{ marginBottom: 12 }} aria-label={`Where ${group.name} stands`}>
      <Group justify="space-between">
        <Title order={2}>Where they stand</Title>
        {whom === '' ? null : (
          <LinkButton href={`/progress/sequences?${whom}`}>Strength for all of them</LinkButton>
        )}
      </Group>
      {group.stands.length === 0 ? <Text>Nobody of it is placed on a ladder yet.</Text> : null}
      <List size="md" spacing={2} mt="xs">
        {group.stands.map((s) => (
          <ListItem key={s.id}>
            <TextLink href={`/progress/${s.id}`}>{s.name}</TextLink>: {s.text}
          </ListItem>
        ))}
      </List>
      {group.asked.length === 0 ? null : (
        <>
          <Title order={3} mt="sm">
            What holds most of them back
          </Title>
          <List size="md" spacing={2}>
            {group.asked.map((a) => (
              <ListItem key={a.id}>
                <TextLink href={`/library/${a.id}`}>{a.check}</TextLink>: {a.text}
              </ListItem>
            ))}
          </List>
        </>
      )}
    </section>
  )
}
