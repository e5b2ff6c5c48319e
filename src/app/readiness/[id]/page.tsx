import { Grid, GridCol, Stack, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { isPrivate } from '@/features/health/layer'
import { CheckPanel } from '@/features/readiness/components/check-panel'
import { DecisionCard } from '@/features/readiness/components/decision-card'
import { FamilyTabs } from '@/features/readiness/components/family-tabs'
import { NextSteps } from '@/features/readiness/components/next-steps'
import { PlaceForm } from '@/features/readiness/components/place-form'
import { familyAsked, personReadiness } from '@/features/readiness/queries'
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
            <DecisionCard decision={person.decision} studentId={id} />
            <NextSteps next={person.next} />
            <PlaceForm key={family} studentId={id} stages={person.stages} placed={person.placed} />
          </Stack>
        </GridCol>
        <GridCol span={{ base: 12, lg: 6 }}>
          <Title order={2} fz="xl" mb="sm">
            Check something
          </Title>
          <CheckPanel key={family} person={person} />
        </GridCol>
      </Grid>
      <SafetyLine />
    </>
  )
}
