'use client'

import { Text, TextInput, Title } from '@mantine/core'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { PrintButton } from '@/ui/print-button'
import { Section } from '@/ui/section'
import { useForm } from '../../use-form'
import { putKeyBack } from '../layer-actions'

type Props = {
  state: 'ok' | 'lost' | 'wrong'
  /** The key as it is printed; null while the notes are shut on this screen. */
  code: string | null
}

/** The key of the health notes: printed while it is there, put back from its print when it is lost. */
export function KeyPanel({ state, code }: Props) {
  const { values, field, busy, problemOf, send } = useForm({ code: '' }, putKeyBack)
  if (state === 'ok')
    return code === null ? null : (
      <Section title="The key of the health notes" fz="xl">
        <Text>
          Without its key nobody can read the notes again, and whatever they may close stays closed. Print
          this and put it away from the computer; whoever holds it and a copy of the data can read them.
        </Text>
        <Text ff="monospace" fz="lg" my="sm" aria-label="Recovery code">
          {code}
        </Text>
        <PrintButton />
      </Section>
    )
  return (
    <FormShell maxWidth={560} problem={problemOf('')} onSubmit={() => send(values)}>
      <Title order={2} fz="xl">
        Put the key back
      </Title>
      <Text>
        {state === 'lost' ? 'The key file is missing.' : 'The key file is not the one that sealed the notes.'}{' '}
        Until it is back, everything above gentle work is closed to everybody who had answered.
      </Text>
      <TextInput label="The printed code" {...field('code')} />
      <FormEnd label="Put it back" busy={busy} />
    </FormShell>
  )
}
