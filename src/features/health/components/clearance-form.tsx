'use client'

import { Button, Group, MultiSelect, Select, Stack, Text, TextInput } from '@mantine/core'
import { useState } from 'react'
import { newId } from '@/device/facts'
import type { LoadTag } from '@/core/practice/schema'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { saveClearance } from '../actions'

type Props = { id: string; loads: readonly { value: string; label: string }[] }

/** A clinician's yes: who, on what basis, for which loads, from when to when. */
export function ClearanceForm({ id, loads }: Props) {
  const [tags, setTags] = useState<string[]>([])
  const [clinician, setClinician] = useState('')
  const [basis, setBasis] = useState<'letter-seen' | 'student-reports'>('letter-seen')
  const [day, setDay] = useState('')
  const [expires, setExpires] = useState('')
  const [entryId, setEntryId] = useState(newId)
  const [said, setSaid] = useState('')
  const { busy, problemOf, send } = useSubmit(saveClearance)

  const save = async (): Promise<void> => {
    const stored = await send({
      entryId,
      studentId: id,
      clinician,
      basis,
      day,
      expires,
      tags: tags.map((value) => {
        const [tag = '', level = '3'] = value.split(' ')
        return { tag: tag as LoadTag, upTo: Number(level) }
      }),
    })
    if (!stored) return
    setSaid('Clearance recorded.')
    setTags([])
    setClinician('')
    setEntryId(newId())
  }
  return (
    <Stack gap="sm">
      <FormProblem message={problemOf('')} />
      <MultiSelect
        label="Covers"
        data={[...loads]}
        value={tags}
        error={problemOf('tags')}
        onChange={setTags}
        searchable
        hidePickedOptions
      />
      <Group align="flex-start" grow>
        <TextInput
          label="Clinician"
          value={clinician}
          error={problemOf('clinician')}
          onChange={(e) => setClinician(e.currentTarget.value)}
        />
        <Select
          label="Basis"
          data={[
            { value: 'letter-seen', label: 'Letter seen, not kept' },
            { value: 'student-reports', label: 'Student reports' },
          ]}
          value={basis}
          allowDeselect={false}
          onChange={(value) => setBasis(value === 'student-reports' ? 'student-reports' : 'letter-seen')}
        />
      </Group>
      <Group align="flex-start" grow>
        <TextInput
          label="Given on"
          type="date"
          value={day}
          error={problemOf('day')}
          onChange={(e) => setDay(e.currentTarget.value)}
        />
        <TextInput
          label="Until"
          description="A year unless you say less"
          inputWrapperOrder={['label', 'input', 'description', 'error']}
          type="date"
          value={expires}
          error={problemOf('expires')}
          onChange={(e) => setExpires(e.currentTarget.value)}
        />
      </Group>
      <Group>
        <Button loading={busy} onClick={() => void save()}>
          Record the clearance
        </Button>
        <Text role="status">{said}</Text>
      </Group>
    </Stack>
  )
}
