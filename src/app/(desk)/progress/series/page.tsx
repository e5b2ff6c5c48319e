import { Group, Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { page } from '@/features/page'
import { NewSeries } from '@/features/series/components/new-series'
import { seriesList } from '@/features/series/queries'
import { PageHead } from '@/ui/page-head'
import { TextLink } from '@/ui/text-link'

export const metadata: Metadata = { title: 'Series' }

export default page((ctx) => {
  const { lines, groups, families } = seriesList(ctx)
  return (
    <Stack>
      <PageHead title="What comes week by week?" lead="A group towards one thing, and what moved" />
      {lines.map((s) => (
        <Group key={s.id} className="card" justify="space-between">
          <TextLink href={`/progress/series/${s.id}`} fw={600} fz="lg">
            {s.name}
          </TextLink>
          <Text>{s.text}</Text>
        </Group>
      ))}
      <NewSeries groups={groups} families={families} today={ctx.clock.today} />
    </Stack>
  )
})
