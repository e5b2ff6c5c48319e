import { Stack } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { page } from '@/features/page'
import { DropSeries } from '@/features/series/components/drop-series'
import { SeriesWeeks } from '@/features/series/components/weeks'
import { seriesView } from '@/features/series/queries'
import { PageHead } from '@/ui/page-head'

export const metadata: Metadata = { title: 'Series' }

export default page<{ params: Promise<{ id: string }> }>(async (ctx, { params }) => {
  const view = seriesView(ctx, (await params).id)
  if (!view) notFound()
  return (
    <Stack maw={980}>
      <PageHead
        title={view.name}
        lead={`${view.group}, ${view.members}, towards ${view.familyName.toLowerCase()}`}
      >
        <DropSeries id={view.id} name={view.name} />
      </PageHead>
      <SeriesWeeks view={view} />
    </Stack>
  )
})
