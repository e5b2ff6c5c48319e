'use client'

import { Button, Checkbox, Group, Radio, SimpleGrid, Text, TextInput } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { newId } from '@/device/facts'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { useForm } from '../../use-form'
import { createClass } from '../actions'
import type { Aim } from '@/core/classes/aim'
import type { NewClassData } from '../queries'

const KINDS: { value: Aim['kind']; label: string }[] = [
  { value: 'practice', label: 'Practice' },
  { value: 'strength', label: 'Strength' },
  { value: 'restorative', label: 'Restorative' },
  { value: 'workshop', label: 'Workshop' },
]

/** Who, where, how long: enough for a first plan. */
export function NewClassForm({ people, bays: available, families, start }: NewClassData) {
  const router = useRouter()
  const [id, setId] = useState('')
  const { title, day, startTime } = start
  const first = { title, day, startTime, minutes: String(start.minutes), bays: String(available) }
  const { values, field, busy, problemOf, send } = useForm(first, createClass)
  const [kind, setKind] = useState<Aim['kind']>(start.aim.kind)
  const [chosen, setChosen] = useState<string[]>([...start.aim.families])
  const [roster, setRoster] = useState<string[]>(start.roster)

  const submit = async (): Promise<void> => {
    const stable = id || newId()
    setId(stable)
    const bays = Number(values.bays)
    const made = await send({
      ...values,
      groupId: start.groupId,
      fromId: start.fromId,
      id: stable,
      planId: newId(),
      roster,
      bays: Number.isInteger(bays) ? bays : -1,
      aim: { kind, families: families.flatMap((f) => (chosen.includes(f.value) ? [f.value] : [])) },
    })
    if (made) router.push(`/plans/${made.id}`)
  }
  return (
    <FormShell maxWidth={720} problem={problemOf('') ?? problemOf('id')} onSubmit={submit}>
      {start.like === '' ? null : (
        <Text>Blocks, lengths and drills as in {start.like}; who does what is planned anew.</Text>
      )}
      <TextInput label="Name of the class" {...field('title')} />
      <Group grow align="flex-start">
        <TextInput label="Day" type="date" {...field('day')} />
        <TextInput label="Starts at" {...field('startTime')} />
        <TextInput label="Minutes" inputMode="numeric" {...field('minutes')} />
        <TextInput label="Wall bays" inputMode="numeric" {...field('bays')} />
      </Group>
      <AimFields {...{ families, kind, setKind, chosen, setChosen }} problem={problemOf('aim.families')} />
      <Checkbox.Group
        label="Who is coming?"
        description={`${roster.length} picked, at least one`}
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
      <FormEnd label="Make the plan" busy={busy}>
        <Button onClick={() => setRoster(roster.length === people.length ? [] : people.map((p) => p.id))}>
          {roster.length === people.length ? 'Nobody' : 'Everybody'}
        </Button>
      </FormEnd>
    </FormShell>
  )
}

/** What the class is for. */
function AimFields({
  families,
  kind,
  setKind,
  chosen,
  setChosen,
  problem,
}: {
  families: NewClassData['families']
  kind: Aim['kind']
  setKind: (kind: Aim['kind']) => void
  chosen: string[]
  setChosen: (chosen: string[]) => void
  problem: string | undefined
}) {
  return (
    <>
      <Radio.Group
        label="What kind of class?"
        value={kind}
        onChange={(v) => setKind(KINDS.find((k) => k.value === v)?.value ?? 'practice')}
      >
        <Group gap="md" mt="xs">
          {KINDS.map((k) => (
            <Radio key={k.value} value={k.value} label={k.label} />
          ))}
        </Group>
      </Radio.Group>
      {kind === 'restorative' ? null : (
        <Checkbox.Group
          label="What for?"
          description="One, or two of which nobody is advanced in both"
          value={chosen}
          onChange={setChosen}
          error={problem}
        >
          <Group gap="md" mt="xs">
            {families.map((f) => (
              <Checkbox
                key={f.value}
                value={f.value}
                label={f.label}
                disabled={chosen.length >= 2 && !chosen.includes(f.value)}
              />
            ))}
          </Group>
        </Checkbox.Group>
      )}
    </>
  )
}
