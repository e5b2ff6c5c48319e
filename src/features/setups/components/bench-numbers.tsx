'use client'

import { Group, Stack, Text } from '@mantine/core'
import { memo } from 'react'
import { helperForce } from '@/core/mechanics/helpers'
import type { SetupSolution } from '@/core/setups/setup'
import { percent, type Wording } from '@/core/words/number'
import {
  bodyWay,
  describeProp,
  describeStep,
  describeWarning,
  placementLabel,
  placementValue,
} from '@/core/words/setup'
import { TextLink } from '@/ui/text-link'
import { Section } from '@/ui/section'
import type { BenchPerson, SetupFacts } from '../queries'
import classes from './bench.module.css'
import { Notice } from '@/ui/notice'

type Props = {
  solution: SetupSolution
  facts: SetupFacts
  person: BenchPerson | undefined
  labelOf: (setupId: string) => string
  onPick: (setupId: string) => void
  wording: Wording
}

/** Where things go, in the order it is done, and everything that stands beside a setup. */
export function BenchNumbers({ solution, person, wording }: Pick<Props, 'solution' | 'person' | 'wording'>) {
  const limit = person?.bySetup[solution.id]
  return (
    <Stack gap="lg">
      {solution.warnings.map((warning) => (
        <Notice key={warning.code} title={describeWarning(warning, wording)} />
      ))}
      {limit ? <Notice title={limit.text} /> : null}
      {person?.limits === null ? (
        <Text role="status">Looking up what is closed to {person.name}.</Text>
      ) : null}
      {person?.limits && person.limits.length > 0 ? (
        <Text>
          <strong>Limits of {person.name.split(' ')[0]} tonight:</strong> leave out {person.limits.join(', ')}
          . <TextLink href={`/students/${person.id}/health`}>What instead</TextLink>
        </Text>
      ) : null}
      <PlacementTable solution={solution} wording={wording} />
      <Section title="In this order" fz="xl" mb={4}>
        <Text c="dimmed" mb="xs">
          Fetch: {solution.props.map((prop) => describeProp(prop, wording)).join(' · ') || 'nothing'}
        </Text>
        <ol>
          {solution.steps.map((s) => (
            <li key={s.code}>{describeStep(s, wording)}</li>
          ))}
        </ol>
      </Section>
    </Stack>
  )
}

/** What to look for, the way out, who helps and with how much, and the neighbours with less or more support. */
export const BenchSides = memo(function BenchSides({
  solution,
  facts,
  touch,
  labelOf,
  onPick,
}: Omit<Props, 'person' | 'wording'> & { touch: BenchPerson['touch'] | undefined }) {
  return (
    <>
      <Section title="Look for, and the way out" fz="xl" mb={4}>
        {facts.lookFor === '' ? null : <Text>{facts.lookFor}</Text>}
        {facts.exit === '' ? null : (
          <Text>
            <strong>Out:</strong> {facts.exit}
          </Text>
        )}
        {touch === 'no' && facts.assists.some((a) => a.touch) ? (
          <Text fw={600}>No touch: tell and show only.</Text>
        ) : null}
        {facts.assists
          .filter((a) => touch !== 'no' || !a.touch)
          .map((assist) => (
            <Text key={assist.id}>
              <strong>{assist.name}:</strong> {assist.do} {effort(assist.id, solution)}
            </Text>
          ))}
      </Section>
      <Neighbours solution={solution} labelOf={labelOf} onPick={onPick} />
    </>
  )
})

/** Distances by name with their error, and how to find each without a tape. */
export function PlacementTable({ solution, wording }: Pick<Props, 'solution' | 'wording'>) {
  if (solution.placements.length === 0) return null
  return (
    <Section title="Where things go" fz="xl">
      <table className={classes.placements}>
        <tbody>
          {solution.placements.map((placement) => (
            <tr key={placement.key}>
              <th scope="row">
                {placementLabel(placement.key)}
                <span>{bodyWay(placement, wording)}</span>
              </th>
              <td>{placementValue(placement, wording)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Section>
  )
}

function effort(assistId: string, { start, target }: SetupSolution): string {
  const force = helperForce(assistId, start.rise ? target : start)
  if (!force || force.share + Math.abs(force.horizontalShare) < 0.01) return ''
  const lift = force.share >= 0.01 ? `carries about ${percent(force.share)} of body weight` : ''
  const push =
    Math.abs(force.horizontalShare) >= 0.01
      ? `steadies with about ${percent(Math.abs(force.horizontalShare))}`
      : ''
  return `The helper ${[lift, push].filter((t) => t !== '').join(' and ')}.`
}

function Neighbours({ solution, labelOf, onPick }: Pick<Props, 'solution' | 'labelOf' | 'onPick'>) {
  const rows = [
    { word: 'Less support', ids: solution.less },
    { word: 'More support', ids: solution.more },
  ].filter((r) => r.ids.length > 0)
  if (rows.length === 0) return null
  return (
    <nav aria-label="Less or more support">
      {rows.map(({ word, ids }) => (
        <Group key={word} gap="xs">
          <Text fw={500}>{word}:</Text>
          {ids.map((id) => (
            <button key={id} type="button" className="plain-link" onClick={() => onPick(id)}>
              {labelOf(id)}
            </button>
          ))}
        </Group>
      ))}
    </nav>
  )
}
