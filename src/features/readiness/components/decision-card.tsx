import { Group, List, ListItem, Stack, Text, Title } from '@mantine/core'
import { StatusMark } from '@/ui/status-mark'
import type { DecisionView } from '../../desk/decision-view'
import { TextLink } from '@/ui/text-link'

/** A decision with everything it came from. */
export function DecisionCard({
  decision,
  studentId,
  tonight,
}: {
  decision: DecisionView
  studentId: string
  tonight: string
}) {
  // What is asked for stands above already.
  const rest = decision.reasons.filter((line) => !decision.missing.includes(line))
  const { outcome, target, standing, missing, wouldChange } = decision
  return (
    <section className="card" aria-label="Decision">
      <Stack gap="sm">
        <Group>
          <StatusMark outcome={outcome} size={32} />
          <Title order={2} fz="xl">
            {target ? target.name : 'Top of the ladder'}
          </Title>
        </Group>
        <Text>{standing ? `Stands at ${standing}.` : 'No standing yet.'}</Text>
        {decision.dose === '' ? null : (
          <Text>
            <strong>How much:</strong> {decision.dose}
          </Text>
        )}
        {tonight === '' ? null : <Text role="note">{tonight}</Text>}
        {wouldChange ? (
          <Text>
            <strong>The one thing that would change this:</strong> {wouldChange}
          </Text>
        ) : missing.length > 0 ? (
          <div>
            <Text fw={600}>Still asked for</Text>
            <List>
              {missing.map((line) => (
                <ListItem key={line}>{line}</ListItem>
              ))}
            </List>
          </div>
        ) : null}
        <div>
          <Text fw={600}>Why</Text>
          <List>
            {rest.map((line) => (
              <ListItem key={line}>{line}</ListItem>
            ))}
          </List>
        </div>
        {target?.setupId ? (
          <TextLink href={`/setups?student=${studentId}&setup=${target.setupId}`}>
            Measure the setup for this
          </TextLink>
        ) : null}
      </Stack>
    </section>
  )
}
