import { Group, Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { teachList } from '@/features/teaching/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { TextLink } from '@/ui/text-link'
import { dayAsked, page } from '@/features/page'
import { Earlier } from '@/ui/earlier'

export const metadata: Metadata = { title: 'Teach' }

const STATE = { 'not-started': 'ready', running: 'under way', ended: 'over' } as const

export default page<{ searchParams: Promise<{ before?: string | string[] }> }>(
  async (ctx, { searchParams }) => {
    const before = dayAsked((await searchParams).before)
    const { classes, earlier } = teachList(ctx, before)
    return (
      <>
        <PageHead
          title="Whose turn is it?"
          lead={
            classes.length === 0 ? 'A class needs a plan before it can be taken to the floor.' : undefined
          }
        >
          {classes.length === 0 ? (
            <LinkButton variant="filled" href="/plans">
              Make a plan
            </LinkButton>
          ) : null}
        </PageHead>
        <Stack gap="sm">
          {classes.map((c) => (
            <Group key={c.id} className="card" justify="space-between">
              <TextLink
                href={c.state === 'ended' ? `/teach/${c.id}/after` : `/teach/${c.id}`}
                fw={600}
                fz="lg"
              >
                {c.title}
              </TextLink>
              <Text>
                {c.dayLabel}, {c.startTime} · {STATE[c.state]}
              </Text>
            </Group>
          ))}
        </Stack>
        <Earlier links={[earlier === null ? null : ['Earlier classes', `/teach?before=${earlier}`]]} />
      </>
    )
  },
)
