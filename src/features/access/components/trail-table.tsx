import { Table, TableTbody, TableTd, TableTh, TableThead, TableTr, Text } from '@mantine/core'
import type { TrailView } from '../queries'

/** Deeds, the newest first. */
export function TrailTable({ lines, withAbout }: { lines: readonly TrailView[]; withAbout: boolean }) {
  if (lines.length === 0) return <Text c="dimmed">Nothing yet.</Text>
  return (
    <Table>
      <TableThead>
        <TableTr>
          <TableTh>When</TableTh>
          <TableTh>Who did what</TableTh>
          {withAbout ? <TableTh>About</TableTh> : null}
        </TableTr>
      </TableThead>
      <TableTbody>
        {lines.map(({ id, at, text, about }) => (
          <TableTr key={id}>
            <TableTd style={{ whiteSpace: 'nowrap' }}>{at}</TableTd>
            <TableTd>{text}</TableTd>
            {withAbout ? <TableTd>{about}</TableTd> : null}
          </TableTr>
        ))}
      </TableTbody>
    </Table>
  )
}
