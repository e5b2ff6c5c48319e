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
import { StatusMark } from '@/ui/status-mark'
import type { BoardRow } from '../queries'
import { TextLink } from '@/ui/text-link'

/** Everybody in the forearm family, nearest to the next stage first. */
export function Board({ rows }: { rows: readonly BoardRow[] }) {
  return (
    <TableScrollContainer minWidth={340}>
      <Table verticalSpacing="sm" highlightOnHover>
        <TableCaption>Forearm stand</TableCaption>
        <TableThead>
          <TableTr>
            <TableTh scope="col">Name</TableTh>
            <TableTh scope="col">Mark</TableTh>
            <TableTh scope="col">Next step</TableTh>
            <TableTh scope="col" visibleFrom="md">
              Where it stands
            </TableTh>
          </TableTr>
        </TableThead>
        <TableTbody>
          {rows.map(({ id, name, decision }) => (
            <TableTr key={id}>
              <TableTd>
                <TextLink href={`/readiness/${id}`} fw={600}>
                  {name}
                </TextLink>
              </TableTd>
              <TableTd>
                <StatusMark outcome={decision.outcome} />
              </TableTd>
              <TableTd>{decision.target?.name ?? 'Top of the ladder'}</TableTd>
              <TableTd visibleFrom="md">
                <Text size="sm" lineClamp={2}>
                  {decision.summary}
                </Text>
              </TableTd>
            </TableTr>
          ))}
        </TableTbody>
      </Table>
    </TableScrollContainer>
  )
}
