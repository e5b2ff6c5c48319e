import { Group, Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { endedClasses } from '@/features/teaching/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { TextLink } from '@/ui/text-link'
import { dayAsked, page } from '@/features/page'
import { Earlier } from '@/ui/earlier'

export const metadata: Metadata = { title: 'Progress' }

export default page<{ searchParams: Promise<{ before?: string | string[] }> }>(
  async (ctx, { searchParams }) => {
    const before = dayAsked((await searchParams).before)
    const { classes, earlier } = endedClasses(ctx, before)
    return (
      <>
        <PageHead
          title="What changed, and why?"
          lead={
            classes.length === 0
              ? 'No class has been taught here yet. Take a plan to class, and what it changed stands here afterwards.'
              : undefined
          }
        >
          <LinkButton href="/progress/log" variant="default">
            The log
          </LinkButton>
        </PageHead>
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
        <Earlier links={[earlier === null ? null : ['Earlier classes', `/progress?before=${earlier}`]]} />
      </>
    )
  },
)
