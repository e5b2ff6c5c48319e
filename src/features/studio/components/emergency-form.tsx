'use client'

import { Button, Group, Stack, Text, Textarea, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { EmergencyCard } from '@/core/room/emergency'
import { CARD_LINES } from '@/core/words/emergency'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { saveEmergencyCard } from '../actions'

/** What anybody in the room must find at once. */
export function EmergencyForm({ initial }: { initial: EmergencyCard }) {
  const [card, setCard] = useState(initial)
  const [saved, setSaved] = useState(false)
  const { busy, problemOf, send } = useSubmit(saveEmergencyCard)
  return (
    <form
      className="no-print"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        void send(card).then((ok) => {
          setSaved(ok === true)
        })
      }}
    >
      <Stack maw={640}>
        <FormProblem message={problemOf('')} />
        {CARD_LINES.map(({ key, label, hint }) => {
          const Field = key === 'address' || key === 'contacts' ? Textarea : TextInput
          return (
            <Field
              key={key}
              label={label}
              description={hint}
              inputWrapperOrder={['label', 'input', 'description', 'error']}
              value={card[key]}
              error={problemOf(key)}
              onChange={(e: { currentTarget: { value: string } }) => {
                const { value } = e.currentTarget
                setSaved(false)
                setCard((all) => ({ ...all, [key]: value }))
              }}
            />
          )
        })}
        <Group>
          <Button type="submit" loading={busy}>
            Save the card
          </Button>
          <Text role="status">{saved ? 'Saved.' : ''}</Text>
        </Group>
      </Stack>
    </form>
  )
}
