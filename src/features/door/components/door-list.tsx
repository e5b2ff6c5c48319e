'use client'

import { Button, Group, SegmentedControl, Select, Stack, Text, TextInput } from '@mantine/core'
import { useState } from 'react'
import { newId, newStamp } from '@/device/facts'
import { useLog, useRecord } from '@/device/use-log'
import { FormProblem } from '@/ui/form-problem'
import { LinkButton } from '@/ui/link-button'
import { TextLink } from '@/ui/text-link'
import { Section } from '@/ui/section'
import { useSubmit } from '../../use-submit'
import { dropIn, newDropIn } from '../actions'
import type { DoorData, DoorLine } from '../queries'

const MARKS = [
  { value: '', label: 'Not yet' },
  { value: 'here', label: 'Here' },
  { value: 'late', label: 'Late' },
  { value: 'absent', label: 'Absent' },
]

/** Who came, what they said, what to ask; and whoever was not expected. */
export function DoorList({ data }: { data: DoorData }) {
  return (
    <Stack>
      {data.lines.map((line) => (
        <Line key={line.id} classId={data.classId} line={line} />
      ))}
      <DropIn classId={data.classId} others={data.others} />
    </Stack>
  )
}

function Line({ classId, line }: { classId: string; line: DoorLine }) {
  const { tell, failed } = useRecord()
  const marks = useLog().flatMap(({ fact, state }) =>
    fact.kind === 'attended' && state !== 'refused' && fact.classId === classId && fact.studentId === line.id
      ? [fact]
      : [],
  )
  // The newest tap here stands until the page is drawn anew from the store.
  const mark = marks.at(-1)?.mark
  const said = [
    line.ask,
    line.limits,
    line.checkedIn ? `checked in, ${line.touch}` : '',
    line.dropIn ? 'dropped in' : '',
  ].filter((t) => t !== '')
  return (
    <div className="card" role="group" aria-label={line.name}>
      <FormProblem message={failed === '' ? undefined : failed} />
      <Group justify="space-between" gap="sm">
        <Stack gap={2} flex={1} miw={220}>
          <TextLink href={`/students/${line.id}/health`} fw={600} fz="lg">
            {line.name}
          </TextLink>
          <Text size="sm">{said.length === 0 ? 'nothing to ask' : said.join(' · ')}</Text>
        </Stack>
        <SegmentedControl
          aria-label={`${line.name} is`}
          size="md"
          data={MARKS}
          value={(mark === undefined ? line.attended : mark) ?? ''}
          onChange={(value) =>
            void tell(
              {
                kind: 'attended',
                classId,
                studentId: line.id,
                mark: value === '' ? null : (value as 'here' | 'late' | 'absent'),
              },
              `${line.name}: ${MARKS.find((m) => m.value === value)?.label.toLowerCase() ?? ''}`,
            )
          }
        />
        <LinkButton href={`/teach/${classId}/door/${line.id}`} mih={44}>
          {line.checkedIn ? 'Say it again' : 'Ask aloud'}
        </LinkButton>
      </Group>
    </div>
  )
}

function DropIn({ classId, others }: { classId: string; others: DoorData['others'] }) {
  const known = useSubmit(dropIn)
  const fresh = useSubmit(newDropIn)
  const [picked, setPicked] = useState<string | null>(null)
  const [name, setName] = useState('')
  const [id, setId] = useState(() => newId())
  return (
    <Section title="Somebody not on the list" fz="xl" mb="sm">
      <FormProblem message={known.problemOf('') ?? fresh.problemOf('')} />
      <Group align="flex-end">
        <Select
          label="Somebody known"
          w={240}
          searchable
          clearable
          data={others.map((o) => ({ value: o.id, label: o.name }))}
          value={picked}
          onChange={setPicked}
        />
        <Button
          disabled={picked === null}
          loading={known.busy}
          onClick={() =>
            void newStamp()
              .then((here) => known.send({ classId, studentId: picked ?? '', here }))
              .then((ok) => {
                if (ok) setPicked(null)
              })
          }
        >
          Add to tonight
        </Button>
        <TextInput
          label="Somebody new"
          w={240}
          value={name}
          error={fresh.problemOf('name')}
          onChange={(e) => setName(e.currentTarget.value)}
        />
        <Button
          loading={fresh.busy}
          onClick={() =>
            void newStamp()
              .then((here) => fresh.send({ classId, studentId: id, name, here }))
              .then((ok) => {
                if (!ok) return
                setName('')
                setId(newId())
              })
          }
        >
          Add a new person
        </Button>
      </Group>
      <Text c="dimmed" size="sm" mt={6}>
        Whoever is not screened gets the gentle version. In the class they have something to do at once; the
        plan itself waits until you make it again.
      </Text>
    </Section>
  )
}
