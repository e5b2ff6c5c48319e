import {
  Table,
  TableScrollContainer,
  TableTbody,
  TableTd,
  TableTh,
  TableThead,
  TableTr,
  Text,
  Title,
} from '@mantine/core'
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
      <TableScrollContainer minWidth={320}>
        <Table verticalSpacing={2}>
          <TableThead>
            <TableTr>
              <TableTh>Week of</TableTh>
              <TableTh>Tries</TableTh>
              {joints.map((joint) => (
                <TableTh key={joint} tt="capitalize">
                  {joint}
                </TableTh>
              ))}
            </TableTr>
          </TableThead>
          <TableTbody>
            {weeks.map((w) => (
              <TableTr key={w.label} title={w.grew === '' ? undefined : w.grew}>
                <TableTd>{w.label}</TableTd>
                <TableTd>{w.tries}</TableTd>
                {w.joints.map((m, i) => (
                  <TableTd key={joints[i]}>{m}</TableTd>
                ))}
              </TableTr>
            ))}
          </TableTbody>
        </Table>
      </TableScrollContainer>
      <Text size="sm" c="dimmed">
        Seconds as they were recorded; a clean try without seconds counts its usual dose.
      </Text>
    </section>
  )
}
