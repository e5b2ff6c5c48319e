import { Text, Title } from '@mantine/core'
import type { EmergencyCard } from '@/core/room/emergency'
import { CARD_LINES } from '@/core/words/emergency'

/** The card as it hangs by the door: only on paper. */
export function EmergencySheet({ card, studio }: { card: EmergencyCard; studio: string }) {
  return (
    <section className="print-only" aria-hidden="true">
      <Title order={2} fz={26}>
        In an emergency · {studio}
      </Title>
      {CARD_LINES.map(({ key, label }) =>
        card[key] === '' ? null : (
          <Text key={key} fz="xl" mt="md">
            <strong>{label}:</strong> {card[key]}
          </Text>
        ),
      )}
    </section>
  )
}
