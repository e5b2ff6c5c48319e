import { Text } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { isPrivate } from '@/features/health/layer'
import { Changes } from '@/features/teaching/components/changes'
import { changesOf } from '@/features/teaching/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'

export const metadata: Metadata = { title: 'What changed' }

export default async function AfterPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const data = changesOf(id, await isPrivate())
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
}
