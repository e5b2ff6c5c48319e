import { Alert, Divider, List, ListItem, Stack, Text, Title } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { ClearanceForm } from '@/features/health/components/clearance-form'
import { HealthForm } from '@/features/health/components/health-form'
import { clearableLoads, healthView } from '@/features/health/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'

/** The title names nobody and nothing: tabs are seen by others. */
export const metadata: Metadata = { title: 'Limits' }

export default async function HealthPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const view = healthView(id)
  if (!view) notFound()
  return (
    <Stack maw={860}>
      <PageHead title={view.name} lead="What may be carried, what is changed, and what to do instead.">
        <LinkButton href={`/students/${id}`} variant="default">
          Profile
        </LinkButton>
        <LinkButton href={`/readiness/${id}`} variant="default">
          Readiness
        </LinkButton>
      </PageHead>
      {view.shut ? (
        <Alert
          color="clay"
          title="These notes were sealed with another key and stay shut. They count as not answered."
        />
      ) : null}
      <section aria-labelledby="limits">
        <Title order={2} id="limits" fz="xl" mb="xs">
          Limits today
        </Title>
        <Text mb="xs">{view.state}</Text>
        {view.limits.length === 0 ? (
          <Text c="dimmed">Nothing is limited by what is on record.</Text>
        ) : (
          <List>
            {view.limits.map((limit) => (
              <ListItem key={limit.key}>
                <strong>{limit.word}</strong>: {limit.text}
              </ListItem>
            ))}
          </List>
        )}
        {view.clearances.map((line) => (
          <Text key={line} mt="xs">
            {line}.
          </Text>
        ))}
      </section>
      {view.closed.length === 0 ? null : (
        <section aria-labelledby="instead">
          <Title order={2} id="instead" fz="xl" mb="xs">
            From where it closes, and what to do instead
          </Title>
          <List>
            {view.closed.map((line) => (
              <ListItem key={line.stage}>
                <strong>{line.stage}</strong>. {line.text}
              </ListItem>
            ))}
          </List>
        </section>
      )}
      <Divider />
      <section aria-labelledby="clearance">
        <Title order={2} id="clearance" fz="xl" mb="xs">
          A clinician’s clearance
        </Title>
        <ClearanceForm id={id} loads={clearableLoads()} />
      </section>
      <Divider />
      <section aria-labelledby="answers">
        <Title order={2} id="answers" fz="xl">
          Answers
        </Title>
        <Text c="dimmed" mb="sm">
          As much or as little as the student likes. You are not a clinician: where an answer raises a doubt,
          ask them to see one. Nothing here is shown on a plan, a card or a shared screen; only the limits
          are.
        </Text>
        <HealthForm id={id} questions={view.questions} />
      </section>
      <SafetyLine />
    </Stack>
  )
}
