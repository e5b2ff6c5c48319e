import { Stack, Text, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { CoverSheet } from '@/features/handover/components/cover-sheet'
import { coverByToken } from '@/features/handover/queries'
import { page } from '@/features/page'
import { LINK_SAID } from '@/features/private-link'

// The address is the key: it is told to no other page, and no list of pages holds it.
export const metadata: Metadata = {
  title: 'Standing in',
  referrer: 'no-referrer',
  robots: { index: false, follow: false },
}

export default page<{ params: Promise<{ token: string }> }>(async (ctx, { params }) => {
  const cover = coverByToken(ctx, (await params).token)
  if (!('closed' in cover)) return <CoverSheet cover={cover} />
  const said =
    cover.closed === 'not-today'
      ? { title: 'Not today', text: `It opens on the day of the class, ${cover.day}, and on no other.` }
      : LINK_SAID[cover.closed]
  return (
    <Stack>
      <Title order={1}>{said.title}</Title>
      <Text>{said.text}</Text>
    </Stack>
  )
})
