import { Stack, Table, Text, Title } from '@mantine/core'
import type { MeasureView } from '../person-queries'
import { LazyMeasureChart } from './lazy-measure-chart'
import classes from './progress.module.css'

/** Each measure as a line and as a table, what is asked next first. */
export function Measures({ measures }: { measures: readonly MeasureView[] }) {
  if (measures.length === 0)
    return <Text c="dimmed">A measure shows here once it was taken on two days. Record a check first.</Text>
  const [ahead, behind] = [measures.filter((m) => m.asked !== ''), measures.filter((m) => m.asked === '')]
  return (
    <Stack>
      {ahead.map((m) => (
        <MeasureCard key={m.id} measure={m} />
      ))}
      {behind.length === 0 ? null : (
        <details>
          <summary>{behind.length} that nothing ahead asks for</summary>
          <Stack mt="sm">
            {behind.map((m) => (
              <MeasureCard key={m.id} measure={m} />
            ))}
          </Stack>
        </details>
      )}
    </Stack>
  )
}

function MeasureCard({ measure }: { measure: MeasureView }) {
  const { name, asked, forecast, gap, rows } = measure
  const sided = rows.some((r) => r.sides !== '')
  return (
    <section className="card" aria-label={name}>
      <Title order={3} fz="lg">
        {name}
      </Title>
      {asked === '' ? null : <Text>Asked next: {asked}.</Text>}
      {forecast === '' ? null : <Text fw={600}>{forecast}</Text>}
      {gap === '' ? null : <Text fw={600}>{gap}</Text>}
      <div className={classes.beside}>
        <LazyMeasureChart measure={measure} />
        <Table verticalSpacing={2} aria-label={`${name}, day by day`}>
          <Table.Thead>
            <Table.Tr>
              <Table.Th>Day</Table.Th>
              <Table.Th>{sided ? 'Weaker side' : 'Result'}</Table.Th>
              {sided ? <Table.Th>Left · right</Table.Th> : null}
              <Table.Th>Counts</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {rows.map((r) => (
              <Table.Tr key={r.dayLabel}>
                <Table.Td>{r.dayLabel}</Table.Td>
                <Table.Td>{r.value}</Table.Td>
                {sided ? <Table.Td>{r.sides}</Table.Td> : null}
                <Table.Td>{r.counts}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </div>
    </section>
  )
}
