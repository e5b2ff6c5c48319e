import { Text } from '@mantine/core'
import type { Metadata } from 'next'
import { Board } from '@/features/readiness/components/board'
import { MarkKey } from '@/features/readiness/components/mark-key'
import { OffersToLookAt } from '@/features/readiness/components/offers'
import { WhoLinks } from '@/features/readiness/components/who-links'
import { board } from '@/features/readiness/board-queries'
import { nextRound } from '@/features/readiness/round-queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'
import { page, pageAsked } from '@/features/page'
import { Earlier } from '@/ui/earlier'

export const metadata: Metadata = { title: 'Readiness' }

export default page<{ searchParams: Promise<{ page?: string; who?: string }> }>(
  async (ctx, { searchParams }) => {
    const { page: at, who } = await searchParams
    const data = board(ctx, pageAsked(at), who)
    const round = nextRound(ctx)
    return (
      <>
        <PageHead title="Who is ready for what?" lead="Nearest to the next step first.">
          <LinkButton href={`/readiness/by-eye?who=${data.who}`}>Place by eye</LinkButton>
          {round ? (
            <LinkButton variant="filled" href={`/readiness/round/${round.classId}`}>
              Check round for {round.title}
            </LinkButton>
          ) : null}
        </PageHead>
        {data.rows.length === 0 && data.whos.length === 1 ? (
          <>
            <Text mb="md">Nobody here yet.</Text>
            <LinkButton variant="filled" href="/students">
              Add people
            </LinkButton>
          </>
        ) : (
          <>
            <OffersToLookAt offers={data.offers} />
            <WhoLinks whos={data.whos} who={data.who} />
            <Board families={data.families} rows={data.rows} />
            <MarkKey />
            <Earlier
              links={[
                data.page > 1 ? ['Nearer ones', `/readiness?who=${data.who}&page=${data.page - 1}`] : null,
                data.page < data.pages
                  ? ['The next ones', `/readiness?who=${data.who}&page=${data.page + 1}`]
                  : null,
              ]}
            />
          </>
        )}
        <SafetyLine />
      </>
    )
  },
)
