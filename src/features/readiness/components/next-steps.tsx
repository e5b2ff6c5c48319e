import { List, ListItem, Stack, Text, Title } from '@mantine/core'
import type { NextSteps as Steps } from '../next-steps-queries'
import { DrillCards } from './drill-cards'

/** How it is going, what to drill until then, and what to do about faults. */
export function NextSteps({ next }: { next: Steps }) {
  const parts = [
    { title: 'On the way tonight', lines: next.tonight },
    { title: 'No drill for it', lines: next.undrilled },
    { title: 'At this rate', lines: [...next.forecasts, ...next.kicks] },
    { title: 'Sides', lines: next.sides },
    { title: 'Props', lines: next.props },
  ].filter((p) => p.lines.length > 0)
  if (parts.length === 0 && next.faults.length === 0 && next.drills.length === 0) return null
  return (
    <Stack gap="sm" role="region" aria-label="Next steps">
      {next.drills.length === 0 ? null : (
        <div>
          <Title order={3} fz="lg" mb={4}>
            Until then
          </Title>
          <DrillCards drills={next.drills} />
        </div>
      )}
      {parts.map((p) => (
        <div key={p.title}>
          <Title order={3}>{p.title}</Title>
          <List>
            {p.lines.map((line) => (
              <ListItem key={line}>{line}</ListItem>
            ))}
          </List>
        </div>
      ))}
      {next.faults.map((fault) => (
        <div key={fault.name}>
          <Title order={3}>{fault.name}</Title>
          <Text>{fault.text}</Text>
        </div>
      ))}
    </Stack>
  )
}
