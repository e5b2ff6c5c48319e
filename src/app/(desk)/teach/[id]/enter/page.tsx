import { Stack } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { SheetEntry } from '@/features/teaching/components/sheet-entry'
import { sheetToEnter } from '@/features/teaching/wrap-queries'
import { page } from '@/features/page'
import { PageHead } from '@/ui/page-head'

export const metadata: Metadata = { title: 'From the sheet' }

export default page<{ params: Promise<{ id: string }> }>(async (ctx, { params }) => {
  const { id } = await params
  const sheet = sheetToEnter(ctx, id)
  if (!sheet) notFound()
  return (
    <Stack>
      <PageHead title="What does the sheet say?" lead={`${sheet.title}, ${sheet.dayLabel}: one tap a try`} />
      <SheetEntry key={id} sheet={sheet} />
    </Stack>
  )
})
