import { List, ListItem, Stack, Text, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { stageCards } from '@/features/library/queries'
import { PageHead } from '@/ui/page-head'

export const metadata: Metadata = { title: 'Library' }

export default function LibraryPage() {
  return (
    <>
      <PageHead
        title="What does each step ask?"
        lead="The forearm-stand ladder: what to do, what to look for, what must be shown first."
      />
      <Stack>
        {stageCards().map((stage) => (
          <section className="card" key={stage.id} aria-label={stage.name}>
            <Title order={2} fz="xl">
              {stage.name}{' '}
              <Text span c="dimmed" fw={400}>
                {stage.sanskrit} {stage.id}
              </Text>
            </Title>
            <Text>
              <strong>Do</strong> {stage.do}
            </Text>
            <Text>
              <strong>Look for</strong> {stage.lookFor}
            </Text>
            <Text>
              <strong>Say</strong> {stage.cue}
            </Text>
            <Text c="dimmed">{stage.why}</Text>
            <Text size="sm" mt="xs">
              Loads: {stage.load}
            </Text>
            {stage.gates.length > 0 ? (
              <List size="sm">
                {stage.gates.map((gate) => (
                  <ListItem key={gate}>{gate}</ListItem>
                ))}
              </List>
            ) : (
              <Text size="sm">Nothing to prove first.</Text>
            )}
          </section>
        ))}
      </Stack>
    </>
  )
}
