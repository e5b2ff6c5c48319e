import { Stack, Text } from '@mantine/core'
import table from '@/ui/rows.module.css'
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
    <section className={`card ${classes.measure ?? ''}`} aria-label={name}>
      <h3>{name}</h3>
      {asked === '' ? null : <p>Asked next: {asked}.</p>}
      {forecast === '' ? null : <p className={classes.strong}>{forecast}</p>}
      {gap === '' ? null : <p className={classes.strong}>{gap}</p>}
      <div className={classes.beside}>
        <LazyMeasureChart measure={measure} />
        <table className={table.rows} aria-label={`${name}, day by day`}>
          <thead>
            <tr>
              <th scope="col">Day</th>
              <th scope="col">{sided ? 'Weaker side' : 'Result'}</th>
              {sided ? <th scope="col">Left · right</th> : null}
              <th scope="col">Counts</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((r) => (
              <tr key={r.dayLabel}>
                <td>{r.dayLabel}</td>
                <td>{r.value}</td>
                {sided ? <td>{r.sides}</td> : null}
                <td>{r.counts}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  )
}
