'use client'

import { Checkbox, Group } from '@mantine/core'
import type { Told } from '@/core/incident/incident'
import { describeToTell, TOLD_WORD } from '@/core/words/incident'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { useForm } from '../../use-form'
import { saveTold } from '../actions'

/** Who has still to be told, ticked as it is done. */
export function ToldSince({ id, toTell }: { id: string; toTell: readonly Told[] }) {
  const { values, change, busy, problemOf, keep } = useForm({ told: [] as Told[] }, saveTold)
  return (
    <FormShell
      maxWidth={760}
      problem={problemOf('') ?? problemOf('told')}
      onSubmit={() => keep({ id, told: values.told })}
    >
      <Checkbox.Group
        label={describeToTell(toTell)}
        value={values.told}
        onChange={(told) => change({ told: toTell.filter((t) => told.includes(t)) })}
      >
        <Group mt={6}>
          {toTell.map((value) => (
            <Checkbox key={value} value={value} label={TOLD_WORD[value]} />
          ))}
        </Group>
      </Checkbox.Group>
      <FormEnd label="They know now" busy={busy} />
    </FormShell>
  )
}
