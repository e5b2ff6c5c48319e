import { Grid, GridCol, Stack } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { isPrivate } from '@/features/health/layer'
import { AnswerPanel } from '@/features/readiness/components/answer-panel'
import { DecisionCard } from '@/features/readiness/components/decision-card'
import { FamilyTabs } from '@/features/readiness/components/family-tabs'
import { NextSteps } from '@/features/readiness/components/next-steps'
import { RecordPanel } from '@/features/readiness/components/record-panel'
import { Turnings } from '@/features/readiness/components/turnings'
import { PlaceForm } from '@/features/readiness/components/place-form'
import { familyAsked } from '@/features/readiness/families'
import { personReadiness } from '@/features/readiness/person-queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'

export const metadata: Metadata = { title: 'Readiness of one person' }

export default async function PersonPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>
  searchParams: Promise<{ family?: string }>
}) {
  const { id } = await params
  const family = familyAsked((await searchParams).family)
  const person = personReadiness(id, await isPrivate(), family)
  if (!person) notFound()
  return (
    <>
      <PageHead title={person.name} lead="What has been shown, and what comes next?">
        <LinkButton href={`/students/${id}`} variant="default">
          Profile
        </LinkButton>
      </PageHead>
      <FamilyTabs id={id} families={person.families} current={family} />
      <Grid gap="xl">
        <GridCol span={{ base: 12, lg: 6 }}>
          <Stack>
            <DecisionCard decision={person.decision} studentId={id} tonight={person.tonight} />
            {person.answer ? <AnswerPanel studentId={id} answer={person.answer} /> : null}
            <NextSteps next={person.next} />
            <Turnings turnings={person.turnings} />
            <PlaceForm key={family} studentId={id} stages={person.stages} placed={person.placed} />
          </Stack>
        </GridCol>
        <GridCol span={{ base: 12, lg: 6 }}>
          <RecordPanel key={family} person={person} />
        </GridCol>
      </Grid>
      <SafetyLine />
    </>
  )
}
