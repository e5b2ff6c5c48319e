import { List, ListItem, Text } from '@mantine/core'
import type { LimitsView } from '../queries'
import { Section } from '@/ui/section'

/** Limits today, what is closed and what to do instead, stage by stage on request. */
export function LimitsPanel({ view }: { view: LimitsView }) {
  return (
    <>
      <Section title="Limits today" fz="xl" mb="xs">
        <Text mb="xs">{view.state}</Text>
        {view.hidden ? (
          <Text>Hidden on this screen. Open the health notes, or press P, to see limits again.</Text>
        ) : view.limits.length === 0 ? (
          <Text c="dimmed">Nothing is limited by what is on record.</Text>
        ) : (
          <List>
            {view.limits.map((limit) => (
              <ListItem key={limit.word}>
                <strong>{limit.word}</strong>: {limit.text}
              </ListItem>
            ))}
          </List>
        )}
      </Section>
      {view.tonight.length === 0 ? null : (
        <Section title="Tonight only" fz="xl" mb="xs">
          <List>
            {view.tonight.map((line) => (
              <ListItem key={line}>{line}</ListItem>
            ))}
          </List>
          <Text c="dimmed" mt={4}>
            From the check-in. The standing stays as it is, and tomorrow this is gone.
          </Text>
        </Section>
      )}
      {view.closed.length === 0 ? null : (
        <Section title="From where it closes, and what to do instead" fz="xl" mb="xs">
          <List>
            {view.closed.map((line) => (
              <ListItem key={line.stage}>
                <strong>{line.stage}</strong>. {line.text}
              </ListItem>
            ))}
          </List>
        </Section>
      )}
      {view.stages.length === 0 ? null : (
        <details>
          <summary>
            Every stage it acts on:{' '}
            {view.stages.map((s) => `${s.names.length} ${s.word.toLowerCase()}`).join(' · ')}
          </summary>
          {view.stages.map((group) => (
            <Section key={group.word} title={group.word} order={3} fz="md" mt="sm">
              <Text>{group.names.join(' · ')}</Text>
            </Section>
          ))}
        </details>
      )}
    </>
  )
}
