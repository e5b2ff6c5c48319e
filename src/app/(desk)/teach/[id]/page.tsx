import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { TeachScreen } from '@/features/teaching/components/teach-screen'
import { teachData } from '@/features/teaching/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Teach' }

export default page<{ params: Promise<{ id: string }> }>(async (ctx, { params }) => {
  const { id } = await params
  const data = teachData(ctx, id)
  if (!data) notFound()
  return (
    <>
      <PageHead title={data.title}>
        <LinkButton href={`/teach/${id}/door`}>Who came</LinkButton>
        <LinkButton href={`/teach/${id}/board`}>Room display</LinkButton>
      </PageHead>
      <TeachScreen key={id} data={data} />
      <SafetyLine />
    </>
  )
})
