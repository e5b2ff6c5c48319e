'use client'

import { Button, Group, Text, TextInput, Title } from '@mantine/core'
import { useState } from 'react'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { FormShell } from '@/ui/form-shell'
import { useSubmit } from '../../use-submit'
import { startRoom } from '../actions'

/** Wall and blocks, enough for a first plan. */
export function EmptyRoom() {
  const [wall, setWall] = useState('')
  const [blocks, setBlocks] = useState('')
  const [straps, setStraps] = useState('')
  const [ids] = useState(() => [newId(), newId()])
  const { busy, problemOf, send } = useSubmit(startRoom)
  return (
    <FormShell maxWidth={560} onSubmit={() => send({ wall, blocks, straps, ids })}>
      <Title order={2} fz="xl">
        How much wall, and what is in the cupboard?
      </Title>
      <Text c="dimmed">
        A person upside down takes 1.2 m of clear wall, so the bays follow from its length.
      </Text>
      <FormProblem message={problemOf('')} />
      <Group grow align="flex-start">
        <TextInput
          label="Clear wall"
          placeholder="7.2 m"
          value={wall}
          error={problemOf('wall')}
          onChange={(e) => setWall(e.currentTarget.value)}
        />
        <TextInput
          label="Blocks"
          inputMode="numeric"
          value={blocks}
          error={problemOf('blocks')}
          onChange={(e) => setBlocks(e.currentTarget.value)}
        />
        <TextInput
          label="Straps"
          inputMode="numeric"
          value={straps}
          error={problemOf('straps')}
          onChange={(e) => setStraps(e.currentTarget.value)}
        />
      </Group>
      <Group>
        <Button type="submit" loading={busy}>
          Save the room
        </Button>
      </Group>
    </FormShell>
  )
}
