import { Grid, GridCol, List, ListItem, Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { familyAsked } from '@/features/desk/families'
import { page } from '@/features/page'
import { LoadTable } from '@/features/progress/components/load-table'
import { Measures } from '@/features/progress/components/measures'
import { TimeLine } from '@/features/progress/components/time-line'
import { personProgress } from '@/features/progress/person-queries'
import { ChoiceLinks } from '@/ui/choice-links'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { Section } from '@/ui/section'

export const metadata: Metadata = { title: 'Progress of one person' }

export default page<{ params: Promise<{ id: string }>; searchParams: Promise<{ family?: string }> }>(
  async (ctx, { params, searchParams }) => {
    const { id } = await params
    const found = personProgress(ctx, id, familyAsked((await searchParams).family))
    if (!found) notFound()
    const { aways, answers, still, drilled, helps } = found
    return (
      <>
        <PageHead title={`${found.name}, week by week`}>
          <LinkButton href={`/progress/${id}/home`}>Practice at home</LinkButton>
          <LinkButton href={`/progress/sequences?for=${id}`}>Strength sequence</LinkButton>
          <LinkButton href={`/readiness/${id}?family=${found.family}`}>What comes next</LinkButton>
        </PageHead>
        <ChoiceLinks
          label="Families"
          now={found.family}
          of={found.families.map((f) => ({
            key: f.id,
            label: f.name,
            href: `/progress/${id}?family=${f.id}`,
          }))}
        />
        <TimeLine stretches={found.stretches} />
        {aways.map((text) => (
          <Text key={text}>{text}</Text>
        ))}
        <Grid gap="xl" mt="md">
          <GridCol span={{ base: 12, lg: 8 }}>
            <Stack gap="sm">
              {still.length === 0 ? null : (
                <Section title="Stands still" className="card">
                  <List>
                    {still.map((text) => (
                      <ListItem key={text}>{text}</ListItem>
                    ))}
                  </List>
                </Section>
              )}
              <Measures measures={found.measures} />
            </Stack>
          </GridCol>
          <GridCol span={{ base: 12, lg: 4 }}>
            <Stack gap="sm">
              <LoadTable weeks={found.weeks} joints={found.joints} tooSoon={found.tooSoon} />
              {helps.length === 0 ? null : <Told title="What may help" empty="" lines={helps} />}
              <Told title="Drilled" empty="No drill is recorded yet." lines={drilled.map(drilledLine)} />
              <Told title="What was answered" empty="No offer was answered yet." lines={answers} />
            </Stack>
          </GridCol>
        </Grid>
      </>
    )
  },
)

function drilledLine({ name, times, last }: { name: string; times: number; last: string }): string {
  return `${name}: ${times} ${times === 1 ? 'time' : 'times'}, last on ${last}.`
}

function Told({ title, empty, lines }: { title: string; empty: string; lines: readonly string[] }) {
  return (
    <Section title={title} className="card">
      {lines.length === 0 ? (
        <Text c="dimmed">{empty}</Text>
      ) : (
        <List size="sm">
          {lines.map((text) => (
            <ListItem key={text}>{text}</ListItem>
          ))}
        </List>
      )}
    </Section>
  )
}
