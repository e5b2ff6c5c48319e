'use client'

import { Group, Select, SimpleGrid, Stack, Table, Text } from '@mantine/core'
import { useState } from 'react'
import type { Body } from '@/core/body/estimate'
import type { Stock } from '@/core/props/stock'
import { findSetup } from '@/core/setups/catalogue'
import { compareFigures } from '@/core/setups/figures'
import { compareWays } from '@/core/setups/right-angle-ways'
import { choiceLabel } from '@/core/words/choice'
import { describeCompared } from '@/core/words/figures'
import { deg, length, percent, type Wording } from '@/core/words/number'
import { describeScene } from '@/core/words/setup'
import { SceneView } from '@/ui/scene/scene-view'
import { Section } from '@/ui/section'
import type { BenchBody, SetupFacts } from '../queries'
import { solveForScreen, type Options } from './bench-state'
import { OptionControl } from './option-control'

type Side = { personId: string; setupId: string; options: Options }
type Props = {
  people: readonly BenchBody[]
  setups: readonly SetupFacts[]
  stock: Stock
  /** What is on the bench: the left side starts from it. */
  from: Side
  genericCm: number
  wording: Wording
  /** Whether a setup is closed to whoever is on the bench: it is not held up beside it. */
  isClosed: (setupId: string) => boolean
}

/** Two setups, two measures or two people side by side, with the differences in figures. */
export function ComparePanel({ people, setups, stock, from, genericCm, wording, isClosed }: Props) {
  const [left, setLeft] = useState(from)
  const solve = (side: Side) => {
    const person = people.find((p) => p.id === side.personId)
    return solveForScreen(
      person?.body ?? { statureCm: genericCm },
      side.setupId,
      side.options,
      stock,
      wording,
    )
  }
  // Two that differ: the neighbour with less support, else with more, else the same again.
  const [right, setRight] = useState<Side>(() => {
    const { solution } = solve(from)
    const beside = [...(solution?.less ?? []), ...(solution?.more ?? [])].find((id) => !isClosed(id))
    return beside === undefined ? from : { ...from, setupId: beside, options: {} }
  })
  const [a, b] = [solve(left), solve(right)]
  return (
    <Stack>
      <SimpleGrid cols={{ base: 1, md: 2 }} spacing="xl">
        {(
          [
            ['Left', left, setLeft, a],
            ['Right', right, setRight, b],
          ] as const
        ).map(([name, side, set, shown]) => (
          <section key={name} aria-label={name}>
            <Stack gap="sm">
              <Group grow align="flex-start">
                <Select
                  label={`${name}: whose body`}
                  searchable
                  data={[
                    { value: '', label: 'Any body, by height' },
                    ...people.filter((p) => p.body).map((p) => ({ value: p.id, label: p.name })),
                  ]}
                  value={side.personId}
                  onChange={(id) => set({ ...side, personId: id ?? '' })}
                />
                <Select
                  label={`${name}: setup`}
                  searchable
                  data={setups.map((s) => ({ value: s.id, label: s.label }))}
                  value={side.setupId}
                  onChange={(id) => set({ ...side, setupId: id ?? side.setupId, options: {} })}
                />
              </Group>
              {shown.refusal === null ? null : <Text role="alert">{shown.refusal}</Text>}
              {shown.solution ? (
                <SceneView
                  scene={shown.solution.scene}
                  wording={wording}
                  label={describeScene(shown.solution, wording)}
                />
              ) : null}
              {(findSetup(side.setupId)?.options ?? []).map((option) => (
                <OptionControl
                  key={option.key}
                  option={option}
                  value={shown.solution?.options[option.key] ?? option.min}
                  wording={wording}
                  onChange={(key, value) => set({ ...side, options: { ...side.options, [key]: value } })}
                  onDone={() => undefined}
                />
              ))}
            </Stack>
          </section>
        ))}
      </SimpleGrid>
      {a.solution && b.solution ? (
        <Table.ScrollContainer minWidth={420}>
          <Table verticalSpacing="xs">
            <Table.Caption>Right less left</Table.Caption>
            <Table.Thead>
              <Table.Tr>
                <Table.Th scope="col">Figure</Table.Th>
                <Table.Th scope="col">Left</Table.Th>
                <Table.Th scope="col">Right</Table.Th>
                <Table.Th scope="col">Difference</Table.Th>
              </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
              {compareFigures(a.solution, b.solution).map((row) => {
                const said = describeCompared(row, wording)
                return (
                  <Table.Tr key={row.key}>
                    <Table.Th scope="row" fw={500}>
                      {said.label}
                    </Table.Th>
                    <Table.Td>{said.a}</Table.Td>
                    <Table.Td>{said.b}</Table.Td>
                    <Table.Td fw={650}>{said.difference}</Table.Td>
                  </Table.Tr>
                )
              })}
            </Table.Tbody>
          </Table>
        </Table.ScrollContainer>
      ) : null}
      {a.body ? <Ways body={a.body} wording={wording} /> : null}
    </Stack>
  )
}

/** The customary ways of finding the hands' line for a right angle at the wall, on the left body. */
function Ways({ body, wording }: { body: Body; wording: Wording }) {
  const { ways, recommended } = compareWays(body)
  const said = (value: number | null, as: (v: number) => string): string =>
    value === null ? 'not on this body' : as(value)
  return (
    <Section title="Right angle at the wall: how the line is found" fz="xl">
      <Table.ScrollContainer minWidth={520}>
        <Table verticalSpacing="xs">
          <Table.Thead>
            <Table.Tr>
              {['Way', 'Hands from the wall', 'Misses by', 'Trunk leans', 'Hips fold', 'Hands carry'].map(
                (h) => (
                  <Table.Th key={h} scope="col">
                    {h}
                  </Table.Th>
                ),
              )}
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {ways.map((way) => (
              <Table.Tr key={way.method}>
                <Table.Th scope="row" fw={way.method === recommended ? 700 : 500}>
                  {choiceLabel(way.method)}
                  {way.method === recommended ? ' · hips over wrists' : ''}
                </Table.Th>
                <Table.Td>{length(way.lineCm, wording)}</Table.Td>
                <Table.Td>{way.method === recommended ? '–' : length(way.missCm, wording)}</Table.Td>
                <Table.Td>{said(way.trunkLeanDeg, deg)}</Table.Td>
                <Table.Td>{said(way.hipFlexionDeg, deg)}</Table.Td>
                <Table.Td>{said(way.handShare, percent)}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </Table.ScrollContainer>
    </Section>
  )
}
