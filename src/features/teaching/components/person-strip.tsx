'use client'

import { Button, Chip, Group, SegmentedControl, Stack, Text } from '@mantine/core'
import { useState } from 'react'
import type { Recorded, StageBrief, TeachPerson } from '../queries'
import type { Mark } from './use-class-run'

type Props = {
  person: TeachPerson
  stage: StageBrief
  place: number | null
  recorded: readonly Recorded[]
  onMark: (mark: Mark) => void
  onUndo: (last: Recorded) => void
}

const LEVELS = [
  { value: 'took-off', label: 'Took off' },
  { value: 'hop', label: 'Hop' },
  { value: 'touched', label: 'Touched' },
  { value: 'held', label: 'Held' },
] as const

/** One person: what they do, and large taps for what came of it. */
export function PersonStrip({ person, stage, place, recorded, onMark, onUndo }: Props) {
  const [faults, setFaults] = useState<string[]>([])
  const [level, setLevel] = useState<Mark['level']>('hop')
  const mine = recorded.filter((r) => r.studentId === person.id && r.stageId === stage.id)
  const last = mine.at(-1)
  const mark = (part: Partial<Mark> & Pick<Mark, 'outcome'>): void => {
    onMark({
      studentId: person.id,
      stageId: stage.id,
      level: stage.leavesFloor ? level : 'practised',
      exitControlled: true,
      help: 'alone',
      faults,
      endedBy: part.outcome === 'clean' ? null : 'self',
      ...part,
    })
    setFaults([])
  }
  return (
    <section className="card" aria-label={person.name}>
      <Stack gap="xs">
        <Group justify="space-between" wrap="nowrap" align="flex-start">
          <div>
            <Text fz={24} fw={650} lh={1.2}>
              {place === null ? '' : `Bay ${place} · `}
              {person.name}
            </Text>
            <Text>
              {stage.name}
              {stage.cue === '' ? null : (
                <>
                  . <em>{stage.cue}</em>
                </>
              )}
            </Text>
            {stage.change === '' ? null : <Text fw={600}>{stage.change}</Text>}
            {person.limits.length === 0 ? null : (
              <Text size="sm">Leaves out {person.limits.join(', ')}.</Text>
            )}
          </div>
          <Text role="status" ta="right">
            {mine.length > 0
              ? `${mine.filter((r) => r.outcome === 'clean').length} clean of ${mine.length}`
              : ''}
          </Text>
        </Group>
        {stage.id === '' ? null : taps()}
      </Stack>
    </section>
  )

  function taps() {
    return (
      <>
        {stage.leavesFloor ? (
          <SegmentedControl
            aria-label={`How far ${person.name} got`}
            data={[...LEVELS]}
            value={level}
            onChange={(v) => setLevel(v)}
            size="md"
          />
        ) : null}
        <Chip.Group multiple value={faults} onChange={setFaults}>
          <Group gap="xs" role="group" aria-label={`Faults of ${person.name}`}>
            {stage.faults.map((fault) => (
              <Chip
                key={fault.id}
                value={fault.id}
                size="lg"
                styles={{ label: { height: 64, paddingInline: 18 } }}
              >
                {fault.name}
              </Chip>
            ))}
          </Group>
        </Chip.Group>
        <Group gap="xs">
          <Button
            size="lg"
            mih={64}
            px="lg"
            disabled={faults.length > 0}
            onClick={() => mark({ outcome: 'clean' })}
            aria-label={`${person.name}: clean`}
          >
            Clean
          </Button>
          <Button
            size="lg"
            mih={64}
            px="lg"
            variant="default"
            onClick={() => mark({ outcome: 'not-yet' })}
            aria-label={`${person.name}: not yet`}
          >
            Not yet
          </Button>
          <Button
            size="lg"
            mih={64}
            px="lg"
            variant="default"
            onClick={() => mark({ outcome: 'not-yet', exitControlled: false })}
            aria-label={`${person.name}: dropped out`}
          >
            Dropped out
          </Button>
          <Button
            size="lg"
            mih={64}
            px="lg"
            variant="default"
            onClick={() => mark({ outcome: 'stopped', endedBy: 'spent-arms' })}
            aria-label={`${person.name}: arms spent`}
          >
            Arms spent
          </Button>
          {last ? (
            <Button
              size="lg"
              mih={64}
              px="lg"
              variant="subtle"
              c="var(--ink)"
              onClick={() => onUndo(last)}
              aria-label={`${person.name}: undo the last tap`}
            >
              Undo
            </Button>
          ) : null}
        </Group>
      </>
    )
  }
}
