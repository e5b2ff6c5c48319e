import { Group, Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { page } from '@/features/page'
import { NewSequence } from '@/features/sequences/components/new-sequence'
import { sequenceList } from '@/features/sequences/queries'
import { PageHead } from '@/ui/page-head'
import { TextLink } from '@/ui/text-link'

export const metadata: Metadata = { title: 'Strength sequences' }

export default page<{ searchParams: Promise<{ for?: string | string[] }> }>(async (ctx, { searchParams }) => {
  const { lines, people } = sequenceList(ctx)
  const asked = [(await searchParams).for].flat()
  return (
    <Stack>
      <PageHead
        title="What makes them strong enough?"
        lead="Eight to twenty minutes from what somebody, or a group, is short of"
      />
      {lines.map((s) => (
        <Group key={s.id} className="card" justify="space-between">
          <TextLink href={`/progress/sequences/${s.id}`} fw={600} fz="lg">
            {s.name}
          </TextLink>
          <Text>{s.text}</Text>
        </Group>
      ))}
      <NewSequence people={people} first={people.map((p) => p.value).filter((id) => asked.includes(id))} />
    </Stack>
  )
})
