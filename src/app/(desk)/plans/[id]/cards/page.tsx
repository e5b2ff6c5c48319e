import { Stack } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { FetchAndCheck, PlaceCards, Strips } from '@/features/plans/components/plan-cards'
import { planView } from '@/features/plans/plan-queries'
import { page } from '@/features/page'
import { ChoiceLinks } from '@/ui/choice-links'
import { PageHead } from '@/ui/page-head'
import { PrintButton } from '@/ui/print-button'

export const metadata: Metadata = { title: 'Cards' }

const OF = [
  { key: 'strips', label: 'A strip for each person' },
  { key: 'places', label: 'A card for each place' },
  { key: 'check', label: 'Fetch and check' },
] as const

export default page<{
  params: Promise<{ id: string }>
  searchParams: Promise<{ of?: string | string[] }>
}>(async (ctx, { params, searchParams }) => {
  const { id } = await params
  const { of: asked } = await searchParams
  const of = OF.find((o) => o.key === asked)?.key ?? 'strips'
  const plan = planView(ctx, id)
  if (!plan?.planned) notFound()
  return (
    <Stack>
      <PageHead title={plan.title} lead={`${plan.dayLabel}, ${plan.startTime}`}>
        <PrintButton />
      </PageHead>
      <div className="no-print">
        <ChoiceLinks
          label="On paper"
          now={of}
          of={OF.map(({ key, label }) => ({ key, label, href: `/plans/${id}/cards?of=${key}` }))}
        />
      </div>
      {of === 'strips' ? <Strips plan={plan} /> : null}
      {of === 'places' ? <PlaceCards plan={plan} /> : null}
      {of === 'check' ? <FetchAndCheck plan={plan} /> : null}
    </Stack>
  )
})
