'use client'

import { Group, Select, TextInput } from '@mantine/core'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { useForm } from '../../use-form'
import { saveNames } from '../actions'

/** The studio's name, who teaches, and whose day it is. */
export function NamesForm({ initial }: { initial: { name: string; teacher: string; timeZone: string } }) {
  const { values, field, busy, problemOf, keep, said } = useForm(initial, saveNames)
  return (
    <FormShell maxWidth={760} problem={problemOf('')} onSubmit={() => keep(values)}>
      <Group grow align="flex-start">
        <TextInput label="Name of the studio" {...field('name')} />
        <TextInput label="Teacher" {...field('teacher')} />
        <Select
          label="Time zone"
          searchable
          data={[...new Set([values.timeZone, ...Intl.supportedValuesOf('timeZone')])]}
          allowDeselect={false}
          {...field('timeZone')}
        />
      </Group>
      <FormEnd label="Save names" variant="default" {...{ busy, said }} />
    </FormShell>
  )
}
