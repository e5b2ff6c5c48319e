import {
  Button,
  Group,
  NativeSelect,
  Table,
  TableScrollContainer,
  TableTbody,
  TableTd,
  TableTh,
  TableThead,
  TableTr,
  Text,
  TextInput,
} from '@mantine/core'
import { Earlier } from '@/ui/earlier'
import { TextLink } from '@/ui/text-link'
import { queryOf } from '../log-asked'
import type { Logbook as Data } from '../log-queries'

const ANY = { value: '', label: 'any' }

/** The log: a form that needs no script, and what it finds. */
export function Logbook({ log }: { log: Data }) {
  const { asked, lines, page, more } = log
  const query = queryOf(asked)
  const at = (to: number): string =>
    `/progress/log?${new URLSearchParams({ ...query, page: String(to) }).toString()}`
  return (
    <>
      <form method="get" aria-label="What to look for">
        <Group align="flex-end">
          {(
            [
              ['who', 'Who', log.people],
              ['step', 'Step', log.stages],
              ['fault', 'Fault', log.faults],
              ['setup', 'Setup and props', log.setups],
            ] as const
          ).map(([name, label, of]) => (
            <NativeSelect
              key={name}
              name={name}
              label={label}
              data={[ANY, ...of]}
              defaultValue={query[name] ?? ''}
            />
          ))}
          <TextInput type="date" name="from" label="From" defaultValue={query.from ?? ''} />
          <TextInput type="date" name="to" label="To" defaultValue={query.to ?? ''} />
          <Button variant="filled" type="submit">
            Look
          </Button>
        </Group>
      </form>
      {lines.length === 0 ? <Text mt="md">Nothing recorded that fits.</Text> : null}
      {lines.length > 0 ? (
        <TableScrollContainer minWidth={640}>
          <Table verticalSpacing="xs" mt="md" aria-label="Tries">
            <TableThead>
              <TableTr>
                <TableTh scope="col">Day</TableTh>
                <TableTh scope="col">Who</TableTh>
                <TableTh scope="col">Step</TableTh>
                <TableTh scope="col">What came of it</TableTh>
                <TableTh scope="col">With</TableTh>
              </TableTr>
            </TableThead>
            <TableTbody>
              {lines.map((line) => (
                <TableTr key={line.id}>
                  <TableTd>
                    {line.classId === null ? (
                      line.day
                    ) : (
                      <TextLink href={`/teach/${line.classId}/after`}>{line.day}</TextLink>
                    )}
                  </TableTd>
                  <TableTd>
                    <TextLink href={`/readiness/${line.studentId}`}>{line.name}</TextLink>
                  </TableTd>
                  <TableTd>{line.what}</TableTd>
                  <TableTd>{line.seen}</TableTd>
                  <TableTd>{line.more}</TableTd>
                </TableTr>
              ))}
            </TableTbody>
          </Table>
        </TableScrollContainer>
      ) : null}
      <Earlier
        links={[page > 1 ? ['Later ones', at(page - 1)] : null, more ? ['Earlier ones', at(page + 1)] : null]}
      />
    </>
  )
}
