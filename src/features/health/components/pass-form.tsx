'use client'

import { Button, Group, PasswordInput, Stack, Text, Title } from '@mantine/core'
import { useState } from 'react'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { setPass } from '../layer-actions'

/** A word that opens the health notes; empty for one tap. */
export function PassForm({ set }: { set: boolean }) {
  const [word, setWord] = useState('')
  const [again, setAgain] = useState('')
  const [said, setSaid] = useState('')
  const { busy, problemOf, send } = useSubmit(setPass)
  return (
    <Stack maw={640} gap="sm">
      <Title order={2} fz="xl">
        A word for the health notes
      </Title>
      <Text c="dimmed">
        {set ? 'A word is set. Leave both empty to do without.' : 'Without a word one tap opens them.'} Nobody
        can look it up: write it down somewhere safe.
      </Text>
      <FormProblem message={problemOf('')} />
      <Group align="flex-start" grow>
        <PasswordInput
          label="Word"
          value={word}
          error={problemOf('word')}
          onChange={(e) => setWord(e.currentTarget.value)}
        />
        <PasswordInput
          label="Once more"
          value={again}
          error={problemOf('again')}
          onChange={(e) => setAgain(e.currentTarget.value)}
        />
      </Group>
      <Group>
        <Button
          variant="default"
          loading={busy}
          onClick={() =>
            void send({ word, again }).then((stored) => {
              if (stored === null) return
              setSaid(stored ? 'The word is set.' : 'No word any more.')
              setWord('')
              setAgain('')
            })
          }
        >
          Set the word
        </Button>
        <Text role="status">{said}</Text>
      </Group>
    </Stack>
  )
}
