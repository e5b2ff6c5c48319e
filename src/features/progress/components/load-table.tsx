import { Table, Text, Title } from '@mantine/core'
import type { PersonProgress } from '../person-queries'

/** What each week asked: tries and minutes of hard work by joint, and where it grew too fast. */
export function LoadTable({ weeks, joints, tooSoon }: Pick<PersonProgress, 'weeks' | 'joints' | 'tooSoon'>) {
  const grew = weeks.at(-1)?.grew ?? ''
  return (
    <section className="card" aria-label="Load by week">
      <Title order={2} fz="lg">
        Load by week
      </Title>
      {grew === '' ? null : <Text fw={600}>{grew}</Text>}
      {tooSoon.length === 0 ? null : (
        <Text>
          Hard for the arms two days running, up to {tooSoon.join(' and ')}: leave 48 hours between.
        </Text>
      )}
      <Table.ScrollContainer minWidth={320}>
        <Table verticalSpacing={2}>
          <Table.Thead>
            <Table.Tr>
              <Table.Th>Week of</Table.Th>
              <Table.Th>Tries</Table.Th>
              {joints.map((joint) => (
                <Table.Th key={joint}>{joint}</Table.Th>
              ))}
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {weeks.map((w) => (
              <Table.Tr key={w.label} title={w.grew === '' ? undefined : w.grew}>
                <Table.Td>{w.label}</Table.Td>
                <Table.Td>{w.tries}</Table.Td>
                {w.joints.map((m, i) => (
                  <Table.Td key={joints[i]}>{m}</Table.Td>
                ))}
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </Table.ScrollContainer>
      <Text size="sm" c="dimmed">
        Seconds as they were recorded; a clean try without seconds counts its usual dose.
      </Text>
    </section>
  )
}
