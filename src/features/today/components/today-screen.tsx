import { Grid, GridCol, Stack, Text } from '@mantine/core'
import type { ReactNode } from 'react'
import { count } from '@/core/words/number'
import { LinkButton } from '@/ui/link-button'
import { PageHead } from '@/ui/page-head'
import { RoomDrawing } from '@/ui/room/room-drawing'
import { SafetyLine } from '@/ui/safety-line'
import { TextLink } from '@/ui/text-link'
import { Section } from '@/ui/section'
import type { TodayData } from '../queries'
import { EmptyRoom } from './empty-start'
import { Ribbon } from './ribbon'
import classes from './today.module.css'
import { Notice } from '@/ui/notice'

type Props = {
  data: TodayData
  /** The form for names, from the people's part of the house. */
  addPeople: ReactNode
  /** What the week asks for, where no class is today. */
  week: ReactNode
}

/** The room, what needs settling, one button; between classes the week. */
export function TodayScreen({ data, addPeople, week }: Props) {
  if (data.state === 'empty')
    return (
      <Stack gap="xl">
        <KeyLost words={data.keyLost} />
        <PageHead title="Who is coming?" lead="Names, a wall and a few blocks: then a first plan stands." />
        {data.people === 0 ? addPeople : <Text>{data.people} people are here.</Text>}
        {data.wallSet ? null : <EmptyRoom />}
      </Stack>
    )
  if (data.state === 'no-class')
    return (
      <>
        <KeyLost words={data.keyLost} />
        <PageHead title="Nothing booked" lead={`${data.people} people and ${data.bays} wall bays are ready.`}>
          <LinkButton variant="filled" href="/plans/new">
            Plan the next class
          </LinkButton>
        </PageHead>
        {week}
        <SafetyLine />
      </>
    )
  return (
    <>
      <KeyLost words={data.keyLost} />
      <PageHead
        title={data.title}
        lead={`${data.when}, ${count(data.people, 'person', 'people')} booked, ${data.expected}`}
      >
        {data.planned ? (
          <LinkButton variant="filled" href={`/teach/${data.id}`}>
            Take to class
          </LinkButton>
        ) : (
          <LinkButton variant="filled" href={`/plans/${data.id}`}>
            Plan this class
          </LinkButton>
        )}
        {data.isToday ? <LinkButton href={`/teach/${data.id}/door`}>At the door</LinkButton> : null}
      </PageHead>
      {week}
      {data.planned ? (
        <Ribbon parts={data.parts} href={`/plans/${data.id}`} />
      ) : (
        <Text>No plan is kept for this class yet.</Text>
      )}
      <Grid gap="xl">
        <GridCol span={{ base: 12, lg: 3 }}>
          <Stack>
            {data.settle.length > 0 ? (
              <Section title="To settle first" fz="xl">
                <ul className={classes.settle}>
                  {data.settle.map((line) => (
                    <li key={line.text} className="card">
                      <Text>{line.text}</Text>
                      <LinkButton href={line.href} aria-label={`${line.do}: ${line.text}`}>
                        {line.do}
                      </LinkButton>
                    </li>
                  ))}
                </ul>
              </Section>
            ) : (
              <Text>Nothing needs settling.</Text>
            )}
            {data.isToday ? (
              <Text c="dimmed">
                {data.checkedIn} of {data.people} have checked in.
              </Text>
            ) : null}
          </Stack>
        </GridCol>
        <GridCol span={{ base: 12, lg: 9 }}>
          <RoomDrawing
            room={data.room}
            occupants={data.occupants}
            height="64vh"
            label={`The room from above with the first wave at the wall: ${count(data.occupants.length, 'person', 'people')} at their places`}
          />
        </GridCol>
      </Grid>
      <SafetyLine />
    </>
  )
}

/** Said first wherever it is so: what a lost key closes, and where it is put right. */
function KeyLost({ words }: { words: string }) {
  if (words === '') return null
  return (
    <Notice mb="md" title={words}>
      <TextLink href="/studio/house">Put the key back from its printed code</TextLink>
    </Notice>
  )
}
