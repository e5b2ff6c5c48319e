import { Group, Stack, Text, Title } from '@mantine/core'
import { LinkButton } from '@/ui/link-button'
import { TextLink } from '@/ui/text-link'
import type { SeriesView, WeekView } from '../queries'
import { WeekFocus } from './week-focus'

const STATE: Readonly<Record<WeekView['state'], string>> = {
  past: 'past',
  now: 'this week',
  'to-come': 'to come',
}

/** The weeks of a series, each with what it is about, its classes and what moved. */
export function SeriesWeeks({ view }: { view: SeriesView }) {
  return (
    <Stack gap="sm">
      {view.weeks.map((week) => (
        <section key={week.at} className="card" aria-label={`Week ${week.at + 1}`}>
          <Stack gap="xs">
            <Group justify="space-between">
              <Title order={2}>
                Week {week.at + 1}, {week.when}
              </Title>
              <Text c="dimmed">{STATE[week.state]}</Text>
            </Group>
            {week.state === 'past' ? (
              <Text>About: {week.focus ?? 'the step itself'}</Text>
            ) : (
              <Group gap="xs">
                <Text>About</Text>
                <WeekFocus
                  seriesId={view.id}
                  week={week.at}
                  value={view.focus[week.at] ?? null}
                  checks={view.checks}
                />
              </Group>
            )}
            <Classes week={week} groupId={view.groupId} />
            <MovedList week={week} />
          </Stack>
        </section>
      ))}
    </Stack>
  )
}

function Classes({ week, groupId }: { week: WeekView; groupId: string }) {
  if (week.classes.length > 0)
    return (
      <Group gap="md">
        {week.classes.map((c) => (
          <TextLink key={c.id} href={`/plans/${c.id}`}>
            {c.label}
          </TextLink>
        ))}
      </Group>
    )
  if (week.state === 'past') return <Text c="dimmed">No class was planned in this week.</Text>
  return (
    <Group>
      <LinkButton href={`/plans/new?group=${groupId}`}>Plan its class</LinkButton>
    </Group>
  )
}

function MovedList({ week }: { week: WeekView }) {
  if (week.state === 'to-come') return null
  if (week.moved.length === 0)
    return (
      <Text c="dimmed">
        {week.state === 'past' ? 'Nothing moved that was recorded.' : 'Nothing has moved yet.'}
      </Text>
    )
  return (
    <ul aria-label={`What moved in week ${week.at + 1}`} style={{ margin: 0, paddingLeft: '1.2rem' }}>
      {week.moved.map((m) => (
        <li key={m.id}>
          <TextLink href={`/progress/${m.id}`}>{m.name}</TextLink>: {m.text}
        </li>
      ))}
    </ul>
  )
}
