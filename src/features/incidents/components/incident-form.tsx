'use client'

import { Button, Checkbox, Group, List, ListItem, Select, Text, Textarea, TextInput } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import {
  classThen,
  firstAid,
  KINDS,
  stillToTell,
  TOLD,
  type IncidentKind,
  type Told,
} from '@/core/incident/incident'
import { describeToTell, KIND_WORD, TOLD_WORD } from '@/core/words/incident'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { useDraft, useKeptDraft } from '../../use-draft'
import { useForm } from '../../use-form'
import { saveIncident } from '../actions'
import type { incidentForm } from '../queries'
import { Notice } from '@/ui/notice'

/** What to do first, then what happened, what was done, who was told. */
export function IncidentForm({
  people,
  classes,
  stages,
  today,
  time,
  reporter,
  draft: place,
}: ReturnType<typeof incidentForm>) {
  const router = useRouter()
  const [id] = useState(newId)
  const nobody = null as string | null
  const empty = {
    ...{ day: today, time, happened: '', done: '', told: [] as Told[], witnesses: '', reporter },
    ...{ classId: nobody, studentId: nobody, stageId: nobody, kind: null as IncidentKind | null },
  }
  const draft = useDraft(place, empty)
  const { values, change, field, busy, problemOf, send } = useForm(draft.initial, saveIncident)
  useKeptDraft(place, values, empty)
  const then = values.classId === null ? classThen(classes, values.day, values.time) : null
  const isMinor = people.some((p) => p.value === values.studentId && p.isMinor)
  const toTell = values.kind ? stillToTell({ kind: values.kind, told: values.told }, isMinor) : []
  const submit = async (): Promise<void> => {
    const kept = await send({ ...values, id } as Parameters<typeof saveIncident>[0])
    if (!kept) return
    draft.drop()
    router.push(`/studio/incidents/${kept.id}`)
  }
  return (
    <FormShell maxWidth={760} onSubmit={submit}>
      {draft.isFound ? (
        <Notice title="Half written, found again on this device">
          <Button
            variant="default"
            onClick={() => {
              draft.drop()
              change(empty)
            }}
          >
            Throw it away
          </Button>
        </Notice>
      ) : null}
      <Select
        label="What kind"
        data={KINDS.map((value) => ({ value, label: KIND_WORD[value] }))}
        value={values.kind}
        error={problemOf('kind')}
        onChange={(kind) => change({ kind: KINDS.find((k) => k === kind) ?? null })}
      />
      {values.kind ? (
        <Notice title="First">
          <List>
            {firstAid(values.kind).map((line) => (
              <ListItem key={line}>{line}</ListItem>
            ))}
          </List>
        </Notice>
      ) : null}
      <Group grow align="flex-start">
        <TextInput label="Day" type="date" {...field('day')} />
        <TextInput label="Time" {...field('time')} />
      </Group>
      <Group grow align="flex-start">
        <Select label="Person" searchable clearable data={people} {...field('studentId')} />
        <Select label="Class" clearable data={classes} {...field('classId')} />
        <Select label="During" searchable clearable data={stages} {...field('stageId')} />
      </Group>
      {then ? (
        <Group>
          <Text>{then.label} ran then.</Text>
          <Button variant="default" onClick={() => change({ classId: then.id })}>
            It was in this class
          </Button>
        </Group>
      ) : null}
      <Textarea
        label="What happened"
        description="As it was seen and said; no judgement of anybody"
        autosize
        minRows={3}
        {...field('happened')}
      />
      <Textarea label="What was done" autosize minRows={2} {...field('done')} />
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
      {toTell.length > 0 ? <Text>{describeToTell(toTell)}</Text> : null}
      <Group grow align="flex-start">
        <TextInput label="Witnesses" {...field('witnesses')} />
        <TextInput label="Written by" {...field('reporter')} />
      </Group>
      <FormProblem message={problemOf('') ?? problemOf('stageId') ?? problemOf('studentId')} />
      <FormEnd label="Keep the report" busy={busy} />
    </FormShell>
  )
}
