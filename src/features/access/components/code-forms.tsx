'use client'

import { Button, PasswordInput, Stack, Text, TextInput } from '@mantine/core'
import { useState } from 'react'
import { goAnew, goOn } from '@/ui/go-anew'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { ownerByCode, pairTablet } from '../sign-in-actions'

/** A tablet of the studio comes in by a code from a teacher’s screen. */
export function PairForm() {
  const { busy, problemOf, send } = useSubmit(pairTablet)
  const [code, setCode] = useState('')
  const go = async (): Promise<void> => {
    if ((await send({ code })) !== null) goOn()
  }
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        void go()
      }}
    >
      <Stack gap="sm" mt="sm">
        <Text>A teacher makes the code under Studio, Sign-ins. It is good for ten minutes.</Text>
        <TextInput
          label="Code from the other screen"
          value={code}
          autoComplete="off"
          autoCapitalize="none"
          error={problemOf('code')}
          onChange={(e) => setCode(e.currentTarget.value)}
        />
        <FormProblem message={problemOf('')} />
        <Button type="submit" loading={busy} variant="default">
          Pair this tablet
        </Button>
      </Stack>
    </form>
  )
}

/** An owner by the code that the machine printed: the first one, or one who has lost the way in. */
export function OwnerCodeForm() {
  const { busy, problemOf, send } = useSubmit(ownerByCode)
  const [typed, setTyped] = useState({ code: '', name: '', login: '', password: '' })
  const field = (key: keyof typeof typed) => ({
    value: typed[key],
    error: problemOf(key),
    onChange: (e: { currentTarget: { value: string } }) => {
      const { value } = e.currentTarget
      setTyped((t) => ({ ...t, [key]: value }))
    },
  })
  const go = async (): Promise<void> => {
    if ((await send(typed)) !== null) goAnew('/')
  }
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        void go()
      }}
    >
      <Stack gap="sm" mt="sm">
        <Text>“npm run owner”, on the machine itself, prints a code that is good for ten minutes.</Text>
        <TextInput label="Code from the machine" autoComplete="off" {...field('code')} />
        <TextInput label="Your name" autoComplete="name" {...field('name')} />
        <TextInput
          label="Sign-in name, new or the one you had"
          autoComplete="username"
          autoCapitalize="none"
          {...field('login')}
        />
        <PasswordInput label="New password" autoComplete="new-password" {...field('password')} />
        <FormProblem message={problemOf('')} />
        <Button type="submit" loading={busy} variant="default">
          Come in as the owner
        </Button>
      </Stack>
    </form>
  )
}
