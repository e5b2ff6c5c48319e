'use client'

import { Button, PasswordInput, TextInput, Title } from '@mantine/core'
import { useState } from 'react'
import { goOn } from '@/ui/go-anew'
import { FormProblem } from '@/ui/form-problem'
import { FormShell } from '@/ui/form-shell'
import { useForm } from '../../use-form'
import { signIn } from '../sign-in-actions'

/** Name and password; the code of a second factor is asked for where there is one. */
export function SignInForm() {
  const { values, field, busy, problemOf, send } = useForm({ login: '', password: '', code: '' }, signIn)
  // Once asked for, its field stays.
  const [asksCode, setAsksCode] = useState(false)
  if (!asksCode && problemOf('code') !== undefined) setAsksCode(true)
  const go = async (): Promise<void> => {
    if ((await send(values)) !== null) goOn()
  }
  return (
    <FormShell gap="sm" onSubmit={go}>
      <Title order={1}>Who is there?</Title>
      <TextInput label="Sign-in name" autoComplete="username" autoCapitalize="none" {...field('login')} />
      <PasswordInput label="Password" autoComplete="current-password" {...field('password')} />
      {asksCode ? (
        <TextInput
          label="Code of your second factor"
          description="Six digits, or one of the printed codes"
          autoComplete="one-time-code"
          inputMode="text"
          {...field('code')}
        />
      ) : null}
      <FormProblem message={problemOf('')} />
      <Button variant="filled" type="submit" loading={busy} size="md">
        Sign in
      </Button>
    </FormShell>
  )
}
