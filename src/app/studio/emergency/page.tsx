import { Text, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { PrintButton } from '@/ui/print-button'
import { CARD_LINES } from '@/core/words/emergency'
import { EmergencyForm } from '@/features/studio/components/emergency-form'
import { emergencyView } from '@/features/studio/queries'
import { PageHead } from '@/ui/page-head'

export const metadata: Metadata = { title: 'Emergency card' }

export default function EmergencyPage() {
  const { card, missing, studio } = emergencyView()
  return (
    <>
      <PageHead
        title="What if something happens?"
        lead={
          missing.length > 0
            ? `Still missing: ${CARD_LINES.filter((l) => missing.includes(l.key))
                .map((l) => l.label.toLowerCase())
                .join(', ')}.`
            : 'Print it and hang it by the door.'
        }
      >
        <PrintButton />
      </PageHead>
      <EmergencyForm initial={card} />
      <section className="print-only" aria-hidden="true">
        <Title order={2}>In an emergency · {studio}</Title>
        {CARD_LINES.map(({ key, label }) =>
          card[key] === '' ? null : (
            <Text key={key} fz="xl" mt="md">
              <strong>{label}:</strong> {card[key]}
            </Text>
          ),
        )}
      </section>
    </>
  )
}
