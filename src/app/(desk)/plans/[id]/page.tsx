import { Group, List, ListItem, Stack, Text } from '@mantine/core'
import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { HandOver } from '@/features/handover/components/hand-over'
import { ArrangeLazy } from '@/features/plans/components/arrange-lazy'
import { BetterPlan } from '@/features/plans/components/better-plan'
import { ClassTools, StepBack } from '@/features/plans/components/class-tools'
import { PlanAgain } from '@/features/plans/components/plan-again'
import { PlanBlocks } from '@/features/plans/components/plan-blocks'
import { PlanFile } from '@/features/plans/components/plan-file'
import { PlanPeople } from '@/features/plans/components/plan-people'
import { PlanRibbon } from '@/features/plans/components/plan-ribbon'
import { PlanPlaces } from '@/features/plans/components/plan-places'
import { Rehearse } from '@/features/plans/components/rehearse'
import { RoomThrough } from '@/features/plans/components/room-through'
import { roomThrough, type RoomThrough as Through } from '@/features/plans/room-queries'
import { planView, type PlanView } from '@/features/plans/plan-queries'
import { WhatHelps } from '@/features/plans/components/what-helps'
import { ChoiceLinks } from '@/ui/choice-links'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'
import { TextLink } from '@/ui/text-link'
import { page } from '@/features/page'
import { Notice } from '@/ui/notice'

export const metadata: Metadata = { title: 'Plan' }

const VIEWS = [
  { key: 'version', label: 'By version' },
  { key: 'person', label: 'By person, with why' },
  { key: 'place', label: 'By place and helper' },
  { key: 'room', label: 'From above' },
  { key: 'hand', label: 'Drag' },
] as const

export default page<{
  params: Promise<{ id: string }>
  searchParams: Promise<{ by?: string | string[] }>
}>(async (ctx, { params, searchParams }) => {
  const { id } = await params
  const { by: asked } = await searchParams
  const by = VIEWS.find((v) => v.key === asked)?.key ?? 'version'
  const plan = planView(ctx, id)
  if (!plan) notFound()
  return (
    <Stack>
      <PageHead
        title={plan.title}
        lead={`${plan.aim} · ${plan.dayLabel}, ${plan.startTime} · ${plan.minutes} min · ${plan.people} people · ${plan.bays} bays · fetch ${plan.pull || 'nothing'}`}
      >
        {plan.planned ? (
          <LinkButton variant="filled" href={`/teach/${id}`}>
            Take to class
          </LinkButton>
        ) : null}
        {plan.planned ? <LinkButton href={`/plans/${id}/sheet`}>Printed sheet</LinkButton> : null}
        {plan.planned ? <LinkButton href={`/plans/${id}/cards`}>Cards and check list</LinkButton> : null}
        <LinkButton href={`/teach/${id}/door`}>At the door</LinkButton>
        {plan.planned ? (
          <LinkButton href={`/plans/new?from=${id}`}>Run it again another day</LinkButton>
        ) : null}
        <LinkButton href={`/studio/approaches?scope=class&id=${id}`}>Ways of working</LinkButton>
        {plan.editable ? (
          <PlanAgain id={id} label={plan.planned ? 'Plan again from today' : 'Make the plan'} />
        ) : null}
        <StepBack classId={id} back={plan.canUndo} on={plan.canRedo} />
      </PageHead>
      <ToSettle title="First, what it lacks" lines={plan.warnings} />
      <ToSettle title="Rules that are broken" lines={plan.violations} />
      {plan.planned ? (
        <>
          {plan.editable ? (
            <Group align="flex-start">
              <BetterPlan classId={id} />
              <WhatHelps classId={id} />
              <Rehearse classId={id} />
            </Group>
          ) : null}
          <PlanRibbon blocks={plan.blocks} />
          <ChoiceLinks
            label="Seen"
            now={by}
            of={VIEWS.map(({ key, label }) => ({
              ...{ key, label },
              href: key === 'version' ? `/plans/${id}` : `/plans/${id}?by=${key}`,
            }))}
          />
          <Seen by={by} plan={plan} through={by === 'room' ? roomThrough(ctx, id) : null} />
          <Read craft={plan.craft} />
          <IfLate lines={plan.ifLate} />
          {plan.editable ? <ClassTools plan={plan} /> : null}
          <PlanFile classId={id} editable={plan.editable} />
          <HandOver classId={id} />
        </>
      ) : (
        <Text>No plan yet. Making one takes a moment and nothing is fixed by it.</Text>
      )}
      <SafetyLine />
    </Stack>
  )
})

/** What a plan of many years would still be asked, by the plan alone; nothing here keeps anybody from teaching it. */
function Read({ craft: { held, of, lines } }: { craft: PlanView['craft'] }) {
  if (of === 0) return null
  return (
    <section aria-label="Read as a teacher">
      <Text fw={600}>
        Read as a teacher: {held} of {of} questions answered.
      </Text>
      <List>
        {lines.map((line) => (
          <ListItem key={line}>{line}</ListItem>
        ))}
      </List>
    </section>
  )
}

/** What goes when the hour begins late: decided now, not on the floor. */
function IfLate({ lines }: { lines: readonly string[] }) {
  return (
    <section aria-label="If it begins late">
      <Text fw={600}>If it begins late</Text>
      <List>
        {lines.map((line) => (
          <ListItem key={line}>{line}</ListItem>
        ))}
      </List>
    </section>
  )
}

type SeenProps = { by: (typeof VIEWS)[number]['key']; plan: PlanView; through: Through | null }

function Seen({ by, plan, through }: SeenProps) {
  switch (by) {
    case 'version':
      return <PlanBlocks plan={plan} editable={plan.editable} />
    case 'person':
      return <PlanPeople plan={plan} />
    case 'place':
      return <PlanPlaces plan={plan} />
    case 'hand':
      return plan.editable ? <ArrangeLazy plan={plan} /> : <PlanBlocks plan={plan} editable={false} />
    case 'room':
      return through ? <RoomThrough through={through} /> : <NoRoom />
  }
}

function NoRoom() {
  return (
    <Text>
      No room is drawn yet: <TextLink href="/studio">draw it under Studio</TextLink>, and every minute of the
      class is shown in it.
    </Text>
  )
}

function ToSettle({ title, lines }: { title: string; lines: readonly string[] }) {
  if (lines.length === 0) return null
  return (
    <Notice tone="straw" title={title}>
      <List>
        {lines.map((line) => (
          <ListItem key={line}>{line}</ListItem>
        ))}
      </List>
    </Notice>
  )
}
