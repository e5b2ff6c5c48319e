'use client'

import { Button, Group, NumberInput, Select, Stack, Text, TextInput, Title } from '@mantine/core'
import { useState } from 'react'
import { newId } from '@/device/facts'
import { FormProblem } from '@/ui/form-problem'
import { useForm } from '../../use-form'
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

const NEW = {
  ...{ shape: 'tall-block', localName: '', sizeCm: null, count: 1, condition: 'sound' as const },
  ...{ checkedDay: null, check: '', due: false, checked: '' },
}

/** What is in the cupboard, by shape, in this house's words. */
export function Cupboard({ lines, shapes }: { lines: readonly CupboardLine[]; shapes: readonly Shape[] }) {
  const [blank, setBlank] = useState(() => newId())
  return (
    <Stack>
      {lines.map((line) => (
        <Line key={line.id} line={line} shapes={shapes} />
      ))}
      <Title order={2} fz="xl" mt="md">
        Add something
      </Title>
      <Line key={blank} shapes={shapes} onAdded={() => setBlank(newId())} line={{ id: blank, ...NEW }} />
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
  onAdded?: () => void
}) {
  const isNew = line.checked === ''
  const { id, localName, condition, checkedDay } = line
  const size = line.sizeCm?.join(' × ') ?? ''
  const first = { shape: line.shape, localName, size, count: line.count as number | string, condition }
  const { values, field, busy, problems, problemOf, keep, said } = useForm(first, saveCupboardLine)
  const remove = useSubmit(removeCupboardLine)
  const check = useSubmit(checkedToday)
  const shape = shapes.find((s) => s.value === values.shape)
  const submit = async (): Promise<void> => {
    const { size, count, ...rest } = values
    const sizes = size
      .split(/[×x*\s]+/)
      .filter((t) => t !== '')
      .map((t) => Number(t.replace(',', '.')))
    const stored = await keep({
      ...{ ...rest, id, checkedDay },
      sizeCm: sizes.length === 0 ? null : sizes,
      count: typeof count === 'number' ? count : Number.NaN,
    })
    if (stored) onAdded?.()
  }
  return (
    <div className="card" role="group" aria-label={isNew ? 'New line' : (shape?.label ?? line.shape)}>
      <FormProblem message={problemOf('') ?? remove.problemOf('') ?? check.problemOf('')} />
      <Group align="flex-end" gap="sm">
        <Select
          label="Shape"
          w={190}
          data={shapes.map(({ value, label }) => ({ value, label }))}
          allowDeselect={false}
          {...field('shape')}
        />
        <TextInput label="You call it" w={140} placeholder={shape?.label ?? ''} {...field('localName')} />
        <TextInput
          label="Size, cm"
          w={150}
          placeholder={shape?.sizeCm.join(' × ') ?? ''}
          {...field('size')}
          error={problems.find((p) => p.path.startsWith('sizeCm'))?.message}
        />
        <NumberInput label="How many" w={104} min={0} max={400} {...field('count')} />
        <Select label="Condition" w={170} data={CONDITIONS} allowDeselect={false} {...field('condition')} />
        <Button variant={isNew ? 'filled' : 'default'} loading={busy} onClick={() => void submit()}>
          {isNew ? 'Add' : 'Save'}
        </Button>
        {isNew ? null : (
          <AskFirst label="Take away" what="this line" onSure={() => void remove.send({ id })} />
        )}
        <Text role="status">{said}</Text>
      </Group>
      {isNew ? null : (
        <Group mt={6} gap="sm">
          <Text size="sm" c={line.due ? undefined : 'dimmed'} fw={line.due ? 600 : 400}>
            {line.due ? 'Look it over now. ' : ''}
            {line.check} Last looked at: {line.checked}.
          </Text>
          <Button size="compact-md" mih={44} loading={check.busy} onClick={() => void check.send({ id })}>
            Looked at today
          </Button>
        </Group>
      )}
    </div>
  )
}
