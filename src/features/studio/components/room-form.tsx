'use client'

import { Button, Group, SimpleGrid, Stack, Text, TextInput } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { saveRoom } from '../actions'

export type RoomValues = {
  name: string
  teacher: string
  assistant: string
  wall: string
  bays: string
  straps: string
  blocks: string
}

const FIELDS: readonly { key: keyof RoomValues; label: string; hint?: string }[] = [
  { key: 'name', label: 'Name of the room' },
  { key: 'teacher', label: 'Teacher' },
  { key: 'assistant', label: 'Assistant', hint: 'Leave empty if you teach alone' },
  { key: 'wall', label: 'Clear wall', hint: 'Total length, for example 7.2 m' },
  { key: 'bays', label: 'Wall bays', hint: 'Places 1.2 m wide or more' },
  { key: 'straps', label: 'Straps in the cupboard' },
  { key: 'blocks', label: 'Blocks in the cupboard' },
]

/** The room and its cupboard. */
export function RoomForm({ initial }: { initial: RoomValues }) {
  const router = useRouter()
  const [values, setValues] = useState(initial)
  const [saved, setSaved] = useState(false)
  const { busy, problemOf, send } = useSubmit(saveRoom)
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void send(values).then((ok) => {
          setSaved(ok === true)
          if (ok) router.refresh()
        })
      }}
    >
      <Stack maw={760}>
        <FormProblem message={problemOf('')} />
        <SimpleGrid cols={{ base: 1, sm: 2 }}>
          {FIELDS.map(({ key, label, hint }) => (
            <TextInput
              key={key}
              label={label}
              description={hint}
              value={values[key]}
              error={problemOf(key)}
              onChange={({ currentTarget: { value } }) => {
                setSaved(false)
                setValues((all) => ({ ...all, [key]: value }))
              }}
              inputWrapperOrder={['label', 'input', 'description', 'error']}
            />
          ))}
        </SimpleGrid>
        <Group>
          <Button type="submit" loading={busy}>
            Save room
          </Button>
          <Text role="status" c="dimmed">
            {saved ? 'Saved.' : ''}
          </Text>
        </Group>
      </Stack>
    </form>
  )
}
