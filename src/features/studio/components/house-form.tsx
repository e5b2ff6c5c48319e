'use client'

import { Checkbox, NumberInput, Stack } from '@mantine/core'
import type { LoadTag } from '@/core/practice/schema'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { useForm } from '../../use-form'
import { saveFloor } from '../actions'

/** What nobody in this house may loosen. */
export function HouseForm({
  closed,
  mostAttempts,
  loads,
}: {
  closed: string[]
  mostAttempts: number | null
  loads: readonly { value: string; label: string }[]
}) {
  const first = { closed, mostAttempts: (mostAttempts ?? '') as number | string }
  const { values, field, busy, problemOf, keep, said } = useForm(first, saveFloor)
  const save = () =>
    keep({
      closed: values.closed.map((value) => {
        const [tag = '', level = '3'] = value.split(' ')
        return { tag: tag as LoadTag, level: Number(level) as 1 | 2 | 3 }
      }),
      mostAttempts: typeof values.mostAttempts === 'number' ? values.mostAttempts : null,
    })
  return (
    <FormShell className="no-print" maxWidth={640} problem={problemOf('')} onSubmit={save}>
      <Checkbox.Group
        label="Not done in this room"
        description="By anybody, whatever has been shown or cleared"
        {...field('closed')}
      >
        <Stack gap="xs" mt="xs">
          {loads.map((load) => (
            <Checkbox key={load.value} value={load.value} label={load.label} />
          ))}
        </Stack>
      </Checkbox.Group>
      <NumberInput
        label="Attempts a person and class, at most"
        description="12 unless you say fewer; a turn at the wall counts as one"
        inputWrapperOrder={['label', 'input', 'description', 'error']}
        w={320}
        min={1}
        max={12}
        {...field('mostAttempts')}
      />
      <FormEnd label="Save the house rules" {...{ busy, said }} />
    </FormShell>
  )
}
