import { Text } from '@mantine/core'
import type { Metadata } from 'next'
import { Board } from '@/features/readiness/components/board'
import { isPrivate } from '@/features/health/layer'
import { board } from '@/features/readiness/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'

export const metadata: Metadata = { title: 'Readiness' }

export default async function ReadinessPage() {
  const rows = board(await isPrivate())
  return (
    <>
      <PageHead
        title="Who is ready for what?"
        lead="Nearest to the next step first. An offer is an invitation for you to look."
      />
      {rows.length === 0 ? (
        <>
          <Text mb="md">Nobody here yet.</Text>
          <LinkButton href="/students">Add people</LinkButton>
        </>
      ) : (
        <Board rows={rows} />
      )}
      <SafetyLine />
    </>
  )
}
