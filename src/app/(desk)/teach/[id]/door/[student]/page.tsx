import { Stack } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { AskAloud } from '@/features/health/components/check-in-page'
import { dailyTicks } from '@/features/health/queries'
import { studentProfile } from '@/features/students/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Check-in' }

export default page<{ params: Promise<{ id: string; student: string }> }>(async (ctx, { params }) => {
  const { id, student } = await params
  const person = studentProfile(ctx, student)
  if (!person) notFound()
  const back = `/teach/${id}/door`
  return (
    <Stack maw={760}>
      <PageHead title={`How is ${person.name.split(' ')[0] ?? ''} tonight?`}>
        <LinkButton href={back}>The door</LinkButton>
      </PageHead>
      <AskAloud studentId={student} daily={dailyTicks(ctx)} back={back} />
    </Stack>
  )
})
