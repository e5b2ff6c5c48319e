import { Group, SimpleGrid, Text, Title } from '@mantine/core'
import { TextLink } from '@/ui/text-link'
import type { Line, Review } from '../review-queries'
import { NamedLines } from './named-lines'

/** Lines of each kind: more are on the week's own page. */
const SHOWN = 3

/** Between classes, what the week asks for: who stands still, who has not been seen, who went short. */
export function WeekLines({ review }: { review: Review }) {
  const parts: readonly (readonly [title: string, lines: readonly Line[]])[] = [
    ['Stands still', review.still],
    ['Not seen', review.away],
    ['Went short', review.short],
  ]
  const told = parts.filter(([, lines]) => lines.length > 0)
  return (
    <section aria-labelledby="this-week" className="card" style={{ marginBottom: 14 }}>
      <Group justify="space-between" align="baseline">
        <Title order={2} id="this-week" fz="xl">
          Until then
        </Title>
        <TextLink href="/progress">The whole week</TextLink>
      </Group>
      {told.length === 0 ? (
        <Text>Nobody stands still, nobody is missing, nobody went short.</Text>
      ) : (
        <SimpleGrid cols={{ base: 1, md: told.length }} spacing="lg">
          {told.map(([title, lines]) => (
            <div key={title}>
              <Text fw={650}>{title}</Text>
              <NamedLines lines={lines.slice(0, SHOWN)} />
              {lines.length > SHOWN ? <Text c="dimmed">and {lines.length - SHOWN} more</Text> : null}
            </div>
          ))}
        </SimpleGrid>
      )}
    </section>
  )
}
