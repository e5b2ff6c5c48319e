'use client'

import { Button, Group, MultiSelect, NumberInput, Stack, TextInput, Title } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { SEQUENCE_MINUTES } from '@/core/sequence/sequence'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { makeSequence } from '../actions'

/** Composes a sequence for one person or several: a name, whom, how long. */
export function NewSequence({
  people,
  first,
}: {
  people: { value: string; label: string }[]
  first: string[]
}) {
  const router = useRouter()
  const { busy, problemOf, send } = useSubmit(makeSequence)
  const [id] = useState(newId)
  const [name, setName] = useState('')
  const [whom, setWhom] = useState(first)
  const [minutes, setMinutes] = useState<number | string>(SEQUENCE_MINUTES.usual)
  const make = async (): Promise<void> => {
    const made = await send({ id, name, people: whom, minutes: Number(minutes) })
    if (made) router.push(`/progress/sequences/${made.id}`)
  }
  return (
    <form
      aria-label="A new sequence"
      className="card"
      onSubmit={(event) => {
        event.preventDefault()
        void make()
      }}
    >
      <Stack gap="sm">
        <Title order={2} fz="lg">
          A new sequence
        </Title>
        <Group align="flex-start">
          <TextInput
            label="Name"
            value={name}
            error={problemOf('name')}
            onChange={(e) => setName(e.currentTarget.value)}
          />
          <MultiSelect
            label="For whom"
            data={people}
            value={whom}
            searchable
            miw={280}
            error={problemOf('people')}
            onChange={setWhom}
          />
          <NumberInput
            label="Minutes"
            w={110}
            value={minutes}
            error={problemOf('minutes')}
            onChange={setMinutes}
          />
        </Group>
        <FormProblem message={problemOf('')} />
        <Group>
          <Button type="submit" loading={busy}>
            Compose it
          </Button>
        </Group>
      </Stack>
    </form>
  )
}
