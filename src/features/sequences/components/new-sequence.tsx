'use client'

import { Group, MultiSelect, NumberInput, TextInput } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { SEQUENCE_MINUTES } from '@/core/sequence/sequence'
import { newId } from '@/device/facts'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { useForm } from '../../use-form'
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
  const [id] = useState(newId)
  const empty = { name: '', people: first, minutes: SEQUENCE_MINUTES.usual as number | string }
  const { values, field, busy, problemOf, send } = useForm(empty, makeSequence)
  const make = async (): Promise<void> => {
    const made = await send({ ...values, id, minutes: Number(values.minutes) })
    if (made) router.push(`/progress/sequences/${made.id}`)
  }
  return (
    <FormShell title="A new sequence" problem={problemOf('')} onSubmit={make}>
      <Group align="flex-start">
        <TextInput label="Name" {...field('name')} />
        <MultiSelect label="For whom" data={people} searchable miw={280} {...field('people')} />
        <NumberInput label="Minutes" w={110} {...field('minutes')} />
      </Group>
      <FormEnd label="Compose it" busy={busy} />
    </FormShell>
  )
}
