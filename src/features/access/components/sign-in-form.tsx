'use client'

import { Button, PasswordInput, Stack, TextInput, Title } from '@mantine/core'
import { useState } from 'react'
import { goOn } from '@/ui/go-anew'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { signIn } from '../sign-in-actions'

/** Name and password; the code of a second factor is asked for where there is one. */
export function SignInForm() {
  const { busy, problemOf, send } = useSubmit(signIn)
  const [login, setLogin] = useState('')
  const [password, setPassword] = useState('')
  const [code, setCode] = useState('')
  // Once asked for, its field stays.
  const [asksCode, setAsksCode] = useState(false)
  if (!asksCode && problemOf('code') !== undefined) setAsksCode(true)
  const go = async (): Promise<void> => {
    if ((await send({ login, password, code })) !== null) goOn()
  }
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        void go()
      }}
    >
      <Stack gap="sm">
        <Title order={1}>Who is there?</Title>
        <TextInput
          label="Sign-in name"
          value={login}
          autoComplete="username"
          autoCapitalize="none"
          onChange={(e) => setLogin(e.currentTarget.value)}
        />
        <PasswordInput
          label="Password"
          value={password}
          autoComplete="current-password"
          onChange={(e) => setPassword(e.currentTarget.value)}
        />
        {asksCode ? (
          <TextInput
            label="Code of your second factor"
            description="Six digits, or one of the printed codes"
            value={code}
            autoComplete="one-time-code"
            inputMode="text"
            error={problemOf('code')}
            onChange={(e) => setCode(e.currentTarget.value)}
          />
        ) : null}
        <FormProblem message={problemOf('')} />
        <Button type="submit" loading={busy} size="md">
          Sign in
        </Button>
      </Stack>
    </form>
  )
}
