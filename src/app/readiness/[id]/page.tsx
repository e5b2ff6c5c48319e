import { Grid, GridCol, Stack, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { CheckPanel } from '@/features/readiness/components/check-panel'
import { DecisionCard } from '@/features/readiness/components/decision-card'
import { PlaceForm } from '@/features/readiness/components/place-form'
import { personReadiness } from '@/features/readiness/queries'
import { isPrivate } from '@/features/health/layer'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'

export const metadata: Metadata = { title: 'Readiness of one person' }

export default async function PersonPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const person = personReadiness(id, await isPrivate())
  if (!person) notFound()
  return (
    <>
      <PageHead title={person.name} lead="What has been shown, and what comes next?">
        <LinkButton href={`/students/${id}`} variant="default">
          Profile
        </LinkButton>
      </PageHead>
      <Grid gap="xl">
        <GridCol span={{ base: 12, lg: 6 }}>
          <Stack>
            <DecisionCard decision={person.decision} studentId={id} />
            <PlaceForm studentId={id} stages={person.stages} placed={person.placed} />
          </Stack>
        </GridCol>
        <GridCol span={{ base: 12, lg: 6 }}>
          <Title order={2} fz="xl" mb="sm">
            Check something
          </Title>
          <CheckPanel person={person} />
        </GridCol>
      </Grid>
      <SafetyLine />
    </>
  )
}
