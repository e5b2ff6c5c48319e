'use client'

import { List, Stack, Table, Text } from '@mantine/core'
import { useMemo } from 'react'
import type { Body, BodyInput } from '@/core/body/estimate'
import { headRoom } from '@/core/body/head-room'
import type { Stock } from '@/core/props/stock'
import { doubtful, worthMeasuring } from '@/core/setups/measure-sheet'
import { length, type Wording } from '@/core/words/number'
import { describeHeadRoom } from '@/core/words/head-room'
import { segmentName } from '@/core/words/length'
import { placementLabel } from '@/core/words/setup'
import { TextLink } from '@/ui/text-link'
import { Section } from '@/ui/section'
import type { BenchPerson } from '../queries'

type Props = {
  person: BenchPerson | undefined
  input: BodyInput
  body: Body
  setupIds: readonly string[]
  labelOf: (setupId: string) => string
  stock: Stock
  wording: Wording
}

/** The fewest lengths that matter for what this person does next, and questions that the body answers. */
export function MeasurePanel({ person, input, body, setupIds, labelOf, stock, wording }: Props) {
  const worth = useMemo(() => worthMeasuring(input, setupIds, stock), [input, setupIds, stock])
  const room = headRoom(body)
  const doubts = Object.entries(input.measured ?? {}).flatMap(([name, valueCm]) => {
    const doubt = doubtful(input.statureCm, name as keyof typeof body.length, valueCm)
    return doubt ? [{ name: name as keyof typeof body.length, valueCm, ...doubt }] : []
  })
  return (
    <Stack>
      <Section title="Worth a tape" fz="xl">
        <Text c="dimmed" mb="xs">
          {setupIds.length === 0
            ? 'What stands on the bench is closed to them: pick what they do instead.'
            : `For ${setupIds.map(labelOf).join(', ')}. The length that would move something most comes first; the rest can stay estimates.`}
        </Text>
        {worth.length === 0 ? (
          <Text>
            Nothing: no length that is still estimated moves anything by more than half a centimetre.
          </Text>
        ) : (
          <Table verticalSpacing="xs">
            <Table.Tbody>
              {worth.map((w) => (
                <Table.Tr key={w.length}>
                  <Table.Th scope="row">{segmentName(w.length)}</Table.Th>
                  <Table.Td>
                    moves “{placementLabel(w.placement).toLowerCase()}” by {length(w.movesCm, wording)}
                  </Table.Td>
                </Table.Tr>
              ))}
            </Table.Tbody>
          </Table>
        )}
        {person ? (
          <Text mt="xs">
            <TextLink href={`/students/${person.id}`}>Enter what you measured</TextLink>
          </Text>
        ) : null}
        {doubts.length === 0 ? null : (
          <List mt="sm">
            {doubts.map((d) => (
              <List.Item key={d.name}>
                {segmentName(d.name)} {length(d.valueCm, wording)}: about {length(d.expectedCm, wording)}{' '}
                would be usual for this height. Measure again?
              </List.Item>
            ))}
          </List>
        )}
      </Section>
      <Section title="Can the arms carry the head?" fz="xl">
        {describeHeadRoom(room, wording).map((line) => (
          <Text key={line}>{line}</Text>
        ))}
      </Section>
    </Stack>
  )
}
