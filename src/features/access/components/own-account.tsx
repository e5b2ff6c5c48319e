'use client'

import { Button, Group, PasswordInput } from '@mantine/core'
import { useState } from 'react'
import { forgetPages } from '@/device/floor-pages'
import { goAnew } from '@/ui/go-anew'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { useForm } from '../../use-form'
import { changePassword, lockScreen, signOut } from '../sign-in-actions'

/** Leaves, or locks this screen now. */
export function LeaveButtons({ canLock }: { canLock: boolean }) {
  const go = async (work: () => Promise<unknown>): Promise<void> => {
    await work()
    // What this device kept for the floor was for whoever goes now.
    await forgetPages()
    goAnew('/sign-in')
  }
  return (
    <Group className="no-print">
      {canLock ? <Button onClick={() => void go(lockScreen)}>Lock this screen</Button> : null}
      <Button onClick={() => void go(signOut)}>Sign out</Button>
    </Group>
  )
}

const EMPTY = { old: '', fresh: '', again: '' }

/** Another password; every other sign-in of this account ends with it. */
export function PasswordCard() {
  const { values, renew, field, busy, problemOf, send } = useForm(EMPTY, changePassword)
  const [done, setDone] = useState(false)
  const save = async (): Promise<void> => {
    if ((await send(values)) === null) return
    renew(values, EMPTY)
    setDone(true)
  }
  return (
    <FormShell title="Password" className="card no-print" problem={problemOf('')} onSubmit={save}>
      <Group align="flex-start">
        <PasswordInput label="The one you have" autoComplete="current-password" w={240} {...field('old')} />
        <PasswordInput label="The new one" autoComplete="new-password" w={240} {...field('fresh')} />
        <PasswordInput label="Once more" autoComplete="new-password" w={240} {...field('again')} />
      </Group>
      <FormEnd
        label="Change it"
        variant="default"
        busy={busy}
        said={done ? 'Changed. You were signed out everywhere else.' : ''}
      />
    </FormShell>
  )
}
