'use client'

import { Button, Group, NumberInput, Select, Stack, Text, TextInput, Title } from '@mantine/core'
import { useState } from 'react'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { useSubmit } from '../../use-submit'
import { checkedToday, removeCupboardLine, saveCupboardLine } from '../actions'
import type { CupboardLine } from '../queries'
import { AskFirst } from '@/ui/ask-first'

type Shape = { value: string; label: string; sizeCm: readonly number[] }
const CONDITIONS: { value: CupboardLine['condition']; label: string }[] = [
  { value: 'sound', label: 'Sound' },
  { value: 'worn', label: 'Worn, still used' },
  { value: 'out', label: 'Out of use' },
]

/** What is in the cupboard, by shape, in this house's words. */
export function Cupboard({ lines, shapes }: { lines: readonly CupboardLine[]; shapes: readonly Shape[] }) {
  const [blank, setBlank] = useState(() => newId())
  return (
    <Stack>
      {lines.map((line) => (
        <Line key={line.id} line={line} shapes={shapes} onAdded={() => undefined} />
      ))}
      <Title order={2} fz="xl" mt="md">
        Add something
      </Title>
      <Line
        key={blank}
        shapes={shapes}
        onAdded={() => setBlank(newId())}
        line={{
          id: blank,
          shape: 'tall-block',
          localName: '',
          sizeCm: null,
          count: 1,
          condition: 'sound',
          checkedDay: null,
          check: '',
          due: false,
          checked: '',
        }}
      />
    </Stack>
  )
}

function Line({
  line,
  shapes,
  onAdded,
}: {
  line: CupboardLine
  shapes: readonly Shape[]
  onAdded: () => void
}) {
  const isNew = line.checked === ''
  const [values, setValues] = useState({
    shape: line.shape,
    localName: line.localName,
    size: line.sizeCm?.join(' × ') ?? '',
    count: line.count as number | string,
    condition: line.condition,
  })
  const save = useSubmit(saveCupboardLine)
  const remove = useSubmit(removeCupboardLine)
  const check = useSubmit(checkedToday)
  const shape = shapes.find((s) => s.value === values.shape)
  const [saved, setSaved] = useState('')
  const change = (part: Partial<typeof values>): void => {
    setSaved('')
    setValues((all) => ({ ...all, ...part }))
  }
  const submit = async (): Promise<void> => {
    const sizes = values.size
      .split(/[×x*\s]+/)
      .filter((t) => t !== '')
      .map((t) => Number(t.replace(',', '.')))
    const stored = await save.send({
      id: line.id,
      shape: values.shape,
      localName: values.localName,
      sizeCm: sizes.length === 0 ? null : sizes,
      count: typeof values.count === 'number' ? values.count : Number.NaN,
      condition: values.condition,
      checkedDay: line.checkedDay,
    })
    if (!stored) return
    setSaved('Saved.')
    if (isNew) onAdded()
  }
  return (
    <div className="card" role="group" aria-label={isNew ? 'New line' : (shape?.label ?? line.shape)}>
      <FormProblem message={save.problemOf('') ?? remove.problemOf('') ?? check.problemOf('')} />
      <Group align="flex-end" gap="sm">
        <Select
          label="Shape"
          w={190}
          data={shapes.map(({ value, label }) => ({ value, label }))}
          value={values.shape}
          error={save.problemOf('shape')}
          onChange={(value) => change({ shape: value ?? values.shape })}
        />
        <TextInput
          label="You call it"
          w={140}
          placeholder={shape?.label ?? ''}
          value={values.localName}
          error={save.problemOf('localName')}
          onChange={(e) => change({ localName: e.currentTarget.value })}
        />
        <TextInput
          label="Size, cm"
          w={150}
          placeholder={shape?.sizeCm.join(' × ') ?? ''}
          value={values.size}
          error={save.problems.find((p) => p.path.startsWith('sizeCm'))?.message}
          onChange={(e) => change({ size: e.currentTarget.value })}
        />
        <NumberInput
          label="How many"
          w={104}
          min={0}
          max={400}
          value={values.count}
          error={save.problemOf('count')}
          onChange={(value) => change({ count: value })}
        />
        <Select
          label="Condition"
          w={170}
          data={CONDITIONS}
          value={values.condition}
          onChange={(value) =>
            change({ condition: CONDITIONS.find((c) => c.value === value)?.value ?? values.condition })
          }
        />
        <Button variant={isNew ? 'filled' : 'default'} loading={save.busy} onClick={() => void submit()}>
          {isNew ? 'Add' : 'Save'}
        </Button>
        {isNew ? null : (
          <AskFirst label="Take away" what="this line" onSure={() => void remove.send({ id: line.id })} />
        )}
        <Text role="status">{saved}</Text>
      </Group>
      {isNew ? null : (
        <Group mt={6} gap="sm">
          <Text size="sm" c={line.due ? undefined : 'dimmed'} fw={line.due ? 600 : 400}>
            {line.due ? 'Look it over now. ' : ''}
            {line.check} Last looked at: {line.checked}.
          </Text>
          <Button
            size="compact-md"
            variant="default"
            mih={44}
            loading={check.busy}
            onClick={() => void check.send({ id: line.id })}
          >
            Looked at today
          </Button>
        </Group>
      )}
    </div>
  )
}
