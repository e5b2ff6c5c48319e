import { Group, List, ListItem, Stack, Text, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { familyFrom, familyNames, stageCards } from '@/features/library/queries'
import { PageHead } from '@/ui/page-head'
import { TextLink } from '@/ui/text-link'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Library' }

export default page<{ searchParams: Promise<{ family?: string }> }>(async (ctx, { searchParams }) => {
  const family = familyFrom((await searchParams).family)
  return (
    <>
      <PageHead
        title="What does each step ask?"
        lead="What to do, what to look for, the way out, and what must be shown first."
      />
      <Group component="nav" aria-label="Families" mb="lg" gap="lg">
        {familyNames().map(([code, name]) => (
          <TextLink
            key={code}
            href={`/library?family=${code}`}
            fw={code === family ? 700 : 400}
            underline={code === family ? 'always' : 'hover'}
            aria-current={code === family ? 'page' : undefined}
          >
            {name}
          </TextLink>
        ))}
      </Group>
      <Stack>
        {stageCards(ctx, family).map((stage) => (
          <section className="card" key={stage.id} aria-label={stage.name}>
            <Title order={2} fz="xl">
              {stage.name}{' '}
              <Text span c="dimmed" fw={400}>
                {stage.sanskrit} {stage.id}, rung {stage.rung}
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
            <Text>
              <strong>Way out</strong> {stage.exits.join(', ')}
            </Text>
            <Text c="dimmed">{stage.why}</Text>
            <Text size="sm" mt="xs">
              Loads: {stage.load}. Often seen: {stage.faults.join(', ').toLowerCase()}.
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
})
