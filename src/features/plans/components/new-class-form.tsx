'use client'

import { Button, Checkbox, Group, SimpleGrid, Text, TextInput } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { newId } from '@/device/facts'
import { FormShell } from '@/ui/form-shell'
import { useSubmit } from '../../use-submit'
import { createClass } from '../actions'
import type { NewClassData } from '../queries'

/** Who, where, how long: enough for a first plan. */
export function NewClassForm({ people, bays: available, start }: NewClassData) {
  const router = useRouter()
  const [id, setId] = useState('')
  const [values, setValues] = useState({
    title: start.title,
    day: start.day,
    startTime: start.startTime,
    minutes: String(start.minutes),
    bays: String(Math.min(2, Math.max(1, available))),
  })
  const [roster, setRoster] = useState<string[]>(start.roster)
  const { busy, problemOf, send } = useSubmit(createClass)
  const change = (part: Partial<typeof values>): void => setValues((all) => ({ ...all, ...part }))

  const submit = async (): Promise<void> => {
    const stable = id || newId()
    setId(stable)
    const bays = Number(values.bays)
    const made = await send({
      ...values,
      groupId: start.groupId,
      id: stable,
      planId: newId(),
      roster,
      bays: Number.isInteger(bays) ? bays : 0,
    })
    if (made) router.push(`/plans/${made.id}`)
  }
  return (
    <FormShell maxWidth={720} problem={problemOf('') ?? problemOf('id')} onSubmit={submit}>
      <TextInput
        label="Name of the class"
        value={values.title}
        error={problemOf('title')}
        onChange={(e) => change({ title: e.currentTarget.value })}
      />
      <Group grow align="flex-start">
        <TextInput
          label="Day"
          type="date"
          value={values.day}
          error={problemOf('day')}
          onChange={(e) => change({ day: e.currentTarget.value })}
        />
        <TextInput
          label="Starts at"
          value={values.startTime}
          error={problemOf('startTime')}
          onChange={(e) => change({ startTime: e.currentTarget.value })}
        />
        <TextInput
          label="Minutes"
          inputMode="numeric"
          value={values.minutes}
          error={problemOf('minutes')}
          onChange={(e) => change({ minutes: e.currentTarget.value })}
        />
        <TextInput
          label="Wall bays"
          inputMode="numeric"
          value={values.bays}
          error={problemOf('bays')}
          onChange={(e) => change({ bays: e.currentTarget.value })}
        />
      </Group>
      <Checkbox.Group
        label="Who is coming?"
        description={`${roster.length} picked, at least three`}
        value={roster}
        onChange={setRoster}
        error={problemOf('roster')}
      >
        <SimpleGrid cols={{ base: 1, xs: 2, sm: 3 }} mt="xs" spacing="sm">
          {people.map((person) => (
            <Checkbox key={person.id} value={person.id} label={person.name} />
          ))}
        </SimpleGrid>
      </Checkbox.Group>
      {people.length === 0 ? <Text c="dimmed">Nobody here yet: add people under Students first.</Text> : null}
      <Group>
        <Button
          variant="default"
          onClick={() => setRoster(roster.length === people.length ? [] : people.map((p) => p.id))}
        >
          {roster.length === people.length ? 'Nobody' : 'Everybody'}
        </Button>
        <Button type="submit" loading={busy}>
          Make the plan
        </Button>
      </Group>
    </FormShell>
  )
}
