import { Text } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { Changes } from '@/features/teaching/components/changes'
import { changesOf } from '@/features/teaching/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'What changed' }

export default page<{ params: Promise<{ id: string }> }>(async (ctx, { params }) => {
  const { id } = await params
  const data = changesOf(ctx, id)
  if (!data) notFound()
  return (
    <>
      <PageHead title="What changed, and why?" lead={`${data.title}, ${data.dayLabel}`}>
        <LinkButton href="/readiness" variant="default">
          Everybody’s readiness
        </LinkButton>
      </PageHead>
      {data.ended ? <Changes changes={data.changes} /> : <Text>This class is not over yet.</Text>}
    </>
  )
})
