import { List, ListItem, Stack, Text, Title } from '@mantine/core'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { SafetyLine } from '@/ui/safety-line'
import type { ReactNode } from 'react'
import type { TodayData } from '../queries'
import { EmptyRoom } from './empty-start'
import { RoomPicture } from './room-picture'

/** The room, what needs settling, one button. `addPeople` is the form for names, from the people's part of the house. */
export function TodayScreen({ data, addPeople }: { data: TodayData; addPeople: ReactNode }) {
  if (data.state === 'empty')
    return (
      <Stack gap="xl">
        <PageHead title="Who is coming?" lead="Names, a wall and a few blocks: then a first plan stands." />
        {data.people === 0 ? addPeople : <Text>{data.people} people are here.</Text>}
        {data.wallSet ? null : <EmptyRoom />}
      </Stack>
    )
  if (data.state === 'no-class')
    return (
      <>
        <PageHead title="Nothing booked" lead={`${data.people} people and ${data.bays} wall bays are ready.`}>
          <LinkButton href="/plans/new">Plan the next class</LinkButton>
        </PageHead>
        <SafetyLine />
      </>
    )
  return (
    <>
      <PageHead title={data.title} lead={`${data.when}, ${data.spots.length} people`}>
        {data.planned ? (
          <LinkButton href={`/teach/${data.id}`}>Take to class</LinkButton>
        ) : (
          <LinkButton href={`/plans/${data.id}`}>Look at the plan</LinkButton>
        )}
      </PageHead>
      <Stack gap="lg">
        {data.settle.length > 0 ? (
          <section aria-labelledby="settle">
            <Title order={2} id="settle" fz="xl">
              To settle first
            </Title>
            <List size="lg">
              {data.settle.map((line) => (
                <ListItem key={line}>{line}</ListItem>
              ))}
            </List>
          </section>
        ) : null}
        <RoomPicture spots={data.spots} bays={data.bays} wallBays={data.wallBays} />
      </Stack>
      <SafetyLine />
    </>
  )
}
