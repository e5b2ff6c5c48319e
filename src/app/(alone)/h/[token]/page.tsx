import { Stack, Text, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { HomeSheet } from '@/features/home/components/home-sheet'
import { LinkTicks } from '@/features/home/components/tick-table'
import { homeByToken } from '@/features/home/queries'
import { LinkIsClosed } from '@/features/link-closed'
import { page } from '@/features/page'

// The address is the key: it is told to no other page, and no list of pages holds it.
export const metadata: Metadata = {
  title: 'Practice at home',
  referrer: 'no-referrer',
  robots: { index: false, follow: false },
}

export default page<{ params: Promise<{ token: string }> }>(async (ctx, { params }) => {
  const { token } = await params
  const found = homeByToken(ctx, token)
  if ('closed' in found) return <LinkIsClosed closed={found.closed} />
  return (
    <Stack maw={720} mx="auto">
      <Title order={1} fz={28}>
        {found.name}, this week at home
      </Title>
      <HomeSheet sheet={found.sheet} />
      <Title order={2}>How it went</Title>
      <LinkTicks token={token} sheet={found.sheet} today={ctx.clock.today} />
      <Text size="sm">Your teacher sees your ticks. They change what comes next week, and nothing else.</Text>
    </Stack>
  )
})
