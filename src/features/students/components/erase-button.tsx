'use client'

import { Button, Group, Stack, Text, TextInput } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { erase } from '../actions'

/** Removes everything about somebody, after the name is typed. */
export function EraseButton({ id, name, incidents }: { id: string; name: string; incidents: number }) {
  const router = useRouter()
  const [asking, setAsking] = useState(false)
  const [typed, setTyped] = useState('')
  const { busy, problemOf, send } = useSubmit(erase)
  if (!asking)
    return (
      <Group>
        <Button onClick={() => setAsking(true)}>Erase {name}</Button>
        <Text c="dimmed">Archiving keeps everything; erasing removes every fact and cannot be undone.</Text>
      </Group>
    )
  return (
    <Stack gap="sm" maw={640} className="card" role="group" aria-label={`Erase ${name}`}>
      <Text>
        Measures, results, health notes, check-ins and attendance go. Past plans stay, with nobody’s name in
        their place. Copies of the data that were set aside before updates go as well.
        {incidents > 0
          ? ` ${incidents === 1 ? 'One incident report goes' : `${incidents} incident reports go`} too: print it first if your insurer asks for it.`
          : ''}
      </Text>
      <TextInput
        label={`Type ${name} to erase them`}
        value={typed}
        error={problemOf('typed')}
        onChange={(e) => setTyped(e.currentTarget.value)}
      />
      <FormProblem message={problemOf('')} />
      <Group>
        <Button
          variant="filled"
          color="clay"
          loading={busy}
          onClick={() =>
            void send({ id, typed }).then((ok) => {
              if (ok) router.push('/students')
            })
          }
        >
          Erase everything
        </Button>
        <Button onClick={() => setAsking(false)}>Keep {name}</Button>
      </Group>
    </Stack>
  )
}
