'use client'

import { Button, PasswordInput, Text, TextInput } from '@mantine/core'
import { goAnew, goOn } from '@/ui/go-anew'
import { FormProblem } from '@/ui/form-problem'
import { FormShell } from '@/ui/form-shell'
import { useForm } from '../../use-form'
import { ownerByCode, pairTablet } from '../sign-in-actions'

/** A tablet of the studio comes in by a code from a teacher’s screen. */
export function PairForm() {
  const { values, field, busy, problemOf, send } = useForm({ code: '' }, pairTablet)
  const go = () => send(values).then((paired) => paired !== null && goOn())
  return (
    <FormShell gap="sm" mt="sm" onSubmit={go}>
      <Text>A teacher makes the code under Studio, Sign-ins. It is good for ten minutes.</Text>
      <TextInput
        label="Code from the other screen"
        autoComplete="off"
        autoCapitalize="none"
        {...field('code')}
      />
      <FormProblem message={problemOf('')} />
      <Button type="submit" loading={busy}>
        Pair this tablet
      </Button>
    </FormShell>
  )
}

/** An owner by the code that the machine printed: the first one, or one who has lost the way in. */
export function OwnerCodeForm() {
  const empty = { code: '', name: '', login: '', password: '' }
  const { values, field, busy, problemOf, send } = useForm(empty, ownerByCode)
  const go = () => send(values).then((owner) => owner !== null && goAnew('/'))
  return (
    <FormShell gap="sm" mt="sm" onSubmit={go}>
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
      <Button type="submit" loading={busy}>
        Come in as the owner
      </Button>
    </FormShell>
  )
}
