'use client'

import { MultiSelect } from '@mantine/core'
import { useRouter } from 'next/navigation'
import type { CardData } from '../round-queries'

/** Which checks stand on the card; the address keeps the choice. */
export function CardChooser({ card, at }: { card: CardData; at: 'card' | 'enter' }) {
  const router = useRouter()
  return (
    <MultiSelect
      className="no-print"
      label="Checks on the card"
      description="Up to four fit beside a name."
      maxValues={4}
      searchable
      data={card.choices}
      value={card.checks.map((c) => c.id)}
      onChange={(ids) =>
        router.replace(`/readiness/round/${card.classId}/${at}?checks=${ids.join(',')}`, { scroll: false })
      }
    />
  )
}
