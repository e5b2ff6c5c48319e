import { Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { Changes } from '@/features/teaching/components/changes'
import { WrapUp } from '@/features/teaching/components/wrap-up'
import { wrapUp } from '@/features/teaching/wrap-queries'
import { changesOf } from '@/features/teaching/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'What changed' }

export default page<{ params: Promise<{ id: string }> }>(async (ctx, { params }) => {
  const { id } = await params
  const data = changesOf(ctx, id)
  const wrap = wrapUp(ctx, id)
  if (!data || !wrap) notFound()
  return (
    <>
      <PageHead title="What changed, and why?" lead={`${data.title}, ${data.dayLabel}`}>
        {data.ended ? <LinkButton href={`/teach/${id}/recap`}>To take home</LinkButton> : null}
        <LinkButton href="/readiness">Everybody’s readiness</LinkButton>
      </PageHead>
      {data.ended ? (
        <Stack>
          <Changes changes={data.changes} />
          <WrapUp data={wrap} />
        </Stack>
      ) : (
        <Stack align="flex-start">
          <Text>This class is not over yet.</Text>
          <LinkButton href={`/teach/${id}/enter`}>It was taught from the sheet: enter it</LinkButton>
        </Stack>
      )}
    </>
  )
})
