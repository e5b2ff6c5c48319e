'use client'

import { Button, Checkbox, Group, NumberInput, Stack, Text, TextInput, Title } from '@mantine/core'
import { useState } from 'react'
import { API_SCOPES } from '@/core/formats/api'
import { SCOPE_WORDS } from '@/core/words/api'
import { newId } from '@/device/facts'
import { AskFirst } from '@/ui/ask-first'
import { FormProblem } from '@/ui/form-problem'
import { ShownOnce } from '@/ui/shown-once'
import { useSubmit } from '../../use-submit'
import { endToken, makeToken } from '../actions'
import type { TokenLine } from '../queries'

const USUAL_DAYS = 90

/** Tokens that were made, and one to make. */
export function Tokens({ lines }: { lines: readonly TokenLine[] }) {
  return (
    <Stack>
      {lines.map((line) => (
        <OneToken key={line.id} line={line} />
      ))}
      <NewToken />
    </Stack>
  )
}

function OneToken({ line: { id, name, reads, when, open } }: { line: TokenLine }) {
  const { send } = useSubmit(endToken)
  return (
    <section className="card" aria-label={name}>
      <Group justify="space-between">
        <div>
          <Text fw={650}>{name}</Text>
          <Text>Reads {reads}.</Text>
          <Text c="dimmed">{when}</Text>
        </div>
        {open ? <AskFirst label="End it" what={name} onSure={() => void send({ id })} /> : null}
      </Group>
    </section>
  )
}

function NewToken() {
  const { busy, problemOf, send } = useSubmit(makeToken)
  const [name, setName] = useState('')
  const [scopes, setScopes] = useState<string[]>([])
  const [days, setDays] = useState<number | string>(USUAL_DAYS)
  const [token, setToken] = useState('')
  const make = async (): Promise<void> => {
    const ticked = API_SCOPES.filter((s) => scopes.includes(s))
    const made = await send({ id: newId(), name, scopes: ticked, days: Number(days) })
    if (!made) return
    setToken(made.token)
    setName('')
    setScopes([])
  }
  return (
    <form
      className="card"
      aria-label="A new token"
      onSubmit={(event) => {
        event.preventDefault()
        void make()
      }}
    >
      <Stack gap="sm">
        <Title order={2} fz="lg">
          A new token
        </Title>
        <Group align="flex-start">
          <TextInput
            label="What it is for"
            value={name}
            error={problemOf('name')}
            onChange={(e) => setName(e.currentTarget.value)}
          />
          <NumberInput
            label="Good for days"
            w={130}
            value={days}
            error={problemOf('days')}
            onChange={setDays}
          />
        </Group>
        <Checkbox.Group label="It may read" value={scopes} error={problemOf('scopes')} onChange={setScopes}>
          <Group mt={4}>
            {API_SCOPES.map((scope) => (
              <Checkbox key={scope} value={scope} label={SCOPE_WORDS[scope]} />
            ))}
          </Group>
        </Checkbox.Group>
        <FormProblem message={problemOf('')} />
        <Group align="flex-end">
          <Button type="submit" loading={busy}>
            Make it
          </Button>
          {token === '' ? null : <ShownOnce label="The token, told this once" address={token} />}
        </Group>
      </Stack>
    </form>
  )
}
