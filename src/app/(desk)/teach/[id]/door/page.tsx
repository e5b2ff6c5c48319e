import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { DoorList } from '@/features/door/components/door-list'
import { doorData } from '@/features/door/queries'
import { BeginPass } from '@/features/health/components/begin-pass'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'At the door' }

export default page<{ params: Promise<{ id: string }> }>(async (ctx, { params }) => {
  const { id } = await params
  const data = doorData(ctx, id)
  if (!data) notFound()
  return (
    <>
      <PageHead title="Who is here?" lead={`${data.title}, ${data.dayLabel}: ${data.expected}.`}>
        <BeginPass classId={id} />
        <LinkButton href={`/teach/${id}`}>The class</LinkButton>
        <LinkButton href={`/plans/${id}`}>Plan</LinkButton>
      </PageHead>
      <DoorList data={data} />
      <SafetyLine />
    </>
  )
})
