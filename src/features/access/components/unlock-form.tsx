'use client'

import { Button, Group, PasswordInput, Text, Title } from '@mantine/core'
import { forgetPages } from '@/device/floor-pages'
import { goAnew, goOn } from '@/ui/go-anew'
import { FormProblem } from '@/ui/form-problem'
import { FormShell } from '@/ui/form-shell'
import { useForm } from '../../use-form'
import { signOut, unlockScreen } from '../sign-in-actions'

/** The password again after quiet minutes, or somebody else’s turn. */
export function UnlockForm({ name, onOpen }: { name: string; onOpen?: () => void }) {
  const { values, field, busy, problemOf, send } = useForm({ password: '' }, unlockScreen)
  const go = async (): Promise<void> => {
    if ((await send(values)) === null) return
    if (onOpen) onOpen()
    else goOn()
  }
  const leave = async (): Promise<void> => {
    if (!(await signOut()).ok) return
    await forgetPages()
    goAnew('/sign-in')
  }
  return (
    <FormShell gap="sm" onSubmit={go}>
      <Title order={1}>Locked</Title>
      <Text>Nothing was touched here for a while. What was typed is still here, {name}.</Text>
      <PasswordInput
        label="Your password"
        autoComplete="current-password"
        data-autofocus
        {...field('password')}
      />
      <FormProblem message={problemOf('')} />
      <Group>
        <Button variant="filled" type="submit" loading={busy}>
          Go on
        </Button>
        <Button onClick={() => void leave()}>Sign out</Button>
      </Group>
    </FormShell>
  )
}
