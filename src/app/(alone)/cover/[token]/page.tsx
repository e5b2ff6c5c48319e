import { Stack, Text, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { CoverSheet } from '@/features/handover/components/cover-sheet'
import { coverByToken } from '@/features/handover/queries'
import { page } from '@/features/page'

// The address is the key: it is told to no other page, and no list of pages holds it.
export const metadata: Metadata = {
  title: 'Standing in',
  referrer: 'no-referrer',
  robots: { index: false, follow: false },
}

export default page<{ params: Promise<{ token: string }> }>(async (ctx, { params }) => {
  const cover = coverByToken(ctx, (await params).token)
  if (!('closed' in cover)) return <CoverSheet cover={cover} />
  return (
    <Stack>
      <Title order={1}>{cover.closed === 'ended' ? 'This link has ended' : 'Not today'}</Title>
      <Text>
        {cover.closed === 'ended'
          ? 'Ask whoever gave it to you for a new one.'
          : `It opens on the day of the class, ${cover.day}, and on no other.`}
      </Text>
    </Stack>
  )
})
