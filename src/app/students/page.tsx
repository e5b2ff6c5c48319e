import { Stack, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { AddStudents } from '@/features/students/components/add-students'
import { StudentTable } from '@/features/students/components/student-table'
import { studentLists } from '@/features/students/queries'
import { studioSettings } from '@/features/studio/queries'
import { PageHead } from '@/ui/page-head'

export const metadata: Metadata = { title: 'Students' }

export default function StudentsPage() {
  const { current, archived } = studentLists()
  const { units } = studioSettings()
  const rows = (list: typeof current) =>
    list.map((s) => ({ ...s, measuredCount: Object.keys(s.measured).length }))
  return (
    <Stack gap="xl">
      <PageHead
        title="Who is coming?"
        lead={current.length === 0 ? 'Nobody yet. Paste the names of your class to begin.' : undefined}
      />
      <StudentTable rows={rows(current)} units={units} caption={`${current.length} people`} />
      <section aria-labelledby="add-heading">
        <Title order={2} id="add-heading" fz="xl" mb="sm">
          Add people
        </Title>
        <AddStudents />
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
}
