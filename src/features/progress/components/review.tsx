import { SimpleGrid, Text } from '@mantine/core'
import type { Line, Review } from '../review-queries'
import { NamedLines } from './named-lines'
import { Section } from '@/ui/section'

type Part = { title: string; lines: readonly Line[] | null; none: string }

/** The week in one look: who moved, who stands still, who is missing, who went short, whose soreness repeats. */
export function WeekReview({ review }: { review: Review }) {
  const parts: Part[] = [
    {
      title: 'Moved up or down',
      lines: review.moved,
      none: 'Nobody’s step changed in a class of the last seven days.',
    },
    { title: 'Stands still', lines: review.still, none: 'Nothing that is worked at stands still.' },
    { title: 'Not seen', lines: review.away, none: 'Everybody was here in the last three weeks.' },
    {
      title: 'Went short',
      lines: review.short,
      none: 'Nobody went without wall or helper twice in the last classes.',
    },
    {
      title: 'Sore again',
      lines: review.sore,
      none:
        review.sore === null
          ? 'Open the health notes to see whose soreness repeats.'
          : 'Nobody named the same place twice in four weeks.',
    },
  ]
  return (
    <SimpleGrid cols={{ base: 1, md: 2 }} spacing="sm">
      {parts.map(({ title, lines, none }) => (
        <Section key={title} title={title} className="card">
          {lines === null || lines.length === 0 ? (
            <Text c="dimmed">{none}</Text>
          ) : (
            <NamedLines lines={lines} />
          )}
        </Section>
      ))}
    </SimpleGrid>
  )
}
