'use client'

import { Alert, Button, Checkbox, Group, List, ListItem, Select, Textarea, TextInput } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { firstAid, KINDS, TOLD, type IncidentKind, type Told } from '@/core/incident/incident'
import { KIND_WORD, TOLD_WORD } from '@/core/words/incident'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { FormShell } from '@/ui/form-shell'
import { useSubmit } from '../../use-submit'
import { saveIncident } from '../actions'
import type { incidentForm } from '../queries'

/** What to do first, then what happened, what was done, who was told. */
export function IncidentForm({
  people,
  classes,
  stages,
  today,
  time,
  reporter,
}: ReturnType<typeof incidentForm>) {
  const router = useRouter()
  const [id] = useState(newId)
  const [values, setValues] = useState({
    day: today,
    time,
    classId: null as string | null,
    studentId: null as string | null,
    kind: null as IncidentKind | null,
    stageId: null as string | null,
    happened: '',
    done: '',
    told: [] as Told[],
    witnesses: '',
    reporter,
  })
  const { busy, problemOf, send } = useSubmit(saveIncident)
  const change = (part: Partial<typeof values>): void => setValues((all) => ({ ...all, ...part }))
  const submit = async (): Promise<void> => {
    const kept = await send({ ...values, id } as Parameters<typeof saveIncident>[0])
    if (kept) router.push(`/studio/incidents/${kept.id}`)
  }
  return (
    <FormShell maxWidth={760} onSubmit={submit}>
      <Select
        label="What kind"
        data={KINDS.map((value) => ({ value, label: KIND_WORD[value] }))}
        value={values.kind}
        error={problemOf('kind')}
        onChange={(kind) => change({ kind: KINDS.find((k) => k === kind) ?? null })}
      />
      {values.kind ? (
        <Alert
          color="clay"
          title="First"
          styles={{ title: { color: 'var(--ink)' }, root: { background: 'var(--wash-clay)' } }}
        >
          <List>
            {firstAid(values.kind).map((line) => (
              <ListItem key={line}>{line}</ListItem>
            ))}
          </List>
        </Alert>
      ) : null}
      <Group grow align="flex-start">
        <TextInput
          label="Day"
          type="date"
          value={values.day}
          error={problemOf('day')}
          onChange={(e) => change({ day: e.currentTarget.value })}
        />
        <TextInput
          label="Time"
          value={values.time}
          error={problemOf('time')}
          onChange={(e) => change({ time: e.currentTarget.value })}
        />
      </Group>
      <Group grow align="flex-start">
        <Select
          label="Person"
          searchable
          clearable
          data={people}
          value={values.studentId}
          onChange={(studentId) => change({ studentId })}
        />
        <Select
          label="Class"
          clearable
          data={classes}
          value={values.classId}
          onChange={(classId) => change({ classId })}
        />
        <Select
          label="During"
          searchable
          clearable
          data={stages}
          value={values.stageId}
          onChange={(stageId) => change({ stageId })}
        />
      </Group>
      <Textarea
        label="What happened"
        description="As it was seen and said; no judgement of anybody"
        autosize
        minRows={3}
        value={values.happened}
        error={problemOf('happened')}
        onChange={(e) => change({ happened: e.currentTarget.value })}
      />
      <Textarea
        label="What was done"
        autosize
        minRows={2}
        value={values.done}
        error={problemOf('done')}
        onChange={(e) => change({ done: e.currentTarget.value })}
      />
      <Checkbox.Group
        label="Who was told"
        value={values.told}
        onChange={(told) => change({ told: TOLD.filter((t) => told.includes(t)) })}
      >
        <Group mt={6}>
          {TOLD.map((value) => (
            <Checkbox key={value} value={value} label={TOLD_WORD[value]} />
          ))}
        </Group>
      </Checkbox.Group>
      <Group grow align="flex-start">
        <TextInput
          label="Witnesses"
          value={values.witnesses}
          onChange={(e) => change({ witnesses: e.currentTarget.value })}
        />
        <TextInput
          label="Written by"
          value={values.reporter}
          error={problemOf('reporter')}
          onChange={(e) => change({ reporter: e.currentTarget.value })}
        />
      </Group>
      <FormProblem message={problemOf('') ?? problemOf('stageId') ?? problemOf('studentId')} />
      <Group>
        <Button type="submit" loading={busy}>
          Keep the report
        </Button>
      </Group>
    </FormShell>
  )
}
