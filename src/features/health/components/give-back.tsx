'use client'

import { Button, Group, PasswordInput, Text } from '@mantine/core'
import { useRef, useState } from 'react'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { endPass } from '../layer-actions'

/** Long enough that no passing thumb does it, ms. */
const HELD_MS = 1200

/** Ends the passing round: with the word where one is set, else by a press that is held. */
export function GiveBack({ back, withWord }: { back: string; withWord: boolean }) {
  const { busy, problemOf, send } = useSubmit(endPass)
  const [word, setWord] = useState('')
  const held = useRef<ReturnType<typeof setTimeout> | null>(null)
  const end = async (): Promise<void> => {
    // A whole new page: nothing of the teacher's was on this one.
    if (await send(word)) window.location.assign(back)
  }
  const down = (): void => {
    held.current ??= setTimeout(() => void end(), HELD_MS)
  }
  const up = (): void => {
    if (held.current !== null) clearTimeout(held.current)
    held.current = null
  }
  if (withWord)
    return (
      <Group align="flex-end" gap="sm">
        <PasswordInput
          label="The teacher’s word"
          w={220}
          autoComplete="off"
          value={word}
          error={problemOf('word')}
          onChange={(e) => setWord(e.currentTarget.value)}
        />
        <Button loading={busy} onClick={() => void end()}>
          Back to the teacher
        </Button>
        <FormProblem message={problemOf('')} />
      </Group>
    )
  return (
    <Group gap="sm">
      <Text size="sm">Hold it for a moment:</Text>
      <Button
        loading={busy}
        onPointerDown={down}
        onPointerUp={up}
        onPointerLeave={up}
        onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ') && down()}
        onKeyUp={up}
        onContextMenu={(e) => e.preventDefault()}
      >
        Back to the teacher
      </Button>
      <FormProblem message={problemOf('')} />
    </Group>
  )
}
