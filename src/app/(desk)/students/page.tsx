import { Stack } from '@mantine/core'
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
import { Section } from '@/ui/section'

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
        <LinkButton href="/students/card">Printed health card</LinkButton>
      </PageHead>
      <StudentTable rows={shown} units={units} caption={`${all} people`} />
      <Earlier
        links={[
          at > 1 ? ['Earlier in the alphabet', `/students?page=${at - 1}`] : null,
          at < pages ? ['Later in the alphabet', `/students?page=${at + 1}`] : null,
        ]}
      />
      <Section title="Add people" fz="xl" mb="sm">
        <AddStudents />
      </Section>
      <Section title="Groups" fz="xl" mb="sm">
        <GroupList {...groupViews(ctx)} />
      </Section>
      {archived.length > 0 ? (
        <Section title="Archived" fz="xl">
          <StudentTable rows={archived} units={units} caption="Kept, but not offered for classes" />
        </Section>
      ) : null}
    </Stack>
  )
})
