import { Group, Stack, Text, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { dayAsked, page } from '@/features/page'
import { GroupStands } from '@/features/progress/components/group-stands'
import { WeekReview } from '@/features/progress/components/review'
import { groupChoices, groupProgress } from '@/features/progress/group-queries'
import { studioReview } from '@/features/progress/review-queries'
import { endedClasses } from '@/features/teaching/queries'
import { ChoiceLinks } from '@/ui/choice-links'
import { Earlier } from '@/ui/earlier'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { TextLink } from '@/ui/text-link'

export const metadata: Metadata = { title: 'Progress' }

type Asked = { before?: string | string[]; group?: string | string[] }

export default page<{ searchParams: Promise<Asked> }>(async (ctx, { searchParams }) => {
  const asked = await searchParams
  const before = dayAsked(asked.before)
  const groups = groupChoices(ctx)
  const group = groupProgress(ctx, [asked.group].flat()[0] ?? '')
  const { classes, earlier } = endedClasses(ctx, before)
  const review = before === null ? studioReview(ctx, group?.members) : null
  return (
    <>
      <PageHead
        title="What changed, and why?"
        lead={review ? `Since ${review.from}: ${taughtWords(review.taught)}` : undefined}
      >
        <LinkButton href="/progress/series">Series</LinkButton>
        <LinkButton href="/progress/sequences">Strength</LinkButton>
        <LinkButton href="/progress/log">The log</LinkButton>
      </PageHead>
      {review && groups.length > 0 ? (
        <ChoiceLinks
          label="Whose week"
          now={group?.id ?? 'all'}
          of={[
            { key: 'all', label: 'Everybody', href: '/progress' },
            ...groups.map((g) => ({ key: g.id, label: g.name, href: `/progress?group=${g.id}` })),
          ]}
        />
      ) : null}
      {review && group ? <GroupStands group={group} /> : null}
      {review ? <WeekReview review={review} /> : null}
      <Title order={2} mt="lg" mb="xs">
        Classes taught
      </Title>
      {classes.length === 0 ? (
        <Text c="dimmed">
          No class has been taught here yet. Take a plan to class, and what it changed stands here afterwards.
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
})

function taughtWords(n: number): string {
  return n === 0 ? 'no class taught' : n === 1 ? 'one class taught' : `${n} classes taught`
}
