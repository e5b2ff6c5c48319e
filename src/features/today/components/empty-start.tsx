'use client'

import { Group, Text, TextInput, Title } from '@mantine/core'
import { useState } from 'react'
import { newId } from '@/device/facts'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { useForm } from '../../use-form'
import { startRoom } from '../actions'

/** Wall and blocks, enough for a first plan. */
export function EmptyRoom() {
  const [ids] = useState(() => [newId(), newId()])
  const { values, field, busy, problemOf, send } = useForm({ wall: '', blocks: '', straps: '' }, startRoom)
  return (
    <FormShell maxWidth={560} problem={problemOf('')} onSubmit={() => send({ ...values, ids })}>
      <Title order={2} fz="xl">
        How much wall, and what is in the cupboard?
      </Title>
      <Text c="dimmed">
        A person upside down takes 1.2 m of clear wall, so the bays follow from its length.
      </Text>
      <Group grow align="flex-start">
        <TextInput label="Clear wall" placeholder="7.2 m" {...field('wall')} />
        <TextInput label="Blocks" inputMode="numeric" {...field('blocks')} />
        <TextInput label="Straps" inputMode="numeric" {...field('straps')} />
      </Group>
      <FormEnd label="Save the room" busy={busy} />
    </FormShell>
  )
}
