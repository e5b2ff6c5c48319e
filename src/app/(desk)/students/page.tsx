import { Stack, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { AddStudents } from '@/features/students/components/add-students'
import { StudentTable } from '@/features/students/components/student-table'
import { studentsShown } from '@/features/students/queries'
import { GroupList } from '@/features/groups/components/group-list'
import { groupViews } from '@/features/groups/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { page, pageAsked } from '@/features/page'
import { Earlier } from '@/ui/earlier'

export const metadata: Metadata = { title: 'Students' }

export default page<{ searchParams: Promise<{ page?: string }> }>(async (ctx, { searchParams }) => {
  const at = pageAsked((await searchParams).page)
  const { shown, archived, all, pages } = studentsShown(ctx, at)
  const { units } = ctx.studio
  return (
    <Stack gap="xl">
      <PageHead
        title="Who is coming?"
        lead={all === 0 ? 'Nobody yet. Paste the names of your class to begin.' : undefined}
      >
        <LinkButton href="/students/card" variant="default">
          Printed health card
        </LinkButton>
      </PageHead>
      <StudentTable rows={shown} units={units} caption={`${all} people`} />
      <Earlier
        links={[
          at > 1 ? ['Earlier in the alphabet', `/students?page=${at - 1}`] : null,
          at < pages ? ['Later in the alphabet', `/students?page=${at + 1}`] : null,
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
          <StudentTable rows={archived} units={units} caption="Kept, but not offered for classes" />
        </section>
      ) : null}
    </Stack>
  )
})
