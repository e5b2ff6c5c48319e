import { List, ListItem, Text, Title } from '@mantine/core'
import type { LimitsView } from '../queries'

/** Limits today, what is closed and what to do instead, stage by stage on request. */
export function LimitsPanel({ view }: { view: LimitsView }) {
  return (
    <>
      <section aria-labelledby="limits">
        <Title order={2} id="limits" fz="xl" mb="xs">
          Limits today
        </Title>
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
      </section>
      {view.tonight.length === 0 ? null : (
        <section aria-labelledby="tonight">
          <Title order={2} id="tonight" fz="xl" mb="xs">
            Tonight only
          </Title>
          <List>
            {view.tonight.map((line) => (
              <ListItem key={line}>{line}</ListItem>
            ))}
          </List>
          <Text c="dimmed" mt={4}>
            From the check-in. The standing stays as it is, and tomorrow this is gone.
          </Text>
        </section>
      )}
      {view.closed.length === 0 ? null : (
        <section aria-labelledby="instead">
          <Title order={2} id="instead" fz="xl" mb="xs">
            From where it closes, and what to do instead
          </Title>
          <List>
            {view.closed.map((line) => (
              <ListItem key={line.stage}>
                <strong>{line.stage}</strong>. {line.text}
              </ListItem>
            ))}
          </List>
        </section>
      )}
      {view.stages.length === 0 ? null : (
        <details>
          <summary>
            Every stage it acts on:{' '}
            {view.stages.map((s) => `${s.names.length} ${s.word.toLowerCase()}`).join(' · ')}
          </summary>
          {view.stages.map((group) => (
            <section key={group.word} aria-label={group.word}>
              <Title order={3} fz="md" mt="sm">
                {group.word}
              </Title>
              <Text>{group.names.join(' · ')}</Text>
            </section>
          ))}
        </details>
      )}
    </>
  )
}
