import {
  Table,
  TableCaption,
  TableScrollContainer,
  TableTbody,
  TableTd,
  TableTh,
  TableThead,
  TableTr,
  Text,
} from '@mantine/core'
import { formatStature, type LengthUnit } from '@/core/units'
import { count } from '@/core/words/number'
import { StatusMark } from '@/ui/status-mark'
import { TextLink } from '@/ui/text-link'
import type { WorkedOut } from '../queries'
import classes from './student-table.module.css'

export type StudentRow = {
  id: string
  name: string
  statureCm: number | null
  measuredCount: number
  screening: string
} & Pick<WorkedOut, 'nearest' | 'closed' | 'lastSeen' | 'tape'>

/** Everybody, one a line. */
export function StudentTable({
  rows,
  units,
  caption,
}: {
  rows: readonly StudentRow[]
  units: LengthUnit
  caption: string
}) {
  if (rows.length === 0) return null
  return (
    <TableScrollContainer minWidth={720}>
      <Table verticalSpacing={6} highlightOnHover>
        <TableCaption>{caption}</TableCaption>
        <TableThead>
          <TableTr>
            <TableTh scope="col">Name</TableTh>
            <TableTh scope="col">Nearest step</TableTh>
            <TableTh scope="col">Closed for now</TableTh>
            <TableTh scope="col">Last seen</TableTh>
            <TableTh scope="col">Height</TableTh>
            <TableTh scope="col">Health questions</TableTh>
          </TableTr>
        </TableThead>
        <TableTbody>
          {rows.map((row) => (
            <TableTr key={row.id}>
              <TableTd>
                <TextLink href={`/students/${row.id}`} fw={600}>
                  {row.name}
                </TextLink>
              </TableTd>
              <TableTd>
                {row.nearest ? (
                  <TextLink
                    href={row.nearest.href}
                    c="var(--ink)"
                    underline="never"
                    className={classes.nearest}
                  >
                    <StatusMark outcome={row.nearest.mark} size={18} />
                    <span>
                      {row.nearest.next}
                      <small>{row.nearest.family}</small>
                    </span>
                  </TextLink>
                ) : null}
              </TableTd>
              <TableTd>{row.closed.join(', ')}</TableTd>
              <TableTd className={classes.short}>
                {row.lastSeen === '' ? <Text c="dimmed">not yet</Text> : row.lastSeen}
              </TableTd>
              <TableTd>
                {row.statureCm === null ? (
                  <Text c="dimmed">not yet</Text>
                ) : (
                  `${formatStature(row.statureCm, units)}${row.measuredCount === 0 ? '' : `, ${count(row.measuredCount, 'length')} measured`}`
                )}
                {row.tape === '' ? null : (
                  <Text size="xs" c="dimmed">
                    by tape next: {row.tape}
                  </Text>
                )}
              </TableTd>
              <TableTd>
                <TextLink href={`/students/${row.id}/health`}>{row.screening}</TextLink>
              </TableTd>
            </TableTr>
          ))}
        </TableTbody>
      </Table>
    </TableScrollContainer>
  )
}
