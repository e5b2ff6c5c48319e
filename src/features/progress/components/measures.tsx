import { Stack, Table, TableTbody, TableTd, TableTh, TableThead, TableTr, Text, Title } from '@mantine/core'
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
        <details open={ahead.length === 0}>
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
          <TableThead>
            <TableTr>
              <TableTh>Day</TableTh>
              <TableTh>{sided ? 'Weaker side' : 'Result'}</TableTh>
              {sided ? <TableTh>Left · right</TableTh> : null}
              <TableTh>Counts</TableTh>
            </TableTr>
          </TableThead>
          <TableTbody>
            {rows.map((r) => (
              <TableTr key={r.dayLabel}>
                <TableTd>{r.dayLabel}</TableTd>
                <TableTd>{r.value}</TableTd>
                {sided ? <TableTd>{r.sides}</TableTd> : null}
                <TableTd>{r.counts}</TableTd>
              </TableTr>
            ))}
          </TableTbody>
        </Table>
      </div>
    </section>
  )
}
