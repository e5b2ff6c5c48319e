'use client'

import { Textarea, TextInput } from '@mantine/core'
import type { EmergencyCard } from '@/core/room/emergency'
import { CARD_LINES } from '@/core/words/emergency'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { useForm } from '../../use-form'
import { saveEmergencyCard } from '../actions'

/** What anybody in the room must find at once. */
export function EmergencyForm({ initial }: { initial: EmergencyCard }) {
  const { values, field, busy, problemOf, keep, said } = useForm(initial, saveEmergencyCard)
  return (
    <FormShell className="no-print" maxWidth={640} problem={problemOf('')} onSubmit={() => keep(values)}>
      {CARD_LINES.map(({ key, label, hint }) => {
        const Field = key === 'address' || key === 'contacts' ? Textarea : TextInput
        return (
          <Field
            key={key}
            label={label}
            description={hint}
            inputWrapperOrder={['label', 'input', 'description', 'error']}
            {...field(key)}
          />
        )
      })}
      <FormEnd label="Save the card" {...{ busy, said }} />
    </FormShell>
  )
}
