'use client'

import { Group, MultiSelect, Select, TextInput } from '@mantine/core'
import { useState } from 'react'
import { newId } from '@/device/facts'
import type { LoadTag } from '@/core/practice/schema'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { useForm } from '../../use-form'
import { saveClearance } from '../actions'

const EMPTY = {
  ...{ tags: [] as string[], clinician: '', day: '', expires: '' },
  basis: 'letter-seen' as 'letter-seen' | 'student-reports',
}
type Props = { id: string; loads: readonly { value: string; label: string }[] }

/** A clinician's yes: who, on what basis, for which loads, from when to when. */
export function ClearanceForm({ id, loads }: Props) {
  const [entryId, setEntryId] = useState(newId)
  const [said, setSaid] = useState('')
  const { values, change, field, busy, problemOf, send } = useForm(EMPTY, saveClearance)

  const save = async (): Promise<void> => {
    const stored = await send({
      ...values,
      entryId,
      studentId: id,
      tags: values.tags.map((value) => {
        const [tag = '', level = '3'] = value.split(' ')
        return { tag: tag as LoadTag, upTo: Number(level) }
      }),
    })
    if (!stored) return
    setSaid('Clearance recorded.')
    change({ tags: [], clinician: '' })
    setEntryId(newId())
  }
  return (
    <FormShell gap="sm" problem={problemOf('')} onSubmit={save}>
      <MultiSelect label="Covers" data={[...loads]} searchable hidePickedOptions {...field('tags')} />
      <Group align="flex-start" grow>
        <TextInput label="Clinician" {...field('clinician')} />
        <Select
          label="Basis"
          data={[
            { value: 'letter-seen', label: 'Letter seen, not kept' },
            { value: 'student-reports', label: 'Student reports' },
          ]}
          allowDeselect={false}
          {...field('basis')}
        />
      </Group>
      <Group align="flex-start" grow>
        <TextInput label="Given on" type="date" {...field('day')} />
        <TextInput
          label="Until"
          description="A year unless you say less"
          inputWrapperOrder={['label', 'input', 'description', 'error']}
          type="date"
          {...field('expires')}
        />
      </Group>
      <FormEnd label="Record the clearance" {...{ busy, said }} />
    </FormShell>
  )
}
