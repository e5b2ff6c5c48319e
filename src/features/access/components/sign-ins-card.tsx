'use client'

import { Button, Group, Text, TextInput } from '@mantine/core'
import { useState } from 'react'
import { FormProblem } from '@/ui/form-problem'
import { Section } from '@/ui/section'
import { useForm } from '../../use-form'
import { useSubmit } from '../../use-submit'
import { endOne, makeTabletCode } from '../actions'
import type { SignInLine } from '../queries'

/** Where somebody is signed in, each to be ended. */
export function SignInsCard({ signIns }: { signIns: readonly SignInLine[] }) {
  const { busy, problemOf, send } = useSubmit(endOne)
  return (
    <Section title="Signed in" className="card no-print" gap="sm">
      {signIns.length === 0 ? <Text c="dimmed">Nobody, on any screen.</Text> : null}
      {signIns.map((s) => (
        <Group key={s.key} justify="space-between" wrap="nowrap">
          <Text>
            <b>{s.isTablet ? `Tablet “${s.label}”` : s.name}</b>
            {s.isTablet ? '' : ` on ${s.label}`}, seen {s.seen}
            {s.here ? ' · this screen' : ''}
          </Text>
          {s.here ? null : (
            <Button loading={busy} onClick={() => void send({ key: s.key })}>
              End it
            </Button>
          )}
        </Group>
      ))}
      <FormProblem message={problemOf('')} />
    </Section>
  )
}

/** A code by which one tablet comes in, shown once. */
export function TabletCard() {
  const first = { label: 'Tablet on the block' }
  const { values, field, busy, problemOf, send } = useForm(first, makeTabletCode)
  const [code, setCode] = useState<string | null>(null)
  return (
    <Section title="Pair a tablet" className="card" gap="sm">
      <Text>
        A paired tablet does the floor’s work: the class as it runs, its display, a check round, taking words
        when it is passed round. Nothing else opens on it.
      </Text>
      <Group align="flex-end">
        <TextInput label="What you call it" {...field('label')} />
        <Button loading={busy} onClick={() => void send(values).then((made) => made && setCode(made.code))}>
          Make a code
        </Button>
      </Group>
      <FormProblem message={problemOf('')} />
      {code === null ? null : (
        <Text role="status">
          On the tablet: sign in, “This is a tablet of the studio”, and{' '}
          <b style={{ fontSize: 24, letterSpacing: 2 }}>{code}</b>. Good for ten minutes, and once.
        </Text>
      )}
    </Section>
  )
}
