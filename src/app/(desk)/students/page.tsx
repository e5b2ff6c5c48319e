import { Stack, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { AddStudents } from '@/features/students/components/add-students'
import { StudentTable } from '@/features/students/components/student-table'
import { workedOut, studentLists } from '@/features/students/queries'
import { GroupList } from '@/features/groups/components/group-list'
import { groupViews } from '@/features/groups/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { page, pageAsked } from '@/features/page'
import { Earlier } from '@/ui/earlier'

export const metadata: Metadata = { title: 'Students' }

const SCREENING = {
  shut: 'cannot be read',
  'not-asked': 'not asked',
  'ask-again': 'ask again',
  open: 'some open',
  soon: 'ask again soon',
  answered: 'answered',
} as const

/** People on a page of the list. */
const ROWS_A_PAGE = 60

export default page<{ searchParams: Promise<{ page?: string }> }>(async (ctx, { searchParams }) => {
  const at = pageAsked((await searchParams).page)
  const { current, archived } = studentLists(ctx)
  const shown = current.slice((at - 1) * ROWS_A_PAGE, at * ROWS_A_PAGE)
  const { units } = ctx.studio
  const known = workedOut(ctx, [...shown, ...archived])
  const rows = (list: typeof current) =>
    list.map((s) => ({
      id: s.id,
      name: s.name,
      statureCm: s.statureCm,
      measuredCount: Object.keys(s.measured).length,
      ...(known.get(s.id) ?? { nearest: null, closed: [], lastSeen: '', tape: '' }),
      screening: SCREENING[known.get(s.id)?.screening ?? 'not-asked'],
    }))
  return (
    <Stack gap="xl">
      <PageHead
        title="Who is coming?"
        lead={current.length === 0 ? 'Nobody yet. Paste the names of your class to begin.' : undefined}
      >
        <LinkButton href="/students/card" variant="default">
          Printed health card
        </LinkButton>
      </PageHead>
      <StudentTable rows={rows(shown)} units={units} caption={`${current.length} people`} />
      <Earlier
        links={[
          at > 1 ? ['Earlier in the alphabet', `/students?page=${at - 1}`] : null,
          at * ROWS_A_PAGE < current.length ? ['Later in the alphabet', `/students?page=${at + 1}`] : null,
        ]}
      />
      <section aria-labelledby="add-heading">
        <Title order={2} id="add-heading" fz="xl" mb="sm">
          Add people
        </Title>
        <AddStudents />
      </section>
      <section aria-labelledby="groups-heading">
        <Title order={2} id="groups-heading" fz="xl" mb="sm">
          Groups
        </Title>
        <GroupList {...groupViews(ctx)} />
      </section>
      {archived.length > 0 ? (
        <section aria-labelledby="archived-heading">
          <Title order={2} id="archived-heading" fz="xl">
            Archived
          </Title>
          <StudentTable rows={rows(archived)} units={units} caption="Kept, but not offered for classes" />
        </section>
      ) : null}
    </Stack>
  )
})
