import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { CheckRound } from '@/features/readiness/components/check-round'
import { roundData } from '@/features/readiness/round-queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'

export const metadata: Metadata = { title: 'Check round' }

export default async function RoundPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const data = roundData(id)
  if (!data) notFound()
  return (
    <>
      <PageHead title="What would settle most?" lead={`${data.title}: in pairs, one does, one watches.`}>
        <LinkButton href={`/readiness/round/${id}/card`} variant="default">
          Card to print
        </LinkButton>
        <LinkButton href={`/readiness/round/${id}/enter`} variant="default">
          Copy a card in
        </LinkButton>
        <LinkButton href="/readiness" variant="default">
          Everybody’s readiness
        </LinkButton>
      </PageHead>
      <CheckRound data={data} />
    </>
  )
}
