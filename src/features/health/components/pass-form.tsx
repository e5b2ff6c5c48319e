'use client'

import { Group, PasswordInput, Text, Title } from '@mantine/core'
import { useState } from 'react'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { useForm } from '../../use-form'
import { setPass } from '../layer-actions'

/** A word that opens the health notes; empty for one tap. */
export function PassForm({ set }: { set: boolean }) {
  const { values, change, field, busy, problemOf, send } = useForm({ word: '', again: '' }, setPass)
  const [said, setSaid] = useState('')
  const submit = async (): Promise<void> => {
    const stored = await send(values)
    if (stored === null) return
    setSaid(stored ? 'The word is set.' : 'No word any more.')
    change({ word: '', again: '' })
  }
  return (
    <FormShell className="no-print" maxWidth={640} gap="sm" problem={problemOf('')} onSubmit={submit}>
      <Title order={2} fz="xl">
        A word for the health notes
      </Title>
      <Text c="dimmed">
        {set ? 'A word is set. Leave both empty to do without.' : 'Without a word one tap opens them.'} Nobody
        can look it up: write it down somewhere safe.
      </Text>
      <Group align="flex-start" grow>
        <PasswordInput label="Word" {...field('word')} />
        <PasswordInput label="Once more" {...field('again')} />
      </Group>
      <FormEnd label="Set the word" variant="default" {...{ busy, said }} />
    </FormShell>
  )
}
