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
import { TextLink } from '@/ui/text-link'

export type StudentRow = {
  id: string
  name: string
  statureCm: number | null
  breathS: number
  measuredCount: number
  screening: string
}

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
    <TableScrollContainer minWidth={360}>
      <Table verticalSpacing="sm" highlightOnHover>
        <TableCaption>{caption}</TableCaption>
        <TableThead>
          <TableTr>
            <TableTh scope="col">Name</TableTh>
            <TableTh scope="col">Height</TableTh>
            <TableTh scope="col">Lengths measured</TableTh>
            <TableTh scope="col">Breath</TableTh>
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
                {row.statureCm === null ? (
                  <Text c="dimmed">not yet</Text>
                ) : (
                  formatStature(row.statureCm, units)
                )}
              </TableTd>
              <TableTd>{row.measuredCount === 0 ? 'all estimated' : row.measuredCount}</TableTd>
              <TableTd>{row.breathS} s</TableTd>
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
