import { Stack } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { RecapCards } from '@/features/teaching/components/recap-cards'
import { recap } from '@/features/teaching/wrap-queries'
import { page } from '@/features/page'
import { PageHead } from '@/ui/page-head'
import { PrintButton } from '@/ui/print-button'

export const metadata: Metadata = { title: 'To take home' }

export default page<{ params: Promise<{ id: string }> }>(async (ctx, { params }) => {
  const { id } = await params
  const data = recap(ctx, id)
  if (!data) notFound()
  return (
    <Stack>
      <PageHead title="What each takes home" lead={`${data.title}, ${data.dayLabel}`}>
        <PrintButton />
      </PageHead>
      <RecapCards recap={data} />
    </Stack>
  )
})
