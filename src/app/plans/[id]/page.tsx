import { Alert, List, ListItem, Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { PlanAgain } from '@/features/plans/components/plan-again'
import { PlanBlocks } from '@/features/plans/components/plan-blocks'
import { planView } from '@/features/plans/queries'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'
import { page } from '@/features/page'

export const metadata: Metadata = { title: 'Plan' }

export default page<{ params: Promise<{ id: string }> }>(async (ctx, { params }) => {
  const { id } = await params
  const plan = planView(ctx, id)
  if (!plan) notFound()
  const settle = [...plan.warnings, ...plan.violations]
  return (
    <Stack>
      <PageHead
        title={plan.title}
        lead={`${plan.dayLabel}, ${plan.startTime} · ${plan.minutes} min · ${plan.people} people · ${plan.bays} bays · fetch ${plan.pull || 'nothing'}`}
      >
        {plan.planned ? <LinkButton href={`/teach/${id}`}>Take to class</LinkButton> : null}
        {plan.planned ? (
          <LinkButton href={`/plans/${id}/sheet`} variant="default">
            Printed sheet
          </LinkButton>
        ) : null}
        <LinkButton href={`/teach/${id}/door`} variant="default">
          At the door
        </LinkButton>
        <LinkButton href={`/studio/approaches?scope=class&id=${id}`} variant="default">
          Ways of working
        </LinkButton>
        <PlanAgain id={id} label={plan.planned ? 'Plan again from today' : 'Make the plan'} />
      </PageHead>
      {settle.length > 0 ? (
        <Alert
          color="straw"
          title="To settle"
          styles={{ title: { color: 'var(--ink)' }, root: { background: 'var(--wash-straw)' } }}
        >
          <List>
            {settle.map((line) => (
              <ListItem key={line}>{line}</ListItem>
            ))}
          </List>
        </Alert>
      ) : null}
      {plan.planned ? (
        <PlanBlocks classId={id} blocks={plan.blocks} editable />
      ) : (
        <Text>No plan yet. Making one takes a moment and nothing is fixed by it.</Text>
      )}
      <SafetyLine />
    </Stack>
  )
})
