'use client'

import { Button, Group, TextInput } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { AskFirst } from '@/ui/ask-first'
import { useSubmit } from '../../use-submit'
import { dropSequence, renameSequence } from '../actions'

/** Another name, or away with it once it is asked twice. */
export function NameOrDrop({ id, name }: { id: string; name: string }) {
  const router = useRouter()
  const [next, setNext] = useState(name)
  const { busy, problemOf, send } = useSubmit(renameSequence)
  const { send: drop } = useSubmit(dropSequence)
  return (
    <Group align="flex-start" className="no-print">
      <TextInput
        aria-label="Name of the sequence"
        value={next}
        error={problemOf('name') || problemOf('')}
        onChange={(e) => setNext(e.currentTarget.value)}
      />
      <Button loading={busy} onClick={() => void send({ id, name: next })}>
        Call it so
      </Button>
      <AskFirst
        label="Take away"
        what={name}
        onSure={() => void drop({ id }).then((gone) => gone && router.push('/progress/sequences'))}
      />
    </Group>
  )
}
