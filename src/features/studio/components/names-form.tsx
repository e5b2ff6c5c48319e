'use client'

import { Button, Group, Select, Text, TextInput } from '@mantine/core'
import { useState } from 'react'
import { FormShell } from '@/ui/form-shell'
import { useSubmit } from '../../use-submit'
import { saveNames } from '../actions'

type Values = { name: string; teacher: string; timeZone: string }

/** The studio's name, who teaches, and whose day it is. */
export function NamesForm({ initial }: { initial: Values }) {
  const [values, setValues] = useState(initial)
  const [saved, setSaved] = useState(false)
  const { busy, problemOf, send } = useSubmit(saveNames)
  const change = (part: Partial<Values>): void => {
    setSaved(false)
    setValues((all) => ({ ...all, ...part }))
  }
  return (
    <FormShell
      maxWidth={760}
      problem={problemOf('')}
      onSubmit={() =>
        send(values).then((ok) => {
          setSaved(ok === true)
        })
      }
    >
      <Group grow align="flex-start">
        <TextInput
          label="Name of the studio"
          value={values.name}
          error={problemOf('name')}
          onChange={(e) => change({ name: e.currentTarget.value })}
        />
        <TextInput
          label="Teacher"
          value={values.teacher}
          error={problemOf('teacher')}
          onChange={(e) => change({ teacher: e.currentTarget.value })}
        />
        <Select
          label="Time zone"
          searchable
          data={[...new Set([values.timeZone, ...Intl.supportedValuesOf('timeZone')])]}
          value={values.timeZone}
          error={problemOf('timeZone')}
          onChange={(timeZone) => change({ timeZone: timeZone ?? values.timeZone })}
        />
      </Group>
      <Group>
        <Button type="submit" loading={busy} variant="default">
          Save names
        </Button>
        <Text role="status">{saved ? 'Saved.' : ''}</Text>
      </Group>
    </FormShell>
  )
}
