'use client'

import { Group, NumberInput, Select, Text, TextInput } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { newId } from '@/device/facts'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { useForm } from '../../use-form'
import { beginSeries } from '../actions'
import type { seriesList } from '../queries'

const USUAL_WEEKS = 6

/** Begins a series for a group: a name, a family, a first day and how many weeks. */
export function NewSeries({
  groups,
  families,
  today,
}: Pick<ReturnType<typeof seriesList>, 'groups' | 'families'> & { today: string }) {
  const router = useRouter()
  const [id] = useState(newId)
  const [first] = groups
  const empty = {
    ...{ name: '', groupId: first?.value ?? '', family: first?.towards ?? ('FS' as const), firstDay: today },
    weeks: USUAL_WEEKS as number | string,
  }
  const { values, change, field, busy, problemOf, send } = useForm(empty, beginSeries)
  const begin = async (): Promise<void> => {
    const made = await send({ ...values, id, weeks: Number(values.weeks) })
    if (made) router.push(`/progress/series/${made.id}`)
  }
  if (groups.length === 0)
    return <Text>A series is for a group that comes every week. Make one under Students first.</Text>
  return (
    <FormShell title="A new series" problem={problemOf('')} onSubmit={begin}>
      <Group align="flex-start">
        <TextInput label="Name" {...field('name')} />
        <Select
          label="Group"
          data={groups}
          {...field('groupId')}
          onChange={(groupId: string | null) => {
            const towards = groups.find((g) => g.value === groupId)?.towards
            change({ groupId: groupId ?? '', family: towards ?? values.family })
          }}
        />
        <Select label="Towards" data={families} allowDeselect={false} {...field('family')} />
        <TextInput type="date" label="First day" {...field('firstDay')} />
        <NumberInput label="Weeks" w={110} {...field('weeks')} />
      </Group>
      <Text c="dimmed">
        What each week is about is proposed from what holds the group back today, and can be changed.
      </Text>
      <FormEnd label="Begin it" busy={busy} />
    </FormShell>
  )
}
