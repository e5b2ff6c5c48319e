'use client'

import { Button, Stack, Table, Text, Title } from '@mantine/core'
import { useState } from 'react'
import { LazyChart } from './lazy-chart'
import { FormProblem } from '@/ui/form-problem'
import { useFact } from '../../use-fact'
import type { HistoryEntry, PersonReadiness } from '../person-queries'

type Props = {
  studentId: string
  entries: readonly HistoryEntry[]
  holds: PersonReadiness['holds']
  onCorrect: (entry: HistoryEntry) => void
}

/** Entries before the rest is folded away. */
const SHOWN = 10

/** What was recorded, newest first, and the holds over time. */
export function History({ studentId, entries, holds, onCorrect }: Props) {
  const { busy, problemOf, save } = useFact()
  const [unfolded, setUnfolded] = useState(false)
  const shared = {
    busy,
    onCorrect,
    onTakeBack: (entry: HistoryEntry): void => {
      void save({ kind: 'taken-back', of: 'observation', studentId, target: entry.id })
    },
  }
  if (entries.length === 0)
    return <Text c="dimmed">Nothing recorded yet. The first result starts the history.</Text>
  return (
    <Stack>
      <Title order={2} fz="xl">
        History
      </Title>
      <FormProblem message={problemOf('')} />
      {holds.length > 1 ? (
        <figure
          aria-label={`Dolphin holds over time, from ${holds[0]?.seconds ?? 0} to ${holds.at(-1)?.seconds ?? 0} seconds; the table below has every value`}
          style={{ margin: 0, maxWidth: 720 }}
        >
          <LazyChart holds={holds} />
        </figure>
      ) : null}
      <Entries {...shared} entries={entries.slice(0, SHOWN)} />
      {entries.length <= SHOWN ? null : (
        <details onToggle={(event) => setUnfolded(event.currentTarget.open)}>
          <summary>{entries.length - SHOWN} earlier</summary>
          {unfolded ? <Entries {...shared} entries={entries.slice(SHOWN)} /> : null}
        </details>
      )}
    </Stack>
  )
}

type EntriesProps = Pick<Props, 'entries' | 'onCorrect'> & {
  busy: boolean
  onTakeBack: (entry: HistoryEntry) => void
}

function Entries({ entries, busy, onCorrect, onTakeBack }: EntriesProps) {
  return (
    <Table.ScrollContainer minWidth={420}>
      <Table verticalSpacing="xs" horizontalSpacing={6}>
        <Table.Thead>
          <Table.Tr>
            <Table.Th scope="col">Day</Table.Th>
            <Table.Th scope="col">Check</Table.Th>
            <Table.Th scope="col">Result</Table.Th>
            <Table.Th scope="col">Seen</Table.Th>
            <Table.Th scope="col">Put right</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {entries.map((entry) => (
            <Table.Tr key={entry.id}>
              <Table.Td>{entry.dayLabel}</Table.Td>
              <Table.Td>{entry.check}</Table.Td>
              <Table.Td>
                {entry.result}
                {entry.corrects ? ' (corrected)' : ''}
              </Table.Td>
              <Table.Td>
                {[
                  entry.counted,
                  ...entry.faults,
                  ...(entry.observer === '' ? [] : [`by ${entry.observer}`]),
                ].join(' · ')}
                {entry.note === '' ? null : <Text size="sm">{entry.note}</Text>}
              </Table.Td>
              <Table.Td>
                <Stack gap={0} align="flex-start">
                  <Button
                    size="xs"
                    variant="subtle"
                    c="var(--ink)"
                    aria-label={`Correct ${entry.check} of ${entry.dayLabel}`}
                    onClick={() => onCorrect(entry)}
                  >
                    Correct
                  </Button>
                  <Button
                    size="xs"
                    variant="subtle"
                    c="var(--ink)"
                    disabled={busy}
                    aria-label={`Take back ${entry.check} of ${entry.dayLabel}`}
                    onClick={() => onTakeBack(entry)}
                  >
                    Take back
                  </Button>
                </Stack>
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </Table.ScrollContainer>
  )
}
