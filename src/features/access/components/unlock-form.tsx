'use client'

import { Button, Group, PasswordInput, Stack, Text, Title } from '@mantine/core'
import { useState } from 'react'
import { forgetPages } from '@/device/floor-pages'
import { goAnew, goOn } from '@/ui/go-anew'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { signOut, unlockScreen } from '../sign-in-actions'

/** The password again after quiet minutes, or somebody else’s turn. */
export function UnlockForm({ name, onOpen }: { name: string; onOpen?: () => void }) {
  const { busy, problemOf, send } = useSubmit(unlockScreen)
  const [password, setPassword] = useState('')
  const go = async (): Promise<void> => {
    if ((await send({ password })) === null) return
    if (onOpen) onOpen()
    else goOn()
  }
  const leave = async (): Promise<void> => {
    if (!(await signOut()).ok) return
    await forgetPages()
    goAnew('/sign-in')
  }
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        void go()
      }}
    >
      <Stack gap="sm">
        <Title order={1}>Locked</Title>
        <Text>Nothing was touched here for a while. What was typed is still here, {name}.</Text>
        <PasswordInput
          label="Your password"
          value={password}
          autoComplete="current-password"
          data-autofocus
          error={problemOf('password')}
          onChange={(e) => setPassword(e.currentTarget.value)}
        />
        <FormProblem message={problemOf('')} />
        <Group>
          <Button type="submit" loading={busy}>
            Go on
          </Button>
          <Button variant="default" onClick={() => void leave()}>
            Sign out
          </Button>
        </Group>
      </Stack>
    </form>
  )
}
