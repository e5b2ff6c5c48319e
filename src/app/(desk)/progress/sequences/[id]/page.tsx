import { Stack } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { page } from '@/features/page'
import { NameOrDrop } from '@/features/sequences/components/name-or-drop'
import { RunSequence } from '@/features/sequences/components/run-sequence'
import { SequenceItems } from '@/features/sequences/components/sequence-items'
import { sequenceView } from '@/features/sequences/queries'
import { PageHead } from '@/ui/page-head'
import { PrintButton } from '@/ui/print-button'

export const metadata: Metadata = { title: 'A strength sequence' }

export default page<{ params: Promise<{ id: string }> }>(async (ctx, { params }) => {
  const view = sequenceView(ctx, (await params).id)
  if (!view) notFound()
  return (
    <Stack maw={860}>
      <PageHead title={view.name} lead={view.lead}>
        <PrintButton />
      </PageHead>
      <RunSequence view={view} />
      <SequenceItems view={view} />
      <NameOrDrop id={view.id} name={view.name} />
    </Stack>
  )
})
