import {
  Table,
  TableCaption,
  TableScrollContainer,
  TableTbody,
  TableTd,
  TableTh,
  TableThead,
  TableTr,
} from '@mantine/core'
import type { Metadata } from 'next'
import { classSummaries } from '@/features/plans/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { TextLink } from '@/ui/text-link'
import { dayAsked, page } from '@/features/page'
import { Earlier } from '@/ui/earlier'

export const metadata: Metadata = { title: 'Plans' }

export default page<{ searchParams: Promise<{ before?: string | string[] }> }>(
  async (ctx, { searchParams }) => {
    const before = dayAsked((await searchParams).before)
    const { classes, earlier } = classSummaries(ctx, before)
    return (
      <>
        <PageHead title="What happens when?" lead={classes.length === 0 ? 'No class yet.' : undefined}>
          <LinkButton href="/plans/new">New class</LinkButton>
        </PageHead>
        {classes.length === 0 ? null : (
          <TableScrollContainer minWidth={420}>
            <Table verticalSpacing="sm" highlightOnHover>
              <TableCaption>Newest first</TableCaption>
              <TableThead>
                <TableTr>
                  <TableTh scope="col">Class</TableTh>
                  <TableTh scope="col">Day</TableTh>
                  <TableTh scope="col">People</TableTh>
                  <TableTh scope="col">Plan</TableTh>
                </TableTr>
              </TableThead>
              <TableTbody>
                {classes.map((c) => (
                  <TableTr key={c.id}>
                    <TableTd>
                      <TextLink href={`/plans/${c.id}`} fw={600}>
                        {c.title}
                      </TextLink>
                    </TableTd>
                    <TableTd>
                      {c.dayLabel}, {c.startTime}
                    </TableTd>
                    <TableTd>{c.people}</TableTd>
                    <TableTd>{c.planned ? 'planned' : c.past ? 'not kept' : 'to be made'}</TableTd>
                  </TableTr>
                ))}
              </TableTbody>
            </Table>
          </TableScrollContainer>
        )}
        <Earlier links={[earlier === null ? null : ['Earlier classes', `/plans?before=${earlier}`]]} />
      </>
    )
  },
)
