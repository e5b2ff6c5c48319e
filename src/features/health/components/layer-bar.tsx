'use client'

import { Button, Group, PasswordInput, Text } from '@mantine/core'
import { useEffect, useState } from 'react'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { keepLayerOpen, openLayer, shutLayer } from '../layer-actions'

/** A tap or key keeps the notes open, but the server is told no oftener than this, ms. */
const TELL_EVERY_MS = 45_000

/** Over the health notes: open them with one tap or a word; they shut by themselves. */
export function LayerBar({ open, withWord, openMs }: { open: boolean; withWord: boolean; openMs: number }) {
  return open ? <OpenBar openMs={openMs} /> : <ShutBar withWord={withWord} />
}

function ShutBar({ withWord }: { withWord: boolean }) {
  const [word, setWord] = useState('')
  const { busy, problemOf, send } = useSubmit(openLayer)
  return (
    <form
      className="card no-print"
      onSubmit={(event) => {
        event.preventDefault()
        void send(word).then(() => setWord(''))
      }}
    >
      <FormProblem message={problemOf('')} />
      <Group align="flex-end">
        <Text flex={1} miw={220}>
          Answers and clearances are shut. Only limits show here, never why.
        </Text>
        {withWord ? (
          <PasswordInput
            label="Your word"
            w={220}
            value={word}
            error={problemOf('word')}
            onChange={(e) => setWord(e.currentTarget.value)}
          />
        ) : null}
        <Button variant="filled" type="submit" loading={busy}>
          Open the health notes
        </Button>
      </Group>
    </form>
  )
}

function OpenBar({ openMs }: { openMs: number }) {
  const { busy, send } = useSubmit(shutLayer)
  useEffect(() => {
    let told = Date.now()
    let touched = Date.now()
    const touch = (): void => {
      touched = Date.now()
      if (touched - told < TELL_EVERY_MS) return
      told = touched
      void keepLayerOpen()
    }
    const timer = setInterval(() => {
      if (Date.now() - touched >= openMs) void shutLayer()
    }, 5_000)
    window.addEventListener('pointerdown', touch)
    window.addEventListener('keydown', touch)
    return () => {
      clearInterval(timer)
      window.removeEventListener('pointerdown', touch)
      window.removeEventListener('keydown', touch)
    }
  }, [openMs])
  return (
    <Group className="card no-print" justify="space-between">
      <Text>
        Health notes are open on this screen. They shut after {Math.round(openMs / 60_000)} quiet minutes.
      </Text>
      <Button loading={busy} onClick={() => void send(undefined)}>
        Shut them now
      </Button>
    </Group>
  )
}
