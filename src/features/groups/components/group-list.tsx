'use client'

import { Button, Group, MultiSelect, NumberInput, Select, Stack, Text, TextInput, Title } from '@mantine/core'
import { useState } from 'react'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { LinkButton } from '@/ui/link-button'
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
type People = readonly { value: string; label: string }[]

/** People who come together, and their usual hour. */
export function GroupList({ groups, people }: { groups: readonly GroupView[]; people: People }) {
  const [blank, setBlank] = useState(() => newId())
  return (
    <Stack>
      {groups.map((group) => (
        <GroupCard key={group.id} group={group} people={people} isNew={false} onAdded={() => undefined} />
      ))}
      <Title order={3} fz="lg">
        Add a group
      </Title>
      <GroupCard
        key={blank}
        isNew
        people={people}
        onAdded={() => setBlank(newId())}
        group={{
          id: blank,
          name: '',
          weekday: 2,
          startTime: '18:30',
          minutes: 75,
          members: [],
          names: [],
          when: '',
        }}
      />
    </Stack>
  )
}

function GroupCard({
  group,
  people,
  isNew,
  onAdded,
}: {
  group: GroupView
  people: People
  isNew: boolean
  onAdded: () => void
}) {
  const [values, setValues] = useState({ ...group, minutes: group.minutes as number | string })
  const [saved, setSaved] = useState(false)
  const save = useSubmit(keepGroup)
  const drop = useSubmit(dropGroup)
  const change = (part: Partial<typeof values>): void => {
    setSaved(false)
    setValues((all) => ({ ...all, ...part }))
  }
  const submit = async (): Promise<void> => {
    const { id, name, weekday, startTime, members, minutes } = values
    const kept = await save.send({
      id,
      name,
      weekday,
      startTime,
      members: [...members],
      minutes: typeof minutes === 'number' ? minutes : Number.NaN,
    })
    setSaved(kept === true)
    if (!kept) return
    if (isNew) onAdded()
  }
  return (
    <Stack className="card" gap="sm" role="group" aria-label={isNew ? 'New group' : group.name}>
      <FormProblem message={save.problemOf('') ?? drop.problemOf('')} />
      <Group align="flex-start">
        <TextInput
          label="Name"
          w={240}
          value={values.name}
          error={save.problemOf('name')}
          onChange={(e) => change({ name: e.currentTarget.value })}
        />
        <Select
          label="Day"
          w={150}
          data={DAYS}
          value={String(values.weekday)}
          onChange={(day) => change({ weekday: Number(day ?? 2) })}
        />
        <TextInput
          label="Starts at"
          w={110}
          value={values.startTime}
          error={save.problemOf('startTime')}
          onChange={(e) => change({ startTime: e.currentTarget.value })}
        />
        <NumberInput
          label="Minutes"
          w={110}
          value={values.minutes}
          error={save.problemOf('minutes')}
          onChange={(minutes) => change({ minutes })}
        />
      </Group>
      <MultiSelect
        label="Who"
        searchable
        data={[...people]}
        value={[...values.members]}
        onChange={(members) => change({ members })}
      />
      <Group>
        <Button variant={isNew ? 'filled' : 'default'} loading={save.busy} onClick={() => void submit()}>
          {isNew ? 'Add the group' : 'Save'}
        </Button>
        {isNew ? null : (
          <>
            <LinkButton href={`/plans/new?group=${group.id}`} variant="default">
              Plan its next class
            </LinkButton>
            <AskFirst label="Take away" what={group.name} onSure={() => void drop.send({ id: group.id })} />
          </>
        )}
        <Text role="status">{saved ? 'Saved.' : ''}</Text>
      </Group>
    </Stack>
  )
}
