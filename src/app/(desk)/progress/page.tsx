import { Group, Stack, Text, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { dayAsked, page } from '@/features/page'
import { WeekReview } from '@/features/progress/components/review'
import { studioReview } from '@/features/progress/review-queries'
import { endedClasses } from '@/features/teaching/queries'
import { Earlier } from '@/ui/earlier'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { TextLink } from '@/ui/text-link'

export const metadata: Metadata = { title: 'Progress' }

export default page<{ searchParams: Promise<{ before?: string | string[] }> }>(
  async (ctx, { searchParams }) => {
    const before = dayAsked((await searchParams).before)
    const { classes, earlier } = endedClasses(ctx, before)
    const review = before === null ? studioReview(ctx) : null
    return (
      <>
        <PageHead
          title="What changed, and why?"
          lead={review ? `Since ${review.from}: ${taughtWords(review.taught)}` : undefined}
        >
          <LinkButton href="/progress/series" variant="default">
            Series
          </LinkButton>
          <LinkButton href="/progress/sequences" variant="default">
            Strength
          </LinkButton>
          <LinkButton href="/progress/log" variant="default">
            The log
          </LinkButton>
        </PageHead>
        {review ? <WeekReview review={review} /> : null}
        <Title order={2} fz="lg" mt="lg" mb="xs">
          Classes taught
        </Title>
        {classes.length === 0 ? (
          <Text c="dimmed">
            No class has been taught here yet. Take a plan to class, and what it changed stands here
            afterwards.
          </Text>
        ) : null}
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

function taughtWords(n: number): string {
  return n === 0 ? 'no class taught' : n === 1 ? 'one class taught' : `${n} classes taught`
}
