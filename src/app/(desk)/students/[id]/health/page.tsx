import { Divider, List, ListItem, Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { ClearanceForm } from '@/features/health/components/clearance-form'
import { HealthForm } from '@/features/health/components/health-form'
import { LayerBar } from '@/features/health/components/layer-bar'
import { LimitsPanel } from '@/features/health/components/limits-panel'
import { LAYER_OPEN_MS } from '@/features/layer-sessions'
import { clearableLoads, healthView, limitsView, type HealthView } from '@/features/health/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'
import { Section } from '@/ui/section'

import { TrailTable } from '@/features/access/components/trail-table'
import { trailOf, type TrailView } from '@/features/access/queries'
import { page } from '@/features/page'
import { tellReading } from '@/features/tell'
import { Notice } from '@/ui/notice'

/** The title names nobody and nothing: tabs are seen by others. */
export const metadata: Metadata = { title: 'Limits' }

export default page<{ params: Promise<{ id: string }> }>(async (ctx, { params }) => {
  const { id } = await params
  const notes = healthView(ctx, id)
  const limits = limitsView(ctx, id)
  if (!limits) notFound()
  if (notes) tellReading(ctx, { what: 'answers-read', studentId: id })
  return (
    <Stack maw={860}>
      <PageHead title={limits.name} lead="What may be carried, what is changed, and what to do instead.">
        <LinkButton href={`/students/${id}`}>Profile</LinkButton>
        <LinkButton href={`/readiness/${id}`}>Readiness</LinkButton>
      </PageHead>
      <LimitsPanel view={limits} />
      <LayerBar open={notes !== null} withWord={ctx.studio.passHash !== null} openMs={LAYER_OPEN_MS} />
      {notes ? <OpenNotes id={id} view={notes} loads={clearableLoads(ctx)} /> : null}
      {notes ? <WhoRead lines={trailOf(ctx, id)} /> : null}
      <SafetyLine />
    </Stack>
  )
})

function OpenNotes({
  id,
  view,
  loads,
}: {
  id: string
  view: HealthView
  loads: ReturnType<typeof clearableLoads>
}) {
  return (
    <>
      {view.shut ? (
        <Notice title="Some notes were sealed with another key and stay shut. Whatever they may close stays closed." />
      ) : null}
      <Section title="A clinician’s clearance" fz="xl" mb="xs">
        {view.clearances.length > 0 ? (
          <List mb="sm">
            {view.clearances.map((line) => (
              <ListItem key={line}>{line}.</ListItem>
            ))}
          </List>
        ) : null}
        <ClearanceForm id={id} loads={loads} />
      </Section>
      <Divider />
      <Section title="Answers" fz="xl">
        <Text c="dimmed" mb="sm">
          As much or as little as the student likes. You are not a clinician: where an answer raises a doubt,
          ask them to see one. Nothing here is shown on a plan, a card or a shared screen; only the limits
          are.
        </Text>
        <HealthForm id={id} questions={view.questions} gentle={view.gentle} />
      </Section>
    </>
  )
}

function WhoRead({ lines }: { lines: readonly TrailView[] }) {
  return (
    <Section title="Who read or changed these">
      <TrailTable lines={lines} withAbout={false} />
    </Section>
  )
}
