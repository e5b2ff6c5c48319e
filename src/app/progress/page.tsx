import { Group, Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { endedClasses } from '@/features/teaching/queries'
import { PageHead } from '@/ui/page-head'
import { TextLink } from '@/ui/text-link'

export const metadata: Metadata = { title: 'Progress' }

export default function ProgressPage() {
  const classes = endedClasses()
  return (
    <>
      <PageHead
        title="What changed, and why?"
        lead={
          classes.length === 0
            ? 'No class has been taught here yet. Take a plan to class, and what it changed stands here afterwards.'
            : undefined
        }
      />
      <Stack gap="sm">
        {classes.map((c) => (
          <Group key={c.id} className="card" justify="space-between">
            <TextLink href={`/teach/${c.id}/after`} fw={600} fz="lg">
              {c.title}, {c.dayLabel}
            </TextLink>
            <Text>
              {c.changed === 0 ? 'no decision changed' : `${c.changed} of ${c.people} decisions changed`}
            </Text>
          </Group>
        ))}
      </Stack>
    </>
  )
}
