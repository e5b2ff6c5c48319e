'use client'

import { Checkbox, Group, NumberInput, Stack, Text, TextInput } from '@mantine/core'
import { useState } from 'react'
import { API_SCOPES } from '@/core/formats/api'
import { SCOPE_WORDS } from '@/core/words/api'
import { newId } from '@/device/facts'
import { AskFirst } from '@/ui/ask-first'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { ShownOnce } from '@/ui/shown-once'
import { useForm } from '../../use-form'
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
  const empty = { name: '', scopes: [] as string[], days: USUAL_DAYS as number | string }
  const { values, renew, field, busy, problemOf, send } = useForm(empty, makeToken)
  const [token, setToken] = useState('')
  const make = async (): Promise<void> => {
    const scopes = API_SCOPES.filter((s) => values.scopes.includes(s))
    const made = await send({ id: newId(), name: values.name, scopes, days: Number(values.days) })
    if (!made) return
    setToken(made.token)
    renew(values, { name: '', scopes: [] })
  }
  return (
    <FormShell title="A new token" problem={problemOf('')} onSubmit={make}>
      <Group align="flex-start">
        <TextInput label="What it is for" {...field('name')} />
        <NumberInput label="Good for days" w={130} {...field('days')} />
      </Group>
      <Checkbox.Group label="It may read" {...field('scopes')}>
        <Group mt={4}>
          {API_SCOPES.map((scope) => (
            <Checkbox key={scope} value={scope} label={SCOPE_WORDS[scope]} />
          ))}
        </Group>
      </Checkbox.Group>
      <FormEnd label="Make it" busy={busy}>
        {token === '' ? null : <ShownOnce label="The token, told this once" address={token} />}
      </FormEnd>
    </FormShell>
  )
}
