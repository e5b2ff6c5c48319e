'use client'

// Drawn from its data on both sides: the drawn table would travel a second time as a tree.
import {
  Table,
  TableScrollContainer,
  TableTbody,
  TableTd,
  TableTh,
  TableThead,
  TableTr,
  Text,
} from '@mantine/core'
import { OUTCOME_WORD } from '@/core/words/outcome'
import { StatusMark } from '@/ui/status-mark'
import { TextLink } from '@/ui/text-link'
import type { BoardData } from '../board-queries'
import classes from './board.module.css'

/** Everybody in all six families, nearest to a next step first; each mark opens its reasons. */
export function Board({ families, rows }: Pick<BoardData, 'families' | 'rows'>) {
  return (
    <TableScrollContainer minWidth={900}>
      <Table verticalSpacing={6} highlightOnHover className={classes.board}>
        <TableThead>
          <TableTr>
            <TableTh scope="col">Name</TableTh>
            {families.map((f) => (
              <TableTh key={f.id} scope="col">
                {f.name}
              </TableTh>
            ))}
          </TableTr>
        </TableThead>
        <TableTbody>
          {rows.map((row) => (
            <TableTr key={row.id}>
              <TableTh scope="row">
                <TextLink href={`/readiness/${row.id}`} fw={600}>
                  {row.name}
                </TextLink>
                <Text fz="0.8rem" lh={1.25} c="dimmed" fw={400} lineClamp={3} miw={170} maw={260}>
                  {row.summary}
                </Text>
              </TableTh>
              {row.cells.map((cell) => (
                <TableTd key={cell.family}>
                  <a
                    className={classes.cell}
                    href={`/readiness/${row.id}?family=${cell.family}`}
                    aria-label={`${OUTCOME_WORD[cell.outcome]}: ${cell.next}`}
                  >
                    <StatusMark outcome={cell.outcome} size={30} />
                    <span className={classes.next}>{cell.next}</span>
                  </a>
                </TableTd>
              ))}
            </TableTr>
          ))}
        </TableTbody>
      </Table>
    </TableScrollContainer>
  )
}
