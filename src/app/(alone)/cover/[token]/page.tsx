import type { Metadata } from 'next'
import { CoverSheet } from '@/features/handover/components/cover-sheet'
import { coverByToken } from '@/features/handover/queries'
import { LinkIsClosed, LinkShut } from '@/features/link-closed'
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
  if (cover.closed !== 'not-today') return <LinkIsClosed closed={cover.closed} />
  return (
    <LinkShut title="Not today" text={`It opens on the day of the class, ${cover.day}, and on no other.`} />
  )
})
