import { Group, List, ListItem, Stack, Text } from '@mantine/core'
import { StatusMark } from '@/ui/status-mark'
import { Section } from '@/ui/section'
import type { Change } from '../queries'

/** Decisions that a class changed, with the reasons; the unchanged ones in a line. */
export function Changes({ changes }: { changes: readonly Change[] }) {
  const changed = changes.filter((c) => c.changed)
  const same = changes.filter((c) => !c.changed)
  return (
    <Stack>
      {changed.length === 0 ? (
        <Text>No decision changed. What was seen is kept and counts towards the days asked for.</Text>
      ) : null}
      {changed.map(({ studentId, name, before, after, inputsErased }) => (
        <Section key={studentId} title={name} className="card" fz="xl">
          <Group my="xs">
            <Group gap="xs">
              <Text c="dimmed">before</Text>
              <StatusMark outcome={before.outcome} />
              <Text>{before.target?.name ?? 'top of the ladder'}</Text>
            </Group>
            <Group gap="xs">
              <Text c="dimmed">now</Text>
              <StatusMark outcome={after.outcome} />
              <Text fw={600}>{after.target?.name ?? 'top of the ladder'}</Text>
            </Group>
          </Group>
          {inputsErased ? (
            <Text c="dimmed">Inputs erased: shown as it was decided, it cannot be made again.</Text>
          ) : null}
          <List>
            {after.reasons.map((reason) => (
              <ListItem key={reason}>{reason}</ListItem>
            ))}
          </List>
        </Section>
      ))}
      {same.length > 0 ? <Text c="dimmed">As before: {same.map((c) => c.name).join(', ')}.</Text> : null}
    </Stack>
  )
}
