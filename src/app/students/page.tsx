import { Stack, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { AddStudents } from '@/features/students/components/add-students'
import { StudentTable } from '@/features/students/components/student-table'
import { screeningStates, studentLists } from '@/features/students/queries'
import { GroupList } from '@/features/groups/components/group-list'
import { groupViews } from '@/features/groups/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Students' }

const SCREENING = {
  shut: 'cannot be read',
  'not-asked': 'not asked',
  'ask-again': 'ask again',
  open: 'some open',
  soon: 'ask again soon',
  answered: 'answered',
} as const

export default page((ctx) => {
  const { current, archived } = studentLists(ctx)
  const { units } = ctx.studio
  const states = screeningStates(
    ctx,
    [...current, ...archived].map((s) => s.id),
  )
  const rows = (list: typeof current) =>
    list.map((s) => ({
      ...s,
      measuredCount: Object.keys(s.measured).length,
      screening: SCREENING[states.get(s.id) ?? 'not-asked'],
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
      <StudentTable rows={rows(current)} units={units} caption={`${current.length} people`} />
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
