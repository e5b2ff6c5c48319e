import type { Metadata } from 'next'
import { EmergencyForm } from '@/features/studio/components/emergency-form'
import { EmergencySheet } from '@/features/studio/components/emergency-sheet'
import { emergencyView } from '@/features/studio/queries'
import { PageHead } from '@/ui/page-head'
import { PrintButton } from '@/ui/print-button'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Emergency card' }

export default page((ctx) => {
  const { card, missing, studio } = emergencyView(ctx)
  return (
    <>
      <PageHead
        title="What if something happens?"
        lead={
          missing.length > 0 ? `Still missing: ${missing.join(', ')}.` : 'Print it and hang it by the door.'
        }
      >
        <PrintButton />
      </PageHead>
      <EmergencyForm initial={card} />
      <EmergencySheet card={card} studio={studio} />
    </>
  )
})
