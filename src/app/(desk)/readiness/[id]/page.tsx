import { Grid, GridCol, Stack } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { AnswerPanel } from '@/features/readiness/components/answer-panel'
import { FamilyTabs } from '@/features/readiness/components/family-tabs'
import { NextSteps } from '@/features/readiness/components/next-steps'
import { RecordPanel } from '@/features/readiness/components/record-panel'
import { StepOpened } from '@/features/readiness/components/step-open'
import { StepPath } from '@/features/readiness/components/step-path'
import { Turnings } from '@/features/readiness/components/turnings'
import { PlaceForm } from '@/features/readiness/components/place-form'
import { familyAsked } from '@/features/desk/families'
import { personReadiness } from '@/features/readiness/person-queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { TextLink } from '@/ui/text-link'
import { SafetyLine } from '@/ui/safety-line'
import { page } from '@/features/page'
import { Earlier } from '@/ui/earlier'

export const metadata: Metadata = { title: 'Readiness of one person' }

export default page<{
  params: Promise<{ id: string }>
  searchParams: Promise<{ family?: string; turns?: string; all?: string; step?: string }>
}>(async (ctx, { params, searchParams }) => {
  const { id } = await params
  const { family: asked, turns, all, step } = await searchParams
  const family = familyAsked(asked)
  const found = personReadiness(ctx, id, {
    family,
    withTurnings: turns !== undefined,
    withAll: all !== undefined,
    step,
  })
  if (!found) notFound()
  // What is drawn stays on the server: the forms need none of it.
  const { path, next, turnings, ...person } = found
  return (
    <>
      <PageHead title={person.name} lead="What has been shown, and what comes next?">
        <LinkButton href={`/progress/${id}?family=${family}`}>Week by week</LinkButton>
        <LinkButton href={`/students/${id}`}>Profile</LinkButton>
      </PageHead>
      <FamilyTabs id={id} families={person.families} current={family} />
      <StepPath {...path} href={(stepId) => `/readiness/${id}?family=${family}&step=${stepId}`} />
      <Grid gap="xl">
        <GridCol span={{ base: 12, lg: 7 }}>
          <Stack>
            {path.open ? (
              <StepOpened
                step={path.open}
                studentId={id}
                decision={path.open.answers ? person.decision : null}
                outcome={person.decision.outcome}
                tonight={person.tonight}
              />
            ) : null}
            {path.open?.answers === false ? (
              <TextLink href={`/readiness/${id}?family=${family}`}>Back to what comes next</TextLink>
            ) : null}
            {person.answer ? <AnswerPanel studentId={id} answer={person.answer} /> : null}
            <NextSteps next={next} />
            <Turnings turnings={turnings} href={`/readiness/${id}?family=${family}&turns=1`} />
            <PlaceForm key={family} studentId={id} stages={person.stages} placed={person.placed} />
          </Stack>
        </GridCol>
        <GridCol span={{ base: 12, lg: 5 }}>
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
