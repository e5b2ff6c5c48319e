import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { CardEntry } from '@/features/readiness/components/card-entry'
import { cardOf } from '@/features/readiness/round-queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Copy a check card' }

export default page<{
  params: Promise<{ id: string }>
  searchParams: Promise<{ checks?: string }>
}>(async (ctx, { params, searchParams }) => {
  const data = cardOf(ctx, (await params).id, (await searchParams).checks)
  if (!data) notFound()
  return (
    <>
      <PageHead title="What does the card say?" lead={`${data.title}, ${data.dayLabel}: a cell a result.`}>
        <LinkButton href={`/readiness/round/${data.classId}`}>Check round</LinkButton>
      </PageHead>
      <CardEntry key={data.checks.map((c) => c.id).join()} card={data} />
    </>
  )
})
