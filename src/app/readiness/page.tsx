import { Text } from '@mantine/core'
import type { Metadata } from 'next'
import { Board } from '@/features/readiness/components/board'
import { OffersToLookAt } from '@/features/readiness/components/offers'
import { board } from '@/features/readiness/board-queries'
import { nextRound } from '@/features/readiness/round-queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'
import { page, pageAsked } from '@/features/page'
import { Earlier } from '@/ui/earlier'

export const metadata: Metadata = { title: 'Readiness' }

export default page<{ searchParams: Promise<{ page?: string }> }>(async (ctx, { searchParams }) => {
  const asked = pageAsked((await searchParams).page)
  const data = board(ctx, asked)
  const round = nextRound(ctx)
  return (
    <>
      <PageHead
        title="Who is ready for what?"
        lead="Nearest to the next step first. An offer is an invitation for you to look."
      >
        {round ? (
          <LinkButton href={`/readiness/round/${round.classId}`}>Check round for {round.title}</LinkButton>
        ) : null}
      </PageHead>
      {data.rows.length === 0 ? (
        <>
          <Text mb="md">Nobody here yet.</Text>
          <LinkButton href="/students">Add people</LinkButton>
        </>
      ) : (
        <>
          <OffersToLookAt offers={data.offers} />
          <Board families={data.families} rows={data.rows} />
          <Earlier
            links={[
              data.page > 1 ? ['Nearer ones', `/readiness?page=${data.page - 1}`] : null,
              data.page < data.pages ? ['The next ones', `/readiness?page=${data.page + 1}`] : null,
            ]}
          />
        </>
      )}
      <SafetyLine />
    </>
  )
})
