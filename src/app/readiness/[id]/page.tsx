import { Grid, GridCol, Stack } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { AnswerPanel } from '@/features/readiness/components/answer-panel'
import { DecisionCard } from '@/features/readiness/components/decision-card'
import { FamilyTabs } from '@/features/readiness/components/family-tabs'
import { NextSteps } from '@/features/readiness/components/next-steps'
import { RecordPanel } from '@/features/readiness/components/record-panel'
import { Turnings } from '@/features/readiness/components/turnings'
import { PlaceForm } from '@/features/readiness/components/place-form'
import { familyAsked } from '@/features/desk/families'
import { personReadiness } from '@/features/readiness/person-queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'
import { page } from '@/features/page'
import { Earlier } from '@/ui/earlier'

export const metadata: Metadata = { title: 'Readiness of one person' }

export default page<{
  params: Promise<{ id: string }>
  searchParams: Promise<{ family?: string; turns?: string; all?: string }>
}>(async (ctx, { params, searchParams }) => {
  const { id } = await params
  const { family: asked, turns, all } = await searchParams
  const family = familyAsked(asked)
  const person = personReadiness(ctx, id, {
    family,
    withTurnings: turns !== undefined,
    withAll: all !== undefined,
  })
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
            <Turnings turnings={person.turnings} href={`/readiness/${id}?family=${family}&turns=1`} />
            <PlaceForm key={family} studentId={id} stages={person.stages} placed={person.placed} />
          </Stack>
        </GridCol>
        <GridCol span={{ base: 12, lg: 6 }}>
          <RecordPanel key={family} person={person} />
          <Earlier
            links={[
              person.earlier === 0
                ? null
                : [`${person.earlier} earlier entries`, `/readiness/${id}?family=${family}&all=1`],
            ]}
          />
        </GridCol>
      </Grid>
      <SafetyLine />
    </>
  )
})
