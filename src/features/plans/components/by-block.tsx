import { Table, TableScrollContainer, TableTbody, TableTd, TableTh, TableThead, TableTr } from '@mantine/core'
import type { ReactNode } from 'react'
import type { BlockView } from '../plan-queries'

type Props = {
  label: string
  minWidth: number
  /** What the rows are. */
  of: string
  works: readonly BlockView[]
  rows: readonly { key: string; name: string; cell: (block: BlockView) => ReactNode }[]
}

/** A class as a table: a column a working block, a row a person or a place. */
export function ByBlock({ label, minWidth, of, works, rows }: Props) {
  return (
    <TableScrollContainer minWidth={minWidth}>
      <Table verticalSpacing="sm" aria-label={label}>
        <TableThead>
          <TableTr>
            <TableTh scope="col">{of}</TableTh>
            {works.map((b) => (
              <TableTh scope="col" key={b.purpose}>
                {b.word}, {b.at}
              </TableTh>
            ))}
          </TableTr>
        </TableThead>
        <TableTbody>
          {rows.map(({ key, name, cell }) => (
            <TableTr key={key}>
              <TableTh scope="row">{name}</TableTh>
              {works.map((b) => (
                <TableTd key={b.purpose} style={{ verticalAlign: 'top' }}>
                  {cell(b)}
                </TableTd>
              ))}
            </TableTr>
          ))}
        </TableTbody>
      </Table>
    </TableScrollContainer>
  )
}
