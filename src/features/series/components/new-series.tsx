'use client'

import { Button, Group, NumberInput, Select, Stack, Text, TextInput, Title } from '@mantine/core'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
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
  const { busy, problemOf, send } = useSubmit(beginSeries)
  const [id] = useState(newId)
  const [name, setName] = useState('')
  const [groupId, setGroupId] = useState(groups[0]?.value ?? '')
  const [family, setFamily] = useState(groups[0]?.towards ?? 'FS')
  const [firstDay, setFirstDay] = useState(today)
  const [weeks, setWeeks] = useState<number | string>(USUAL_WEEKS)
  const begin = async (): Promise<void> => {
    const made = await send({ id, name, groupId, family, firstDay, weeks: Number(weeks) })
    if (made) router.push(`/progress/series/${made.id}`)
  }
  if (groups.length === 0)
    return <Text>A series is for a group that comes every week. Make one under Students first.</Text>
  return (
    <form
      aria-label="A new series"
      className="card"
      onSubmit={(event) => {
        event.preventDefault()
        void begin()
      }}
    >
      <Stack gap="sm">
        <Title order={2} fz="lg">
          A new series
        </Title>
        <Group align="flex-start">
          <TextInput
            label="Name"
            value={name}
            error={problemOf('name')}
            onChange={(e) => setName(e.currentTarget.value)}
          />
          <Select
            label="Group"
            data={groups}
            value={groupId}
            error={problemOf('groupId')}
            onChange={(value) => {
              setGroupId(value ?? '')
              setFamily(groups.find((g) => g.value === value)?.towards ?? family)
            }}
          />
          <Select
            label="Towards"
            data={families}
            value={family}
            onChange={(value) => setFamily(families.find((f) => f.value === value)?.value ?? 'FS')}
          />
          <TextInput
            type="date"
            label="First day"
            value={firstDay}
            error={problemOf('firstDay')}
            onChange={(e) => setFirstDay(e.currentTarget.value)}
          />
          <NumberInput label="Weeks" w={110} value={weeks} error={problemOf('weeks')} onChange={setWeeks} />
        </Group>
        <Text c="dimmed">
          What each week is about is proposed from what holds the group back today, and can be changed.
        </Text>
        <FormProblem message={problemOf('')} />
        <Group>
          <Button type="submit" loading={busy}>
            Begin it
          </Button>
        </Group>
      </Stack>
    </form>
  )
}
