'use client'

import { Button, Checkbox, Group, NumberInput, Stack, Text } from '@mantine/core'
import { useState } from 'react'
import type { LoadTag } from '@/core/practice/schema'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { saveFloor } from '../actions'

/** What nobody in this house may loosen. */
export function HouseForm({
  closed: initial,
  mostAttempts,
  loads,
}: {
  closed: string[]
  mostAttempts: number | null
  loads: readonly { value: string; label: string }[]
}) {
  const [closed, setClosed] = useState(initial)
  const [most, setMost] = useState<number | string>(mostAttempts ?? '')
  const [saved, setSaved] = useState(false)
  const { busy, problemOf, send } = useSubmit(saveFloor)
  const save = async (): Promise<void> => {
    const ok = await send({
      closed: closed.map((value) => {
        const [tag = '', level = '3'] = value.split(' ')
        return { tag: tag as LoadTag, level: Number(level) as 1 | 2 | 3 }
      }),
      mostAttempts: typeof most === 'number' ? most : null,
    })
    setSaved(ok === true)
  }
  return (
    <Stack maw={640}>
      <FormProblem message={problemOf('')} />
      <Checkbox.Group
        label="Not done in this room"
        description="By anybody, whatever has been shown or cleared"
        value={closed}
        onChange={(next) => {
          setSaved(false)
          setClosed(next)
        }}
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
        value={most}
        error={problemOf('mostAttempts')}
        onChange={(value) => {
          setSaved(false)
          setMost(value)
        }}
      />
      <Group>
        <Button loading={busy} onClick={() => void save()}>
          Save the house rules
        </Button>
        <Text role="status">{saved ? 'Saved.' : ''}</Text>
      </Group>
    </Stack>
  )
}
