import { Grid, GridCol, List, ListItem, Stack, Text, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { HomeFiles } from '@/features/home/components/home-files'
import { HomeForm } from '@/features/home/components/home-form'
import { HomeLink } from '@/features/home/components/home-link'
import { HomeSheet } from '@/features/home/components/home-sheet'
import { PaperTicks } from '@/features/home/components/tick-table'
import { homeView } from '@/features/home/queries'
import { page } from '@/features/page'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { PrintButton } from '@/ui/print-button'
import { Section } from '@/ui/section'

export const metadata: Metadata = { title: 'Practice at home' }

export default page<{ params: Promise<{ id: string }> }>(async (ctx, { params }) => {
  const { id } = await params
  const view = homeView(ctx, id)
  if (!view) notFound()
  const { sheet, after, first } = view
  return (
    <>
      <PageHead title={`${view.name}, at home`} lead={sheet ? `Made on ${sheet.madeLabel}` : undefined}>
        <LinkButton href={`/progress/${id}`}>Week by week</LinkButton>
        {sheet ? (
          <>
            <HomeFiles studentId={id} name={`${sheet.madeDay} at home`} />
            <PrintButton />
          </>
        ) : null}
      </PageHead>
      {first === '' ? null : (
        <Text className="card" fw={600} role="alert">
          Nothing goes home now. First: {first}
        </Text>
      )}
      <Grid gap="xl">
        <GridCol span={{ base: 12, lg: 7 }}>
          {sheet ? (
            <section className="card" aria-label="This week’s sheet">
              <HomeSheet sheet={sheet} />
              <Title order={2} mt="md" mb="xs">
                How it went
              </Title>
              <PaperTicks key={sheet.planId} studentId={id} sheet={sheet} today={ctx.clock.today} />
            </section>
          ) : (
            <Text c="dimmed">
              No sheet yet. It takes three to five things from what is open and light enough to do alone.
            </Text>
          )}
        </GridCol>
        <GridCol span={{ base: 12, lg: 5 }} className="no-print">
          <Stack>
            {after.length === 0 ? null : (
              <Section title="What this week says" className="card">
                <List>
                  {after.map((line) => (
                    <ListItem key={line}>{line}</ListItem>
                  ))}
                </List>
              </Section>
            )}
            <HomeForm studentId={id} form={view.form} hasSheet={sheet !== null} />
            {sheet ? <HomeLink studentId={id} until={view.linkUntil} /> : null}
          </Stack>
        </GridCol>
      </Grid>
    </>
  )
})
