import { Group } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { CheckRound } from '@/features/readiness/components/check-round'
import { roundData } from '@/features/readiness/round-queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Check round' }

export default page<{ params: Promise<{ id: string }> }>(async (ctx, { params }) => {
  const { id } = await params
  const data = roundData(ctx, id)
  if (!data) notFound()
  return (
    <>
      <PageHead title="What would settle most?" lead={`${data.title}: in pairs, one does, one watches.`} />
      <CheckRound data={data} />
      <Group mt="lg">
        <LinkButton href={`/readiness/round/${id}/card`}>Card to print</LinkButton>
        <LinkButton href={`/readiness/round/${id}/enter`}>Copy a card in</LinkButton>
        <LinkButton href="/readiness">Everybody’s readiness</LinkButton>
      </Group>
    </>
  )
})
