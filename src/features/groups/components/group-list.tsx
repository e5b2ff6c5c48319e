'use client'

import { Group, MultiSelect, NumberInput, Select, Stack, TextInput, Title } from '@mantine/core'
import { useState } from 'react'
import { newId } from '@/device/facts'
import { FormEnd, FormShell } from '@/ui/form-shell'
import { LinkButton } from '@/ui/link-button'
import { useForm } from '../../use-form'
import { useSubmit } from '../../use-submit'
import { dropGroup, keepGroup } from '../actions'
import type { GroupView } from '../queries'
import { AskFirst } from '@/ui/ask-first'

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'].map(
  (label, i) => ({
    value: String(i + 1),
    label,
  }),
)
const NEW = {
  ...{ name: '', weekday: 2, startTime: '18:30', minutes: 75, members: [], names: [], when: '' },
}
type People = readonly { value: string; label: string }[]

/** People who come together, and their usual hour. */
export function GroupList({ groups, people }: { groups: readonly GroupView[]; people: People }) {
  const [blank, setBlank] = useState(() => newId())
  return (
    <Stack>
      {groups.map((group) => (
        <GroupCard key={group.id} group={group} people={people} />
      ))}
      <Title order={3} fz="lg">
        Add a group
      </Title>
      <GroupCard
        key={blank}
        people={people}
        onAdded={() => setBlank(newId())}
        group={{ id: blank, ...NEW }}
      />
    </Stack>
  )
}

function GroupCard({
  group,
  people,
  onAdded,
}: {
  group: GroupView
  people: People
  /** Given where the group is a new one. */
  onAdded?: () => void
}) {
  const isNew = onAdded !== undefined
  const first = { ...group, minutes: group.minutes as number | string }
  const { values, change, field, busy, problemOf, keep, said } = useForm(first, keepGroup)
  const drop = useSubmit(dropGroup)
  const submit = async (): Promise<void> => {
    const { names: _n, when: _w, members, minutes, ...rest } = values
    const whole = typeof minutes === 'number' ? minutes : Number.NaN
    if (await keep({ ...rest, members: [...members], minutes: whole })) onAdded?.()
  }
  return (
    <FormShell
      className="card"
      gap="sm"
      label={isNew ? 'New group' : group.name}
      problem={problemOf('') ?? drop.problemOf('')}
      onSubmit={submit}
    >
      <Group align="flex-start">
        <TextInput label="Name" w={240} {...field('name')} />
        <Select
          label="Day"
          w={150}
          data={DAYS}
          value={String(values.weekday)}
          onChange={(day) => change({ weekday: Number(day ?? 2) })}
        />
        <TextInput label="Starts at" w={110} {...field('startTime')} />
        <NumberInput label="Minutes" w={110} {...field('minutes')} />
      </Group>
      <MultiSelect label="Who" searchable data={[...people]} {...field('members')} />
      <FormEnd
        label={isNew ? 'Add the group' : 'Save'}
        variant={isNew ? 'filled' : 'default'}
        {...{ busy, said }}
      >
        {isNew ? null : (
          <>
            <LinkButton href={`/plans/new?group=${group.id}`}>Plan its next class</LinkButton>
            <AskFirst label="Take away" what={group.name} onSure={() => void drop.send({ id: group.id })} />
          </>
        )}
      </FormEnd>
    </FormShell>
  )
}
